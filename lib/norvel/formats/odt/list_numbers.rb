# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A file in which lists were parted, joined and moved, read again: entries whose number would be another than the
      # document's say it themselves (ISO/IEC 26300-1 19.880 text:start-value).
      class ListNumbers
        def initialize(document, container)
          @reader = Reader.new(Package.new(container), name: document.name, keep_nodes: true)
          @wanted = document.numbering.numbers(document)
            .transform_keys { |id| document.text_position(id) }
          @wrong = wrong(@reader.document)
        end

        # Does every item count as the document says?
        def right?
          @wrong.empty?
        end

        # The text part with the numbers said where they were wrong.
        def bytes
          part = @reader.package.content
          @wrong.each do |ordinal, number|
            node = @reader.text.nodes.paragraphs[ordinal]
            item = (node.parent.name == "list-item") ? node.parent : node
            next unless %w[list-item h].include?(item.name)
            part.set(item, "text:start-value", number)
            part.set(item, "text:restart-numbering", "true") if item.name == "h"
          end
          @reader.package.packed([part])
        end

        private

        # {ordinal => the number it should have}, each counted on from.
        def wrong(document)
          found = {}
          document.numbering.count(document) do |paragraph, levels, level, count|
            wanted = @wanted[paragraph.source]
            next if wanted.nil? || count[level] == wanted || levels[level]&.bullet?
            found[paragraph.source] = count[level] = wanted
          end
          found
        end
      end
    end
  end
end
