# frozen_string_literal: true

# A template a person saved from a document. Those that ship are files: Norvel::Template.
class SavedTemplate < ActiveRecord::Base
  self.table_name = "templates"

  # Every template by the key that pages use: {"ship:short-notice" => "Short notice", "own:3" => …}
  def self.all_by_key
    Norvel::Formats::Template.shipped.keys.to_h { |name| ["ship:#{name}", name.tr("-", " ").capitalize] }
      .merge(order(:name).pluck(:id, :name).to_h { |id, name| ["own:#{id}", name] })
  end

  # A template made of a file that was brought in: its styles and pages, and beside them all that it says. Raises
  # Norvel::UnreadableFile.
  def self.keep(whole, filename)
    name = File.basename(filename, ".*")
    pattern = Norvel::Formats.read(whole, name:)
    create!(name: name[0, 100], bytes: Norvel::Formats::Template.bytes(pattern), whole:)
  end

  # Those that a person brought in with what they say.
  def self.kept_whole
    where.not(whole: nil).order(:name)
  end

  # The bytes for such a key. Raises Norvel::Refused.
  def self.bytes_of(key)
    raise Norvel::Refused, "There is no such template." unless all_by_key.key?(key.to_s)
    kind, name = key.to_s.split(":", 2)
    case kind
    when "ship" then (path = Norvel::Formats::Template.shipped[name]) && (return File.binread(path))
    when "own" then (template = find_by(id: name)) && (return template.bytes)
    end
    raise Norvel::Refused, "There is no such template."
  end

  def self.document_of(key)
    Norvel::Formats.read(bytes_of(key), name: all_by_key.fetch(key.to_s))
  end
end
