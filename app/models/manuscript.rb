# frozen_string_literal: true

# A document on the shelf: the original, the state its edits led to, and the ledger. The database alone is the truth: a
# change and the state it leads to are written in one transaction before anything is answered.
class Manuscript < ActiveRecord::Base
  belongs_to :original
  has_many :ledger_entries, -> { order(:id) }, dependent: :delete_all

  # Someone else changed the document since this page was drawn.
  Stale = Class.new(Norvel::Error) do
    def message
      "This document was changed in another window since you opened this page. Nothing was done: look at it as it is now, and try again."
    end
  end

  DEFAULT_GUIDE = "ravelmouth-thesis"

  # Reads a file and puts it on the shelf. Raises Norvel::UnreadableFile.
  def self.bring_in(bytes, filename:, guide: DEFAULT_GUIDE)
    document = Norvel::Formats.read(bytes, name: filename)
    title = document.info[:title] || File.basename(filename, ".*").tr("_", " ")
    transaction { create!(original: Original.keep(bytes), title: title[0, 200], filename: filename[0, 200], guide:, words: document.word_count, paragraphs: document.paragraphs.size) }
  end

  def document
    Desk.document(self)
  end

  # The document as it came.
  def first_document
    Desk.original(self)
  end

  # Guides that ship are read once.
  def rules
    (@@rules ||= {})[guide] ||= Norvel::Guide.find(guide)
  end

  def check
    Desk.check(self)
  end

  # Applies an edit to the state that +version+ names. Returns the Norvel::Edits::Change. Raises Stale, Norvel::Refused.
  def perform(edit, version:)
    Desk.alone(self) do
      raise Stale if version.to_i != lock_version
      change = edit.apply(document)
      raise Norvel::Refused, "There was nothing to change." if change.nothing?
      transaction do
        ledger_entries.create!(title: change.title[0, 250], touched: change.count, words_changed: change.words_changed, way_back: Norvel::Snapshot.dump_change(change, first_document))
        keep(change.after)
      end
      Desk.put(self, change.after)
      change
    end
  end

  # Takes the last change back, or every change back to that entry with it, in order. Returns the entries, the last first.
  def take_back(version:, to: nil)
    Desk.alone(self) do
      raise Stale if version.to_i != lock_version
      entries = to ? ledger_entries.where(id: to.id..).reverse_order.to_a : ledger_entries.last(1)
      return [] if entries.empty?
      before = entries.inject(document) { |now, entry| Norvel::Snapshot.take_back(entry.way_back, now, first_document) }
      transaction do
        entries.each(&:destroy!)
        keep(before)
      end
      Desk.put(self, before)
      entries
    end
  end

  # What the shelf shows of it, counted when it was last changed.
  def standing
    return {"must" => must, "should" => should, "advice" => advice} if standing_version == lock_version && must
    counts = check.counts
    asked = check.rules_asked
    update_columns(**counts.transform_keys(&:to_sym), rules_asked: asked.size, rules_met: asked.size - check.findings.map(&:rule).uniq.size, standing_version: lock_version)
    counts
  end

  def discard
    transaction do
      destroy!
      original.destroy! if original.manuscripts.empty?
    end
    Desk.forget(self)
  end

  private

  def keep(document)
    update!(head: Norvel::Snapshot.dump(document, first_document), words: document.word_count, paragraphs: document.paragraphs.size, title: document.info[:title] || title)
  rescue ActiveRecord::StaleObjectError
    raise Stale
  end
end
