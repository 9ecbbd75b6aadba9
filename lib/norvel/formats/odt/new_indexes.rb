# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Contents lists that were put in: their paragraphs stand in the element of an index (ISO/IEC 26300-1 8).
      class NewIndexes
        def initialize(part)
          @part = part
        end

        # paragraphs: of the story as it is; made: elements of new ones by their ids
        def wrap(paragraphs, made)
          open = nil
          paragraphs.each do |paragraph|
            node = made[paragraph.id] or next
            marks = Structure::ContentsLists.marks(paragraph)
            open ||= marks.grep(Document::Field).find { |field| field.does == "contents" }&.then { |field| [field, []] }
            next unless open
            open.last << node
            next unless marks.any?(Document::FieldPart)
            enclose(*open)
            open = nil
          end
        end

        private

        def enclose(field, nodes)
          count = @part.root.xpath("//*[local-name()='table-of-content' or local-name()='illustration-index']").size
          list = IndexElements.make(field.computes, @part, count + 1)
          nodes.first.add_previous_sibling(list)
          body = list.element_children.last
          nodes.each { |node| body.add_child(node) }
        end
      end
    end
  end
end
