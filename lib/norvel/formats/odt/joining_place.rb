# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The place in an OpenDocument text where the text of another goes.
      class JoiningPlace
        HOLDERS = %w[text section].freeze # what may hold any block

        # base: a Reader with its elements; from, till: as Docx::Joining has them
        def initialize(base, from:, till:)
          @body = base.package.text
          @part = base.package.content
          @nodes = base.text.nodes.paragraphs
          @paragraphs = base.text.paragraphs
          @from, @till = from, till
        end

        # The number of the section in which the place is.
        def section
          (@from ? @paragraphs[@from] : @paragraphs.last)&.section || 1
        end

        # Did the first of what went begin its section?
        def begins?
          return false unless @from
          @from.zero? || @paragraphs[@from - 1].section != section
        end

        # The element of the first paragraph that stays, where it goes on in the section of the place; else nil.
        def following
          @nodes[@till] if @till && @paragraphs[@till].section == section
        end

        # Puts elements in the place of what was there.
        def put(nodes)
          return nodes.each { |node| @body.add_child(node) } unless @from
          first = top(@nodes[@from], @from.zero? ? nil : @nodes[@from - 1])
          after = first.previous_element
          holder = first.parent
          Cleared.between(first, @till && @nodes[@till], @body)
          nodes.reverse_each { |node| after ? after.add_next_sibling(node) : holder.prepend_child(node) }
        end

        private

        # The highest element around a paragraph that the one before it does not stand in.
        def top(node, before)
          around = before ? before.ancestors.to_a : []
          node = node.parent until node.parent == @body || around.include?(node.parent)
          return node if HOLDERS.include?(node.parent.name)
          raise Refused, "The place for the text is within a list or a table: choose the paragraph that begins it."
        end
      end
    end
  end
end
