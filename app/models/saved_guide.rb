# frozen_string_literal: true

# A guide that a person made, in one of its editions: a row is never changed, so a document keeps the edition that it
# was held against. Those that ship are files: Norvel::Guide.shipped. Pages name both by a key: "ravelmouth-thesis",
# "own:3".
class SavedGuide < ActiveRecord::Base
  self.table_name = "guides"

  READ = Norvel::Recent.new(50) # read once

  class << self
    # {key => "Ravelmouth house format, 2026"} of those that ship and of the newest edition of every other.
    def all_by_key
      shipped = Norvel::Guide.shipped.transform_values { |guide| words(guide) }
      shipped.merge(newest.to_h { |one| [one.key, words(rules(one.key))] })
    end

    # The newest edition of each guide that was made, the latest first.
    def newest
      where(id: group(:lineage).select("MAX(id)")).order(id: :desc).to_a
    end

    # The Norvel::Guide of a key. Raises Norvel::Refused.
    def rules(key)
      return Norvel::Guide.shipped[key] if Norvel::Guide.shipped.key?(key)
      row = named(key) or raise Norvel::Refused, "There is no such guide."
      READ.fetch([key, row.source]) { Norvel::Guide.new(row.source, id: key, checked: true) }
    end

    # Is there a guide of this key?
    def key?(key)
      Norvel::Guide.shipped.key?(key) || !named(key).nil?
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

    # A guide from its text, or the next edition of one. Raises Norvel::UnusableGuide.
    def keep(source, origin: nil, after: nil)
      guide = Norvel::Guide.new(source)
      transaction do
        made = create!(name: guide.name[0, 200], source:, origin: origin || after&.origin, lineage: after&.lineage)
        made.update_columns(lineage: made.id) unless after
        made
      end
    end

    def words(guide)
      [guide.name, guide.data["edition"]].compact.join(", ")
    end
  end

  def key
    "own:#{id}"
  end

  # All editions, the first first.
  def editions
    SavedGuide.where(lineage:).order(:id).to_a
  end

  # The edition that came after this one last; nil where there is none.
  def newer
    found = SavedGuide.where(lineage:).order(:id).last
    found unless found.id == id
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

  def in_use(count)
    one = count == 1
    "#{Norvel::Quantity.words(count, "document")} #{one ? "is" : "are"} held against this guide: choose another for " \
      "#{one ? "it" : "them"} first."
  end
end
