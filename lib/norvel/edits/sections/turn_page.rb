# frozen_string_literal: true

module Norvel
  module Edits
    # Turns the sheet for a wide table: the table gets a section of its own, with its caption, on a sheet that lies on
    # its long side. What was the binding side is its upper edge then.
    class TurnPage < Edit
      include Dividing

      # Which margin of the upright sheet each margin of the turned one is.
      TURNED = {margin_top: :margin_left, margin_bottom: :margin_right, margin_left: :margin_bottom,
                margin_right: :margin_top}.freeze

      # paragraph: the id of one in the table
      def initialize(paragraph)
        @paragraph = paragraph
      end

      def change(document)
        first, last = stretch(document)
        refuse(document, first, last)
        begun = document.paragraphs[first].id
        made = begins_within?(document, last + 1) ? ended(document, last) : document
        made = with_section(made, first) if begins_within?(made, first)
        turned(made, made.paragraph(begun).section)
      end

      def title(_document)
        "Turn the sheet of a table"
      end

      # A page break becomes the end of a section.
      def removes_white_space?
        true
      end

      # Lines with parts at the right are set anew for the other measure.
      def changes_heads?(_document)
        true
      end

      def kinds_changed(_document)
        [:field]
      end

      # Is it in a table on a sheet that stands upright?
      def self.possible?(document, paragraph)
        paragraph.part == :table && !document.section_of(paragraph).landscape?
      end

      private

      # Does the section before go on there?
      def begins_within?(document, place)
        before, this = document.paragraphs[place - 1], document.paragraphs[place]
        place.positive? && this && before.section == this.section
      end

      # The document with a section that ends with that paragraph, or with one added after it: none ends with a table.
      def ended(document, last)
        return with_section(document, last + 1) unless document.paragraphs[last].container
        with_section(with_ending(document, last), last + 2)
      end

      # Places of the first and the last paragraph: the table's, with the captions beside it.
      def stretch(document)
        at = document.text_position(@paragraph)
        table = table_of(document, document.paragraphs[at])
        first, last = table.minmax
        first -= 1 if caption?(document, first - 1, document.paragraphs[first].section)
        last += 1 if caption?(document, last + 1, document.paragraphs[last].section)
        [first, last]
      end

      # Places of what stands in the outermost table around a paragraph.
      def table_of(document, paragraph)
        owner = document.tables.find { |one| one.cells.any? { |cell| cell.id == paragraph.container } } or
          raise Refused, "That is not in a table."
        owner = document.tables.find { |one| one.cells.any? { |cell| cell.id == owner.parent } } while owner&.parent
        raise Refused, "The table stands in a box, which has no sheet of its own." unless owner
        within = inside(document, owner)
        document.paragraphs.each_index.select { |place| within[document.paragraphs[place].container] }
      end

      def inside(document, owner)
        ids = owner.cells.to_h { |cell| [cell.id, true] }
        document.tables.each { |table| table.cells.each { |cell| ids[cell.id] = true } if ids[table.parent] }
        ids
      end

      def caption?(document, place, section)
        paragraph = (document.paragraphs[place] unless place.negative?) or return false
        paragraph.container.nil? && paragraph.section == section && Survey.role(document, paragraph) == "caption"
      end

      def refuse(document, first, last)
        paragraph = document.paragraphs[first]
        raise Refused, "Its sheet lies on its long side already." if document.section_of(paragraph).landscape?
        if close?(document, first, document.paragraphs[first - 1]) ||
            (!document.conventions.sections_end && close?(document, last + 1, document.paragraphs[last + 1]))
          raise Refused, "Two tables stand right after each other: put a paragraph between them first."
        end
        return if document.conventions.sections_end || paragraph.container.nil?
        raise Refused, "Put the caption of the table above it first: the turned page begins with it."
      end

      # Does a table stand right where a section would begin or end?
      def close?(document, place, paragraph)
        begins_within?(document, place) && paragraph.container
      end

      # A section ends with a paragraph, and a table is none.
      def with_ending(document, last)
        like = document.paragraphs[last]
        added = Document::Paragraph.new(document.next_id, :body, like.section, document.styles.default&.id,
          Styles::PropertySet::EMPTY, Styles::PropertySet::EMPTY, [].freeze)
        document.with(paragraphs: document.paragraphs.dup.insert(last + 1, added).freeze)
      end

      def turned(document, number)
        upright = document.sections[number - 1]
        values = TURNED.transform_values { |name| upright[name] }
        section = upright.with(width: upright.height, height: upright.width, gutter: 0.0, **values)
        made = document.with(sections: document.sections.dup.tap { |list| list[number - 1] = section }.freeze)
        fitted(made, number)
      end

      # Heads and feet with parts that stand at tab stops get those of the wider measure.
      def fitted(document, number)
        lines = SetRunning::KINDS.filter_map { |kind|
          story = document.head(number, kind)
          line = story && Running::Line.read(story, document)
          [kind, line] if line && line.sides.size > 1
        }.to_h
        lines.empty? ? document : SetRunning.new([number], lines).change(document)
      end
    end
  end
end
