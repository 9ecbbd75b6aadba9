# frozen_string_literal: true

# The one door for what a browser sends: each name has a kind, text is UTF-8 that a file can hold, and no longer than it
# needs to be. What does not fit is answered with a sentence (400) before any route sees it.
module Door
  # What was sent is not what this page sends.
  Malformed = Class.new(Norvel::Error)

  LISTS = %w[hit stays paragraph role take sections inherit part without shown offered on matter_at
    matter_format matter_start matter_first matter_begins matter_place cause leave decorative].freeze
  MAPS = %w[values of_level of_page partner description members placeholder order].freeze
  FILES = %w[file].freeze
  FILE_LISTS = %w[files].freeze
  MOST_FILES = 200 # of a list
  LONGEST = {"text" => 2_100_000, "html" => 4_000_000, "ids" => 400_000, "loaded" => 20_000, "words" => 100_000}.freeze
  USUAL = 5_000 # letters of any other field
  ENTRIES = 5_000 # of a list or map

  module_function

  # The same parameters, each of its kind. Raises Malformed.
  def open(params)
    params.to_h { |name, value| [text(name, "name of a field"), value(name.to_s, value)] }
  end

  def value(name, value)
    case value
    when nil then nil
    when String then MAPS.include?(name) ? map(name, nil) : text(value, name)
    when Array then FILE_LISTS.include?(name) ? files(name, value) : list(name, value)
    when Hash then FILES.include?(name) ? file(value) : map(name, value)
    else raise Malformed, "“#{name}” is not what this page sends."
    end
  end

  def list(name, values)
    fits = LISTS.include?(name) && values.size <= ENTRIES && values.all?(String)
    raise Malformed, "“#{name}” came as a list that this page does not send." unless fits
    values.map { |value| text(value, name) }
  end

  def map(name, values)
    fits = values && MAPS.include?(name) && values.size <= ENTRIES && values.all? { |key, value|
      key.is_a?(String) && value.is_a?(String)
    }
    raise Malformed, "“#{name}” came as a table that this page does not send." unless fits
    values.to_h { |key, value| [text(key, name), text(value, name)] }
  end

  def files(name, values)
    fits = values.size <= MOST_FILES && values.all?(Hash)
    raise Malformed, "“#{name}” came as a list of files that this page does not send." unless fits
    values.map { |value| file(value) }
  end

  def file(value)
    raise Malformed, "The file did not come as a file." unless value[:tempfile].respond_to?(:read)
    value.merge(filename: file_name(value[:filename]))
  end

  def text(value, name)
    text = value.dup.force_encoding(Encoding::UTF_8)
    unless text.valid_encoding?
      field = Norvel::Characters.legal(name.to_s.b.force_encoding("UTF-8"))[0, 40]
      raise Malformed, "“#{field}” is not text in UTF-8."
    end
    raise Malformed, "“#{name[0, 40]}” is longer than this page takes." if text.size > LONGEST.fetch(name, USUAL)
    Norvel::Characters.legal(text)
  end

  # A name that fits a field; its extension stays.
  def file_name(name)
    text = name.to_s.dup.force_encoding("UTF-8").scrub.tr("\\", "/").delete("\0")
    name = Norvel::Characters.legal(File.basename(text))
    ending = File.extname(name)[0, 10]
    File.basename(name, ".*")[0, 200 - ending.size].then do |stem|
      stem.empty? ? "document#{ending}" : "#{stem}#{ending}"
    end
  end
end
