# frozen_string_literal: true

# A text in markup as it came. It waits on the shelf until it is dressed in a template, and is kept beside the document
# that was made of it.
class LooseText < ActiveRecord::Base
  belongs_to :manuscript, optional: true

  scope :waiting, -> { where(manuscript: nil).order(id: :desc) }

  # Is a file of this name such a text?
  def self.markup?(bytes, filename)
    !Norvel::Formats.markup(bytes, filename.to_s).nil?
  end

  # Reads a text and puts it on the shelf, here and now. Raises Norvel::UnreadableFile for what holds no words.
  def self.bring_in(bytes, filename:)
    create!(bytes:, filename: Door.file_name(filename), **Tasks.weigh(bytes, filename.to_s, nil).slice(:title, :words))
  end

  def format
    Norvel::Formats.markup(bytes, filename)
  end

  # What is in it: Norvel::Markup::Text.
  def text
    @text ||= format.read(bytes)
  end

  # Kept when it came; texts of earlier editions are read once for it.
  def title
    self[:title] || (text.info[:title] || File.basename(filename, ".*").tr("_", " "))[0, 200].tap do |said|
      update_columns(title: said)
    end
  end

  # The document of the text in the styles of a template (the bytes of its file), on the shelf. Raises Norvel::Error.
  def dress(template, guide: nil)
    file, name, found = Manuscript::WRITERS.ask(:dress, bytes, filename, template, SavedGuide.told(guide))
    transaction do
      made = Manuscript.take_in(Original.keep(file), Door.file_name(name), found, guide:)
      update!(manuscript: made)
      made
    end
  end
end
