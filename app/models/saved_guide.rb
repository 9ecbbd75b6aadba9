# frozen_string_literal: true

# A guide that a person made, in one of its editions. What is kept never changes, so a document keeps the edition that
# it was held against; changes that are not kept yet are a row of their own, the newest. Guides that ship are files
# (Norvel::Guide.shipped). Pages name both by a key: "ravelmouth-thesis", "own:3".
class SavedGuide < ActiveRecord::Base
  self.table_name = "guides"

  READ = Norvel::Recent.new(50) # read once
  LATE = "This guide was changed in another window since. Look at it as it is now."

  class << self
    # {key => "Ravelmouth house format, 2026"} of those that ship and of the newest edition of every other.
    def all_by_key
      shipped = Norvel::Guide.shipped.transform_values { |guide| words(guide) }
      shipped.merge(newest.to_h { |one| [one.key, words(rules(one.key))] })
    end

    # The newest edition of each guide that was made, the latest first.
    def newest
      where(id: where(kept: true).group(:lineage).select("MAX(id)")).order(id: :desc).to_a
    end

    # The newest row of each, whether it is kept or not, the latest first.
    def latest
      where(id: group(:lineage).select("MAX(id)")).order(id: :desc).to_a
    end

    # The Norvel::Guide of a key. Raises Norvel::Refused.
    def rules(key)
      return Norvel::Guide.shipped[key] if Norvel::Guide.shipped.key?(key)
      row = named(key) or raise Norvel::Refused, "There is no such guide."
      READ.fetch([key, row.source]) { Norvel::Guide.new(row.source, id: key, checked: true) }
    end

    # Can a document be held against the guide of this key?
    def key?(key)
      Norvel::Guide.shipped.key?(key) || named(key)&.kept || false
    end

    # The edition of a key, nil for those that ship.
    def named(key)
      number = key.to_s[/\Aown:(\d{1,18})\z/, 1]
      number && find_by(id: number)
    end

    # As another process is told of it: a name of those that ship, else its text.
    def told(key)
      key && (named(key)&.source || key)
    end

    # A guide from its text. kept: is it an edition, or still begun? Raises Norvel::UnusableGuide.
    def keep(source, origin: nil, kept: true)
      transaction do
        made = create!(name: read(source).name[0, 200], source:, origin:, kept:)
        made.tap { made.update_columns(lineage: made.id) }
      end
    end

    # The Guide of a text. Raises Norvel::UnusableGuide.
    def read(source)
      Norvel::Guide.new(source)
    end

    # "Ravelmouth house format 2026", "Ours, edition 2"; what is gone is said to be.
    def full_name(key)
      return "a guide that is gone" unless key?(key)
      guide, row = rules(key), named(key)
      [[guide.name, guide.data["edition"]].compact.join(" "), ("edition #{row.number}" if row)].compact.join(", ")
    end

    def words(guide)
      [guide.name, guide.data["edition"]].compact.join(", ")
    end
  end

  def key
    "own:#{id}"
  end

  # Which text a page was drawn for.
  def version
    Digest::SHA256.hexdigest(source)[0, 16]
  end

  # Puts a text in its place: of an edition that is kept, changes to be kept are begun. Returns the row that has them.
  # Raises Norvel::UnusableGuide; Norvel::Refused where another window was there before.
  def change(text, seen:)
    guide = SavedGuide.read(text)
    transaction do
      raise Norvel::Refused, LATE if seen != reload.version || !newest?
      row = kept ? dup.tap { |one| one.assign_attributes(kept: false, created_at: nil) } : self
      row.tap { |one| one.update!(source: text, name: guide.name[0, 200]) }
    end
  end

  # The changes become the next edition. Raises Norvel::Refused where there are none, or others by now.
  def keep_changes(seen:)
    begun(seen)
    update!(kept: true, created_at: Time.now)
  end

  # Puts changes that are not kept away. Returns the edition before, nil for none. Raises as keep_changes.
  def drop_changes(seen:)
    begun(seen)
    delete
    editions.last
  end

  # Is there no later text of it?
  def newest?
    SavedGuide.where(lineage:).maximum(:id) == id
  end

  # All editions that are kept, the first first.
  def editions
    SavedGuide.where(lineage:, kept: true).order(:id).to_a
  end

  # The number of this edition, from 1; of changes that are not kept yet the next one.
  def number
    SavedGuide.where(lineage:, kept: true).where(id: ...id).count + 1
  end

  # The last edition, where it came after this one; else nil.
  def newer
    found = editions.last
    found if found && found.id > id
  end

  # Documents that are held against any of its editions.
  def users
    Manuscript.where(guide: editions.map(&:key))
  end

  # Takes all its editions off. Raises Norvel::Refused while documents are held against it.
  def discard
    count = users.count
    raise Norvel::Refused, in_use(count) if count.positive?
    SavedGuide.where(lineage:).delete_all
  end

  private

  def begun(seen)
    raise Norvel::Refused, "There are no changes of this guide that are not kept yet." if kept
    raise Norvel::Refused, LATE if seen != version
  end

  def in_use(count)
    one = count == 1
    "#{Norvel::Quantity.words(count, "document")} #{one ? "is" : "are"} held against this guide: choose another for " \
      "#{one ? "it" : "them"} first."
  end
end
