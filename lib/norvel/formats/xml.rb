# frozen_string_literal: true

module Norvel
  module Formats
    # XML from a stranger: strict, no network, no entities of its own.
    module XML
      TAGS = 1_000_000 # in one part: a text of a million words has about as many

      module_function

      # A part as bytes: never formatted, so that no white space appears.
      def bytes(xml)
        xml.serialize(encoding: "UTF-8", save_with: Nokogiri::XML::Node::SaveOptions::AS_XML)
      end

      # The parsed part. Raises UnreadableFile, naming the part.
      def parse(bytes, part)
        if bytes.count("<") > TAGS
          raise UnreadableFile, "The part “#{part}” of the file holds more elements than any text needs."
        end
        document = Nokogiri::XML::Document.parse(bytes, nil, nil) { |options| options.strict.nonet }
        subset = document.internal_subset
        if subset&.children&.any?
          raise UnreadableFile, "The part “#{part}” declares entities of its own, which a document has no need of."
        end
        raise UnreadableFile, "The part “#{part}” of the file is empty." unless document.root
        document
      rescue Nokogiri::XML::SyntaxError => error
        reason = error.message.match?(/depth|huge|amplification|loop/i) ? "is nested or grown beyond what a document " \
          "needs" : "is not well-formed#{" (line #{error.line})" if error.line}"
        raise UnreadableFile, "The part “#{part}” of the file #{reason}."
      end
    end
  end
end
