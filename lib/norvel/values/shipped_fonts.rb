# frozen_string_literal: true

require "yaml"

module Norvel
  # Which of the fonts that ship a document's font is shown and measured in: data in shipped_fonts.yml.
  module ShippedFonts
    # exact: metric-compatible by design, so that line ends agree.
    StandIn = Struct.new(:family, :exact, :kind)
    DATA = YAML.safe_load_file(File.join(__dir__, "shipped_fonts.yml")).freeze
    CLASSES = {"serif" => "Liberation Serif", "sans" => "Liberation Sans", "mono" => "Liberation Mono"}.freeze

    KNOWN = Recent.new(400) # names come from strangers' files

    module_function

    # {family => {"kind" => …, "files" => …}} of the fonts that ship.
    def families
      DATA["families"]
    end

    # The StandIn for a font name; one of its class when nothing nearer ships.
    def stand_in(name)
      KNOWN.fetch(name) { find(name) }
    end

    def find(name)
      family = families.keys.find { |own| own.casecmp?(name) }
      exact = !family.nil? || DATA["exact"].any? { |known, _| known.casecmp?(name) }
      family ||= lookup(DATA["exact"], name) || lookup(DATA["near"], name) || CLASSES.fetch(guess(name))
      StandIn.new(family, exact, families.dig(family, "kind"))
    end

    def lookup(table, name)
      table.find { |known, _| known.casecmp?(name) }&.last
    end

    # The class that a font's name speaks of: "serif", "sans" or "mono".
    #   ShippedFonts.guess("Courier New") # => "mono"
    def guess(name)
      return "sans" if name.match?(/sans/i)
      DATA["hints"].find { |_, words| words.any? { |word| name.downcase.include?(word) } }&.first || "sans"
    end

    private_class_method :find, :lookup
  end
end
