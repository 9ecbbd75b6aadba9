# frozen_string_literal: true

# A file that was sent and is not read yet, or can't be. What is kept of it outlives this run.
class Arrival < ActiveRecord::Base
  MOST = 200 # that wait
  belongs_to :original

  scope :waiting, -> { where(fault: nil).order(:id) }

  # Keeps the file. Raises Norvel::Refused where too many wait.
  def self.keep(bytes, filename:, guide: nil, template: nil)
    if waiting.count >= MOST
      raise Norvel::Refused, "#{MOST} files are waiting to be read: bring this one in when some of them are done."
    end
    transaction { create!(original: Original.keep(bytes), filename: Door.file_name(filename), guide:, template:) }
  end

  # How many are read before it.
  def before
    Arrival.waiting.where(id: ...id).count
  end

  # The Manuscript or LooseText that it is, by what Tasks.weigh found; it is no arrival any more.
  def become(found)
    transaction do
      made = found[:text] ? text(found) : Manuscript.take_in(original, filename, found, guide:, template:)
      destroy!
      made
    end
  end

  # It can't be read, for this reason; it stays on the shelf until it is removed.
  def fail(sentence)
    update!(fault: sentence[0, 500])
  end

  # Takes it off the shelf.
  def discard
    transaction { destroy! && original.destroy! }
  end

  private

  def text(found)
    LooseText.create!(bytes: original.bytes, filename:, **found.slice(:title, :words)).tap { original.destroy! }
  end
end
