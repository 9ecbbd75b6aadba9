# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Namespaces and names of styles. Source: ISO/IEC 26300-1 and its schema; the usual names of styles are common
      # practice, since the standard has none.
      module Names
        OASIS = "urn:oasis:names:tc:opendocument:xmlns:"
        SPACES = {
          "office" => "#{OASIS}office:1.0", "style" => "#{OASIS}style:1.0", "text" => "#{OASIS}text:1.0",
          "table" => "#{OASIS}table:1.0", "draw" => "#{OASIS}drawing:1.0", "fo" => "#{OASIS}xsl-fo-compatible:1.0",
          "svg" => "#{OASIS}svg-compatible:1.0", "meta" => "#{OASIS}meta:1.0", "number" => "#{OASIS}datastyle:1.0",
          "config" => "#{OASIS}config:1.0", "manifest" => "#{OASIS}manifest:1.0",
          "xlink" => "http://www.w3.org/1999/xlink", "dc" => "http://purl.org/dc/elements/1.1/",
          "math" => "http://www.w3.org/1998/Math/MathML"
        }.freeze
        XML_SPACE = "http://www.w3.org/XML/1998/namespace"

        # Ids of styles in the document: a paragraph style's name itself, others with their family before it, since
        # names are unique in a family alone. A colon can't stand in a name.
        FAMILIES = {"paragraph" => nil, "character" => "text", "table" => "table", "numbering" => "list"}.freeze
        ENCODED = /_([0-9a-fA-F]{1,4})_/
        PLAIN = /[A-Za-z0-9.-]/

        module_function

        # The id of a style in a document.
        #   id("Emphasis", "character") # => "text:Emphasis"
        def id(name, type)
          family = FAMILIES.fetch(type)
          family ? "#{family}:#{name}" : name
        end

        # The name that an id stands for.
        def key(id)
          id.sub(/\A(?:text|table|list):/, "")
        end

        # A name like a stem that none of those taken has: the stem, or it with a number.
        #   free("Mpm1", ["Mpm1"]) # => "Mpm2"
        def free(stem, taken)
          [stem, *(1..taken.size + 1).map { |number| "#{stem.sub(/\d+\z/, "")}#{number}" }]
            .find { |name| !taken.include?(name) }
        end

        # A name as a key holds it: "Heading 1" is "Heading_20_1".
        def encoded(name)
          text = name.each_char.map { |char| char.match?(PLAIN) ? char : format("_%x_", char.ord) }.join
          text.match?(/\A[A-Za-z_]/) ? text : format("_%x_", text.ord) + text[1..]
        end

        # The name that an encoded one stands for (26300-3 19.502).
        def decoded(key)
          key.gsub(ENCODED) { [$1.hex].pack("U") }
        end
      end
    end
  end
end
