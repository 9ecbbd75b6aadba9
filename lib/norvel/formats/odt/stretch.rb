# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A part of an OpenDocument text as a file of its own: Docx::Stretch for this format.
      class Stretch
        # document: as it was read from its file
        def initialize(document)
          @reader = Reader.new(Package.new(document.source), name: document.name, keep_nodes: true).tap(&:document)
          @source = document.source
          blocks = @reader.package.text.element_children
          tops = blocks.each_with_index.to_h { |node, place| [node.pointer_id, place] }
          @tops = @reader.text.nodes.paragraphs.map { |node| tops[top(node).pointer_id] }
        end

        # Does an element of the body begin with this paragraph?
        def begins?(place)
          place.zero? || @tops[place] != @tops[place - 1]
        end

        # The bytes of a file with these paragraphs; till: nil for the end.
        def bytes(from, till)
          package = Package.new(@source)
          blocks = package.text.element_children.to_a
          first, last = @tops[from], till ? @tops[till] - 1 : blocks.size - 1
          begin_pages(package, blocks[first], from)
          blocks.each_with_index do |node, place|
            node.remove unless place.between?(first, last) || Joining::BEFORE.include?(node.name)
          end
          package.packed([package.content])
        end

        private

        def top(node)
          node = node.parent until node.parent == @reader.package.text
          node
        end

        # The first paragraph begins the pages that its section has.
        def begin_pages(package, node, from)
          section = @reader.text.paragraphs[from].section
          _, master = @reader.text.page_starts.reverse.find { |number, _| number <= section }
          PageBegin.put(package, node, master) if master && %w[p h].include?(node.name)
        end
      end
    end
  end
end
