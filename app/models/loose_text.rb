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

  # Raises Norvel::UnreadableFile for what holds no words.
  def self.bring_in(bytes, filename:)
    text = Norvel::Formats.markup(bytes, filename.to_s).read(bytes)
    create!(bytes:, filename: Door.file_name(filename), words: text.words.size)
  end

  def format
    Norvel::Formats.markup(bytes, filename)
  end

  # What is in it: Norvel::Markup::Text.
  def text
    @text ||= format.read(bytes)
  end

  def title
    text.info[:title] || File.basename(filename, ".*").tr("_", " ")
  end

  # The document of the text in the styles of a template, on the shelf. Raises Norvel::Error.
  def dress(template, guide: Manuscript::DEFAULT_GUIDE)
    file = Norvel::Formats.dress(text, template, name: filename)
    name = "#{File.basename(filename, ".*")}#{Norvel::Formats[template.format].extension}"
    transaction do
      Manuscript.bring_in(file.bytes, filename: name, guide:).tap { |made| update!(manuscript: made) }
    end
  end
end
