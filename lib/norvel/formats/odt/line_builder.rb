# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The contents of a paragraph that comes from another format, as the tokens that a LineWriter writes: letters with
      # the elements they stand in (links, fields), and an element for every object.
      class LineBuilder
        Token = LineWriter::Token
        # Words with one space between them, which is safe there; any other sign by itself.
        LETTERS = /[^\s\u00A0]+(?: [^\s\u00A0]+)*|[\s\u00A0]/
        SPANNED = {Document::Link => :link, Document::Field => :field}.freeze

        # part: where elements are made; builder: BodyBuilder, which knows notes, images and boxes; report: CarryReport
        def initialize(part, builder, report)
          @part = part
          @builder = builder
          @report = report
          @open = [] # complex fields: [Field, its element or nil, is its result read?]
          @bookmarks = {}
          @around = {}
        end

        # span: ->(run) { the name of a style for its letters }; place: the paragraph's number, for the report
        def tokens(paragraph, place, span)
          @place = place
          @around = {}
          anchors = paragraph.anchors.sort_by.with_index { |anchor, index| [anchor.place, index] }
          length = 0
          found = paragraph.runs.flat_map do |run|
            style = span.call(run)
            run.pieces.flat_map do |piece|
              size = piece.is_a?(String) ? piece.size : 1
              due = anchors.take_while { |anchor| anchor.place <= length }
              anchors.shift(due.size)
              length += size
              due.filter_map { |anchor| anchor(anchor.object) } + piece(piece, run, style)
            end
          end
          found + anchors.filter_map { |anchor| anchor(anchor.object) }
        end

        # The element for a link or field that words stand in: one for all words in a row.
        def element(value)
          return unless SPANNED.key?(value.class)
          @around.key?(value) ? @around[value] : @around[value] = made(value)
        end

        # A bookmark's end has no name of its own in every format.
        def bookmark(object)
          name = @bookmarks[object.id] ||= object.name
          @part.create("text:bookmark-#{object.edge}", "text:name" => name) if name
        end

        private

        def piece(piece, run, style)
          case piece
          when String then letters(piece, run, style)
          when Document::Separator then letters(separator(piece), run, style)
          when Document::Field then begun(piece)
          when Document::FieldPart then field_part(piece)
          else object(piece, run, style)
          end
        end

        def separator(piece)
          Document::Separator::BY_CHARACTER.key(piece)
        end

        def letters(text, run, style)
          return [] if @open.any? { |_, _, result| !result }
          context = context(run, style)
          text.scan(LETTERS).map { |some| Token.new(some, nil, context) }
        end

        # Links outside, then the span, then what holds letters alone.
        def context(run, style)
          elements = run.within.filter_map { |value| element(value) } + @open.filter_map { |_, made, _| made }
          links, fields = elements.partition { |node| node.name == "a" }
          links.first(1) + [(LineWriter::Span.new(style) if style)].compact + fields.first(1)
        end

        def made(value)
          value.is_a?(Document::Link) ? link(value.address, value.bookmark, value.title) : field(value)
        end

        def link(address, bookmark, title)
          @part.create("text:a", "xlink:type" => "simple", "xlink:href" => address || "##{bookmark}",
            "office:title" => title)
        end

        # --- fields that have their parts among the letters ---

        def begun(field)
          @open << [field, nil, false]
          []
        end

        def field_part(piece)
          case piece.role
          when "separator"
            field = @open.last and @open[-1] = [field.first, field(field.first), true]
          when "end"
            @open.pop
          end
          []
        end

        def field(field)
          return linked(field.computes) if field.does == "link"
          return if field.does == "contents"
          made = FieldElements.make(field.computes, @part)
          begin_anew(made, field) if made && field.does == "sequence"
          lost(field.computes) unless made
          made
        end

        # Sequences that begin anew after headings say so themselves here: the number that is shown is the one that
        # counts.
        def begin_anew(made, field)
          start = @builder&.restart(field.computes.name, field.cached) or return
          @part.set(made, "text:formula", start)
        end

        def linked(computes)
          link(computes.address, computes.bookmark, nil)
        end

        # What OpenDocument does not compute, by its usual names.
        LOST = {"style_text" => "STYLEREF", "pages_of_section" => "SECTIONPAGES", "section" => "SECTION"}.freeze

        def lost(computes)
          name = LOST.fetch(computes.kind) { computes.instruction[/\S+/].to_s.upcase }
          @report.lost("computed text (#{name}), kept as words", place: @place)
        end

        # --- objects ---

        def object(object, run, style)
          node = @builder.element(object, @part, @place) or return []
          context = [*run.within.filter_map { |value| element(value) if value.is_a?(Document::Link) },
            (LineWriter::Span.new(style) if style)].compact
          [Token.new(nil, node, context)]
        end

        def anchor(object)
          node = case object
          when Document::Bookmark then bookmark(object)
          when Document::CommentMark then @builder.comment_edge(object, @part)
          when Document::Equation then @builder.equation(object, @part)
          when Document::Unknown then @builder.element(object, @part, @place)
          end
          node && Token.new(nil, node, [])
        end
      end
    end
  end
end
