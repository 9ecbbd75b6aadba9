# frozen_string_literal: true

module Norvel
  module Edits
    # Moves paragraphs up before the one above them, or down behind the one below, with the boxes that are anchored in
    # them. The words stay; their order is what changes.
    class MoveParagraphs < Edit
      WAYS = %w[up down].freeze

      # ids: paragraphs; way: of WAYS
      def initialize(ids, way)
        raise Refused, "Paragraphs move up or down." unless WAYS.include?(way)
        @ids = ids
        @way = way
      end

      def change(document)
        @ids.each { |id| document.text_position(id) }
        moving = chosen(document, @ids)
        refuse(moving, document)
        moving = with_boxes(moving, document)
        rest = document.paragraphs - moving
        neighbour = neighbour(moving, document)
        at = rest.index(neighbour) + ((@way == "up") ? 0 : 1)
        document.with(paragraphs: rest.insert(at, *moving.map { |paragraph| settled(paragraph, neighbour) }).freeze)
      end

      def title(_document)
        "Move #{count(@ids.size)} #{@way}"
      end

      def changes_text?
        true
      end

      def changes_objects?
        true # notes and images come in another order
      end

      private

      def refuse(moving, document)
        held = moving.find { |paragraph| %i[section_break last_in_cell].include?(paragraph.holds) }
        if held
          why = (held.holds == :section_break) ? "a section of the document ends in it" : "its cell or box needs it"
          raise Refused, "Paragraph #{document.position(held.id) + 1} can't be moved: #{why}."
        end
        if moving.map(&:container).uniq.size > 1
          raise Refused, "Paragraphs of different cells or boxes can't be moved together."
        end
        objects = moving.flat_map { |paragraph| paragraph.runs.flat_map(&:objects) }
        begins = objects.grep(Document::Field).count(&:cached)
        ends = objects.grep(Document::FieldPart).count { |part| part.role == "end" }
        raise Refused, "A field such as a contents list goes on outside of what is selected." unless begins == ends
      end

      # Paragraphs of boxes follow the one that holds the box.
      def with_boxes(moving, document)
        boxes = moving.flat_map(&:boxes).to_h { |box| [box.id, true] }
        inside = document.paragraphs.select { |paragraph| boxes[paragraph.container] }
        ids = (moving + inside).to_h { |paragraph| [paragraph.id, true] }
        document.paragraphs.select { |paragraph| ids[paragraph.id] }
      end

      # The paragraph beside which they will stand: the nearest of their own container.
      def neighbour(moving, document)
        container = moving.first.container
        list = document.paragraphs.select { |paragraph| paragraph.container == container }
        last = moving.reverse.find { |one| list.include?(one) }
        edge = (@way == "up") ? list.index(moving.first) - 1 : list.index(last) + 1
        found = (edge >= 0) ? list[edge] : nil
        raise Refused, "There is nothing #{(@way == "up") ? "above" : "below"} to move past." unless found
        barred = @way == "down" && %i[section_break last_in_cell].include?(found.holds)
        raise Refused, "The paragraph below ends a section or cell, so nothing can be moved past it." if barred
        found
      end

      # In the section of the neighbour.
      def settled(paragraph, neighbour)
        (paragraph.section == neighbour.section) ? paragraph : paragraph.with(section: neighbour.section)
      end
    end
  end
end
