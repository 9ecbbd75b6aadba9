# frozen_string_literal: true

# A document on the shelf: the original, the state its edits led to, and the ledger. The database alone is the truth: a
# change and the state it leads to are written in one transaction before anything is answered, and worked out before
# that.
class Manuscript < ActiveRecord::Base
  belongs_to :original
  has_many :ledger_entries, -> { order(:id) }, dependent: :delete_all
  has_many :grants, -> { order(:id) }, dependent: :delete_all # exceptions, in this document alone
  has_many :remarks, dependent: :delete_all
  has_many :submissions, -> { order(id: :desc) }, dependent: :delete_all
  has_one :loose_text, dependent: :destroy # that it was made of

  # Someone else changed the document since this page was drawn.
  Stale = Class.new(Norvel::Error) do
    def message
      "This document was changed in another window since you opened this page. Nothing was done: look at it as it is " \
        "now, and try again."
    end
  end

  # The document can't be shown, though all of it is still kept: its ledger, the file as it came, the way back.
  class Unopened < Norvel::Error
    def initialize(error)
      said = error.is_a?(Norvel::Error) ? error.message : "Norvel made a mistake of its own (#{error.class})."
      super("This document can't be opened as it is now: #{said} Nothing of it is lost.")
    end
  end

  # Reads a file and puts it on the shelf, here and now. Raises Norvel::UnreadableFile.
  def self.bring_in(bytes, filename:, guide: nil, template: nil)
    found = Tasks.weigh(bytes, filename, SavedGuide.told(guide))
    transaction { take_in(Original.keep(bytes), Door.file_name(filename), found, guide:, template:) }
  end

  # Puts a file that was read on the shelf. found: what Tasks.weigh said of it
  def self.take_in(original, filename, found, guide: nil, template: nil)
    create!(original:, filename:, guide:, template:, standing_version: 0, **found)
  end

  def document
    Desk.document(self)
  end

  # The document as it came.
  def first_document
    Desk.original(self)
  end

  # The guide it is held against, with the exceptions granted here: of Norvel::Guide.none where nobody chose one.
  def rules
    (guide ? SavedGuide.rules(guide) : Norvel::Guide.none).granting(grants.map(&:exception))
  end

  # What a style that it lacks begins with: Norvel::Edits::Pattern.
  def pattern
    Norvel::Edits::Pattern.new(guide: rules, template: template && pattern_document)
  end

  def check
    Desk.check(self)
  end

  # Applies an edit to the state that +version+ names. Returns the Norvel::Edits::Change. Raises Stale, Norvel::Refused.
  def perform(edit, version:)
    turn(version) do
      before = document
      change = edit.apply(before)
      raise Norvel::Refused, "There was nothing to change." if change.nothing?
      kinds = edit.details(before).first(200)
      way_back = Norvel::Snapshot.dump_change(change, first_document)
      become(change.after) do
        title = [change.title, where(change)].compact.join(", ")[0, 250]
        ledger_entries.create!(title:, kinds:, touched: change.count,
          words_changed: change.words_changed, way_back:)
      end
      change
    end
  end

  BESIDE = {"footnote" => "notes", "endnote" => "endnotes", "header" => "running heads", "footer" => "running feet",
            "comment" => "comments"}.freeze

  # What a change touched beside the text, in words; nil where it touched nothing there.
  def where(change)
    said = change.beside.map { |kind, count| "#{count} in #{BESIDE.fetch(kind)}" }
    said.join(", ") unless said.empty?
  end

  # Takes the last change back, or every change back to that entry with it, in order. Returns the entries, the last
  # first. +to+: an entry's id; one that is not there any more is Stale.
  def take_back(version:, to: nil)
    turn(version) do
      raise Stale if to && !ledger_entries.exists?(to)
      entries = to ? ledger_entries.where(id: to..).reverse_order.to_a : ledger_entries.last(1)
      next [] if entries.empty?
      become(without(entries)) { entries.each(&:destroy!) }
      entries
    end
  end

  STATES = Norvel::Recent.new(4) # that were looked at last

  # The document as it was before a change of the ledger, by the change's id. Raises Stale where that is not there.
  def document_before(entry)
    entries = ledger_entries.where(id: entry..).reverse_order.to_a
    raise Stale unless entries.last&.id == entry
    STATES.fetch([id, lock_version, entry]) { without(entries) }
  end

  # Holds the document against another guide or template from now on, or against nothing. Raises Stale.
  def judge_by(guide, version:, template: nil)
    turn(version) do
      self.guide = guide
      self.template = template
      become(document)
    end
  end

  # What the shelf shows of it: {"must" => 3, …}, as it was counted last; nil when it was changed since.
  def standing
    {"must" => must, "should" => should, "advice" => advice} if must && standing_version == lock_version
  end

  # Counts how the document stands, so that the shelf need not open it. Nobody's page becomes stale by it.
  def count!
    stands(check)
  end

  # Keeps for the shelf how the document stands by a check of its present state; without that the shelf counts anew.
  def stands(check)
    update_columns(**Standing.of(check), standing_version: lock_version)
    ledger_entries.last&.update_columns(open_findings: check.findings.size)
  rescue ActiveRecord::ActiveRecordError
    nil
  end

  WRITERS = Helpers.new(most: 1)

  # The format that it came in.
  def format
    Norvel::Formats.of(original.bytes)
  end

  # The document as a file of a format (Norvel::Formats::Written), read back and found the same. Raises Norvel::Error
  # with the change that is to blame. The block is told how far it is (Tasks.convert).
  def handed_over(format = self.format.name, &told)
    WRITERS.ask(:convert, original.bytes, filename, head, format, &told)
  rescue Helpers::Busy, Helper::Overdue
    raise
  rescue => error
    said = error.is_a?(Norvel::Error) ? error.message : "Norvel made a mistake of its own (#{error.class})."
    raise Norvel::Error, [said, blame].compact.join(" ")
  end

  def discard
    transaction do
      destroy!
      original.destroy! if original.manuscripts.empty?
    end
    Desk.forget(self)
  end

  private

  PATTERNS = Norvel::Recent.new(10)

  # The document of its template, nil where that was removed.
  def pattern_document
    Norvel::Formats::Template.in_terms_of(document, PATTERNS.fetch(template) { SavedTemplate.document_of(template) })
  rescue Norvel::Refused
    nil
  end

  def turn(version)
    Desk.alone(self) do
      raise Stale if version.to_i != lock_version
      yield
    end
  end

  # The state before these changes, the last first.
  def without(entries)
    entries.inject(document) { |now, entry| Norvel::Snapshot.take_back(entry.way_back, now, first_document) }
  end

  # Everything is worked out before the database is asked, so that others wait for a write alone.
  def become(after)
    head = Norvel::Snapshot.dump(after, first_document)
    transaction do
      yield if block_given?
      update!(head:, **Standing.counts(after), standing_version: nil, fault: nil,
        title: (after.info[:title] || title)[0, 200], updated_at: Time.now)
    end
    Desk.put(self, after)
  rescue ActiveRecord::StaleObjectError
    raise Stale
  end

  # The first change after which the file could not be written any more, in a sentence; nil when it never could.
  def blame
    now = document
    culprit = ledger_entries.reverse_order.find do |entry|
      now = Norvel::Snapshot.take_back(entry.way_back, now, first_document)
      writable?(now)
    end
    culprit && "It could before the change “#{culprit.title}”: take it back in the ledger."
  end

  def writable?(document)
    Norvel::Formats.write(document) && true
  rescue
    false
  end
end
