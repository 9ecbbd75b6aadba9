# frozen_string_literal: true

module Norvel
  # Text in markup, before it wears any style: what its paragraphs are, and what is set apart in them. Readers of markup
  # make it, Formats::FromMarkup puts it in the styles of a template.
  module Markup
    # Addresses that a link may have: nothing that a browser would run.
    ADDRESS = /\A(?:https?:|mailto:|ftp:|tel:|#)/i

    MOST_BLOCKS = 12_000 # paragraphs and cells, some 500 pages

    # Raises UnreadableFile for more than a text may have.
    def self.refuse_more(count)
      return if count <= MOST_BLOCKS
      raise UnreadableFile, "The text holds more than #{MOST_BLOCKS / 1000},000 paragraphs and cells of tables, " \
        "which is more than can be dressed at once: divide it."
    end

    # A stretch of words. text: with LF for a line break; marks: {bold: true, …} as property sets have them, and code:
    # true; link: an address or "#place"; note: the key of a note that stands here; image: Image;
    # formula: source of a Mathml::Node, whose letters in a row are the text
    Piece = Value.define(:text, :marks, :link, :note, :image, :formula, text: "", marks: {}.freeze) do
      # Is it letters alone?
      def words?
        note.nil? && image.nil? && formula.nil?
      end
    end

    # A paragraph or table. role: of Roles, or "table"; place: a ListPlace or nil; rows: of a table, each [Cell, …]
    Block = Value.define(:role, :pieces, :place, :rows, :caption, pieces: [].freeze) do
      # Its words.
      def text
        pieces.map(&:text).join
      end

      # Is there nothing to read in it?
      def blank?
        role != "table" && pieces.all? { |piece| piece.words? && !piece.text.match?(/\S/) }
      end
    end

    # Where a paragraph stands among lists: key is one for all paragraphs of a list; ordered: has it numbers? start: the
    # first of them; level from 0; continues: is it a further paragraph of its entry?
    ListPlace = Value.define(:key, :ordered, :start, :level, :continues, start: 1, level: 0, continues: false)

    # A cell of a table: what stands in it, is it a heading, how many columns and rows it spans.
    Cell = Value.define(:blocks, :header, :columns, :rows, header: false, columns: 1, rows: 1)

    # An image: its description, its bytes where they came along, the address where not.
    Image = Value.define(:description, :bytes, :address)

    # The whole: blocks in order; notes: {key => blocks}; info: {title:, author:, date:, language:} as far as it is
    # said.
    Text = Value.define(:blocks, :notes, :info, notes: {}.freeze, info: {}.freeze) do
      # In order. beside: those of notes too? A document counts without them.
      def words(beside: true)
        [blocks, *(beside ? notes.values : [])].flatten.flat_map { |block| Markup.words_of(block) }
      end
    end

    # Blocks as they belong together: entries of lists, lines of code, parts of a quotation; others by themselves.
    def self.groups(blocks)
      blocks.chunk_while do |one, other|
        next one.place && other.place if one.place || other.place
        one.role == other.role && %w[code quote].include?(one.role)
      end
    end

    # The words of a block, in order.
    def self.words_of(block)
      return block.text.split unless block.role == "table"
      block.caption.to_s.split + block.rows.flatten.flat_map { |cell| cell.blocks.flat_map { |one| words_of(one) } }
    end
  end
end
