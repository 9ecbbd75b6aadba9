# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The words of a file's paragraphs with what was inserted among them: Formats::Insertions.
      module Tracked
        WORDS = ".//*[local-name()='t']"

        module_function

        # [[[[words, inserted?], …] of each paragraph], the Paragraphs as they were read]
        def words(document)
          reader = Reader.new(document.source, name: document.name, keep_nodes: true)
          came = reader.document.paragraphs
          [reader.text.nodes.paragraphs.map { |node| words_of(node) }, came]
        end

        def words_of(node)
          node.xpath(WORDS).filter_map do |text|
            around = text.ancestors.take_while { |above| above != node }.map(&:name)
            [text.content, around.include?("ins")] unless around.include?("p") || text.content.empty?
          end
        end
        private_class_method :words_of
      end
    end
  end
end
