# frozen_string_literal: true

module Norvel
  module Intake
    # Text from a clipboard, HTML or plain: structure and emphasis are kept, all other formatting is dropped. Turned
    # into pieces in the styles of a document, for Edits::AddParagraphs.
    class Pasted
      LONGEST = 2_000_000

      # A paragraph: its role, and runs as [text, {bold: true …}].
      Block = Struct.new(:role, :runs) do
        # Its words.
        def text
          runs.map(&:first).join
        end
      end

      # The blocks of a piece of a web page. Raises Refused.
      def self.html(source)
        blocks(Formats::Html::Reader.fragment(within(source).scrub))
      end

      # The blocks of plain text. Raises Refused.
      def self.plain(source)
        blocks(Formats::PlainText::Reader.text(within(source).scrub))
      end

      # The source. Raises Refused for more than can be pasted at once.
      def self.within(source)
        return source if source.bytesize <= LONGEST
        raise Refused, "That is more text than can be pasted at once (2 MB): bring it in as a file."
      end
      private_class_method :within

      # What stands in cells is a paragraph each.
      def self.blocks(text)
        flat(text.blocks).flat_map { |block|
          words = block.pieces.reject(&:note).map { |piece| [piece.text, piece.marks.except(:code)] }
          lines(words).map { |line| Block.new(block.role, line) }
        }.reject { |block| block.text.strip.empty? }
      end

      # A line break from elsewhere is mostly meant as the end of a paragraph.
      def self.lines(words)
        words.each_with_object([[]]) do |(text, marks), lines|
          text.split("\n", -1).each_with_index do |part, index|
            lines << [] unless index.zero?
            lines.last << [part, marks] unless part.empty?
          end
        end
      end

      # Blocks in order, those of cells in the place of their tables.
      def self.flat(blocks)
        blocks.flat_map do |block|
          (block.role == "table") ? flat(block.rows.flatten.flat_map(&:blocks)) : [block]
        end
      end
      private_class_method :blocks, :flat, :lines

      # Blocks as pieces in a document's styles: the guide's style for the role, the usual one, or the default. body:
      # the id of the style that running text goes in, where a person said so
      def self.pieces(blocks, document, guide, body: nil)
        blocks.map do |block|
          next Edits::AddParagraphs::Piece.new(body, block.runs) if body && block.role == "body"
          style = [Edits::PutInRoles.style_name(block.role, guide, document), "Body Text"].compact
            .filter_map { |name| document.styles.named(name, "paragraph") }.first || document.styles.default
          Edits::AddParagraphs::Piece.new(style&.id, block.runs)
        end
      end
    end
  end
end
