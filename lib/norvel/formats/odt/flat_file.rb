# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # An OpenDocument text as one XML file (ISO/IEC 26300-1 3.1.2 office:document). Pictures stand in it as base64:
      # they are taken out before it is parsed, so that no text in it is longer than the parser allows, and put back
      # when it is written. It answers what a Container does, so that readers need not know which they have.
      class FlatFile
        HEAD = 4096
        BINARY = %r{(<((?:[\w.-]+:)?binary-data)[^<>/]*>)([^<]*)(</\2\s*>)}n
        PLACE = /\ANorvel picture (\d+)\z/

        attr_reader :bytes

        # Does the file begin as one?
        def self.flat?(bytes)
          head = bytes.byteslice(0, HEAD).to_s.b
          head.match?(/\A(?:\xEF\xBB\xBF)?\s*</n) && head.match?(/<(?:[\w.-]+:)?document\s[^>]*opendocument/mn)
        end

        def initialize(bytes)
          Container.refuse_larger(bytes.bytesize, "The file")
          @bytes = bytes
          @pictures = []
          @xml = bytes.b.gsub(BINARY) do
            @pictures << $3
            "#{$1}Norvel picture #{@pictures.size}#{$4}"
          end
          return if @xml.bytesize <= Container::XML_PART
          raise UnreadableFile, "The file holds more than #{Container::XML_PART / 1_000_000} MB of text, which is " \
            "more than a document needs."
        end

        # The XML without its pictures.
        attr_reader :xml

        # Is it one XML file, not a package?
        def flat?
          true
        end

        # Names for the pictures that it holds within.
        def names
          (1..@pictures.size).map { |number| "pictures/#{number}" }
        end

        # Is there a picture of this name?
        def include?(name)
          names.include?(name)
        end

        # The bytes of a picture by its path.
        def read(name)
          number = name[%r{\Apictures/(\d+)\z}, 1] or return
          @pictures[number.to_i - 1]&.unpack1("m")
        end

        # The path of the picture that an element's text stands for, nil for none.
        def path_of(text)
          number = PLACE.match(text.to_s.strip)&.[](1) and "pictures/#{number}"
        end

        # XML with the pictures in their places again.
        def filled(xml)
          xml.b.gsub(/Norvel picture (\d+)/n) { @pictures[$1.to_i - 1] || $& }
        end
      end
    end
  end
end
