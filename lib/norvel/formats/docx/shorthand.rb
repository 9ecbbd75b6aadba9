# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A long text says the same few pPr and rPr thousands of times. For a reader that changes nothing, each is
      # replaced in the bytes, before they are parsed, by one that names it by number (<w:rPr n="17"/>): the tree is
      # half as large, and what a number means is parsed and worked out once. A run that is nothing but text becomes one
      # element with that number.
      #
      # Safe because "<" can't stand in text or attribute values: what looks like an element is one, as long as there
      # are no comments, CDATA sections or instructions. Elements that hold a section, or the tracked state before a
      # change, stay.
      class Shorthand
        UNSUITED = /<!|<\?(?!xml )/n
        KEPT = /Change\b|sectPr\b/n

        # The bytes shortened and the Shorthand that explains them, or the bytes and nil where it does not apply.
        def self.of(bytes)
          binary = bytes.b
          prefix = binary[/<([\w.-]+):document[\s>]/n, 1]
          root = prefix && binary[/<#{prefix}:document[^>]*>/n]
          return [bytes, nil] if root.nil? || binary.match?(UNSUITED)
          shorthand = new(root, prefix)
          [shorthand.shorten(binary), shorthand]
        end

        def initialize(root_tag, prefix)
          @root_tag = root_tag.chomp("/>").chomp(">")
          @prefix = prefix
          @slices = []
          @elements = {}
        end

        # The source with a number for each distinct pPr and rPr.
        def shorten(bytes)
          names = Hash.new { |known, slice| known[slice] = name(slice) }
          shorter = bytes.gsub(/<#{@prefix}:pPr>.*?<\/#{@prefix}:pPr>|<#{@prefix}:rPr>.*?<\/#{@prefix}:rPr>/mn, names)
          shorter.gsub!(plain_run, %(<#{@prefix}:r n="\\1">\\2</#{@prefix}:r>))
          shorter
        end

        # The element that a number stands for. Raises UnreadableFile when it is not well-formed.
        def element(number)
          @elements[number] ||= XML.parse("#{@root_tag}>#{@slices.fetch(number.to_i)}</#{@prefix}:document>",
            "word/document.xml").root.first_element_child
        end

        private

        # A run that is nothing but text, its formatting a number already.
        def plain_run
          /<#{@prefix}:r(?:\ [^>\/]*)?>(?:<#{@prefix}:rPr\ n="(\d+)"\/>)?
            <#{@prefix}:t\ xml:space="preserve">([^<]*)<\/#{@prefix}:t><\/#{@prefix}:r>/nx
        end

        def name(slice)
          return slice if slice.match?(KEPT)
          @slices << slice
          "#{slice[/\A<[^>]+/n]} n=\"#{@slices.size - 1}\"/>"
        end
      end
    end
  end
end
