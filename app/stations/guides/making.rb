# frozen_string_literal: true

# A guide made from what a form names: a file, a document of the shelf, another guide, a manual's text, or nothing.
module GuideMaking
  SOURCES = %w[file document copy manual nothing].freeze
  YAML_FILE = /\.ya?ml\z/i

  private

  # What makes the SavedGuide, when it is called; what was sent is read before. Raises Norvel::Error.
  def guide_maker
    case params[:from]
    when "file" then of_file(sent_file)
    when "document" then Manuscript.find(whole(:of_document)).then { |model| -> { of_document(model) } }
    when "copy" then -> { copied(params[:of_guide]) }
    when "manual" then -> { SavedGuide.keep(empty_guide, origin: "a manual's text", kept: false) }
    when "nothing" then -> { SavedGuide.keep(empty_guide, kept: false) }
    else raise Norvel::Refused, "Choose what the guide is made from."
    end
  end

  # A guide's own text, or what a template or model asks.
  def of_file(file)
    bytes, origin = file[:tempfile].read, file[:filename]
    return -> { SavedGuide.keep(renamed(bytes.force_encoding("UTF-8")), origin:) } if guide_file?(file)
    -> { SavedGuide.keep(renamed(Manuscript::WRITERS.ask(:derive, bytes, origin, nil)), origin:) }
  end

  def guide_file?(file)
    file[:filename].match?(YAML_FILE)
  end

  def of_document(manuscript)
    text = Norvel::Guide::Derived.new(manuscript.document).text
    SavedGuide.keep(renamed(text), origin: manuscript.filename)
  end

  def copied(key)
    guide = SavedGuide.rules(key)
    name = guide_name || "#{guide.name}, copy"
    SavedGuide.keep(Norvel::Guide::Rewritten.new(guide.source).put(["name"], name), origin: guide.name)
  end

  def empty_guide
    raise Norvel::Refused, "A guide needs a name." unless guide_name
    "norvel_guide: 1\nname: #{Norvel::Guide::Rewritten.inline(guide_name)}\n"
  end

  # Under the name that was typed, else its own.
  # A guide's text under the name that the form says. Raises UnusableGuide where it is none.
  def renamed(text)
    return text unless guide_name
    Norvel::Guide::YamlText.new(text) # can it be read?
    Norvel::Guide::Rewritten.new(text).put(["name"], guide_name)
  end

  def guide_name
    name = params[:name].to_s.strip
    name[0, 200] unless name.empty?
  end
end
