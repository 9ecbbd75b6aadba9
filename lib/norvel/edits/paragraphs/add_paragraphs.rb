# frozen_string_literal: true

module Norvel
  module Edits
    # Adds paragraphs after one. A single text takes the style that follows on that paragraph's.
    class AddParagraphs < Edit
      # A paragraph to add: the id of its style (nil for the next style), and its runs as [text, {bold: true, …}].
      Piece = Struct.new(:style, :runs)

      def initialize(after, pieces)
        @after = after
        @pieces = pieces
      end

      # One paragraph of plain text.
      def self.text(after, text)
        new(after, [Piece.new(nil, [[text, {}]])])
      end

      def change(document)
        typed = @pieces.flat_map { |piece| piece.runs.map(&:first) }
        raise Refused, "There is nothing to add." if typed.all? { |text| text.strip.empty? }
        position = document.text_position(@after)
        before = document.paragraphs[position]
        if before.holds == :last_in_cell
          raise Refused, "Nothing can be added here: the cell or box ends with this paragraph."
        end
        id = document.next_id
        added = @pieces.each_with_index.map { |piece, index| made(piece, document, before, id + index) }
        document.with(paragraphs: document.paragraphs.dup.insert(position + 1, *added).freeze)
      end

      def title(_document)
        "Add #{count(@pieces.size)}"
      end

      def changes_text?
        true
      end

      private

      def made(piece, document, before, id)
        style = piece.style || next_style(document, before)
        runs = piece.runs.map do |text, values|
          Document::Run.new(Characters.typed(text.tr("\r", "")), nil, set(values))
        end
        section = (before.holds == :section_break) ? before.section + 1 : before.section
        Document::Paragraph.new(id, before.part, section, style, Styles::PropertySet::EMPTY, Styles::PropertySet::EMPTY,
          runs.freeze,
          before.table, nil, nil, before.container)
      end

      def set(values)
        Styles::PropertySet.of(values.inject({}) { |set, (name, value)| set.merge(Setting.slots(name, value)) })
      end

      def next_style(document, before)
        style = document.style_of(before)
        (style && document.styles[style.next_id])&.id || before.style_id
      end
    end
  end
end
