# frozen_string_literal: true

module Norvel
  module Formats
    # A Document as Markup::Text: what its paragraphs are by their styles, levels and lists, and what sets words apart
    # in them. Looks, pages and heads are left behind; the report says which.
    class ToMarkup
      EMPHASIS = {bold: true, italic: true, strike: true}.freeze

      # report: CarryReport
      def initialize(document, report)
        @document = document
        @report = report
        @used = []
      end

      # The Markup::Text, and in the report what it can't hold.
      def text
        report_losses
        blocks = blocks(@document.blocks)
        Markup::Text.new(blocks: blocks.freeze, notes:, info: @document.info.slice(:title, :author, :language).compact)
      end

      # {role => the id of the style that most of its paragraphs wear}
      def styles
        @document.paragraphs.reject { |paragraph| paragraph.blank? || paragraph.part == :table }
          .group_by { |paragraph| role(paragraph) }
          .transform_values { |list| list.map(&:style_id).tally.max_by(&:last).first }
      end

      private

      def report_losses
        heads = @document.stories.select { |story| story.head? && story.text.match?(/\S/) }
        @report.lost("running heads and feet", count: heads.size) if heads.any?
        comments = @document.stories.count { |story| story.kind == "comment" }
        @report.lost("comments", count: comments) if comments.positive?
        @report.approximate("page set-up, fonts and spacing", "what a paragraph is, not how it looks")
      end

      def blocks(list)
        list.flat_map do |block|
          next [table(block)] if block.is_a?(Document::Table)
          [paragraph(block), *block.boxes.flat_map { |box| boxed(box) }].compact
        end
      end

      # The words of a box come after the paragraph that it stands at.
      def boxed(box)
        @report.approximate("boxes of text", "paragraphs after the one they stand at")
        @boxes ||= Document::Blocks.new(@document.paragraphs, @document.tables)
        blocks(@boxes.in(box.id))
      end

      def paragraph(paragraph)
        made = Markup::Block.new(role: role(paragraph), pieces: pieces(paragraph), place: place(paragraph))
        made unless made.blank?
      end

      def role(paragraph)
        role = Survey::StyleRoles.role(@document, paragraph)
        return "list_item" if role == "body" && place(paragraph)
        %w[table_text other blank running_head note contents_entry].include?(role) ? "body" : role
      end

      def place(paragraph)
        id, level = @document.cascade.list_of(paragraph)
        return if id.nil? || @document.look(paragraph)[:outline_level].positive?
        continues = paragraph.direct.key?(:list_continues)
        number = numbers[paragraph.id]
        format = @document.numbering.level(id, level)&.format
        ordered = ![nil, "bullet", "none"].include?(format)
        Markup::ListPlace.new(key: id, ordered:, start: number || 1, level:, continues:)
      end

      def numbers
        @numbers ||= @document.numbering.numbers(@document)
      end

      # --- words ---

      def pieces(paragraph)
        base = @document.cascade.of_style(@document.style_of(paragraph), :run)
        with_equations(paragraph) { |run| of_run(run, paragraph, base) }
          .chunk_while { |one, other| alike?(one, other) }.map { |group| joined(group) }.freeze
      end

      # Pieces of runs with those of the mathematics between them.
      def with_equations(paragraph)
        equations = paragraph.equations.dup
        place = 0
        pieces = paragraph.runs.flat_map do |run|
          before = formulas(equations.delete(place))
          place += run.text.size
          before + yield(run)
        end
        pieces + formulas(equations.values.flatten)
      end

      def formulas(equations)
        Array(equations).map { |one| formula(one.formula, one.text) }
      end

      def formula(source, text = nil)
        source ||= Mathml::Node.math([Mathml::Node.make("mtext", text)]).source
        Markup::Piece.new(formula: source, text: Mathml.words(source))
      end

      def of_run(run, paragraph, base)
        marks = marks(@document.run_look(run, paragraph), base)
        link = run.within.grep(Document::Link).first
        address = link && (link.address || "##{link.bookmark}")
        run.pieces.filter_map { |piece| piece(piece, marks, address) }
      end

      def piece(piece, marks, link)
        case piece
        when String then Markup::Piece.new(text: piece, marks:, link:)
        when Document::Separator then separated(piece, marks, link)
        when Document::NoteMark then piece.note && Markup::Piece.new(note: key(piece))
        when Document::Image then piece.formula ? formula(piece.formula) : Markup::Piece.new(image: image(piece))
        end
      end

      def separated(piece, marks, link)
        text = Document::Separator::BY_CHARACTER.key(piece)
        text = " " if text == "\t"
        text = "\n" if ["\f", "\v"].include?(text)
        Markup::Piece.new(text:, marks:, link:)
      end

      def marks(look, base)
        found = EMPHASIS.select { |name, _| look[name] && !base[name] }
        found[:underline] = "single" if look[:underline] != "none" && base[:underline] == "none"
        found[:position] = look[:position] unless look[:position] == base[:position]
        found[:highlight] = look[:highlight] unless [base[:highlight], "auto"].include?(look[:highlight])
        found[:code] = true if mono?(look) && !mono?(base)
        found.freeze
      end

      def mono?(look)
        ShippedFonts.stand_in(look[:font]).kind == "mono"
      end

      def alike?(one, other)
        [one, other].all?(&:words?) && one.marks == other.marks && one.link == other.link
      end

      def joined(group)
        (group.size == 1) ? group.first : group.first.with(text: group.map(&:text).join)
      end

      def image(image)
        @report.lost("drawings", place: nil) unless image.path
        @report.shown_whole(image)
        Markup::Image.new(description: image.description.to_s, bytes: image.path && @document.source.read(image.path),
          address: image.path && File.basename(image.path))
      end

      # --- notes ---

      def key(mark)
        found = "#{mark.of}#{mark.note}"
        @used << [found, mark] unless @used.any? { |one, _| one == found }
        found
      end

      def notes
        found = {}
        while (pending = @used.reject { |key, _| found.key?(key) }).any?
          pending.each { |key, mark| found[key] = note(mark) }
        end
        found
      end

      def note(mark)
        story = @document.note(mark) or return []
        story.blocks.grep(Document::Paragraph).filter_map { |one|
          made = Markup::Block.new(role: "body", pieces: pieces(one))
          first = made.pieces.first
          made = made.with(pieces: [first.with(text: first.text.lstrip), *made.pieces.drop(1)]) if first && !first.note
          made unless made.blank?
        }
      end

      # --- tables ---

      def table(table)
        rows = table.rows.map do |row|
          row.cells.reject(&:continued).map do |cell|
            inside = blocks(cell.blocks)
            inside = inside.map { |block| plain(block) } if row.header
            Markup::Cell.new(blocks: inside, header: row.header, columns: cell.columns, rows: cell.rows)
          end
        end
        Markup::Block.new(role: "table", rows: rows.reject(&:empty?).freeze, caption: table.caption)
      end

      # A heading of a column stands out by being one.
      def plain(block)
        return block if block.role == "table"
        block.with(pieces: block.pieces.map { |piece| piece.with(marks: piece.marks.except(:bold)) })
      end
    end
  end
end
