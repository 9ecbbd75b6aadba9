# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Writes the contents of one paragraph anew from the runs of the model: spans as the runs are set, and everything
      # that stood in it (links, fields, notes, objects, places) where its characters are now. White space is written so
      # that it survives (ISO/IEC 26300-1 6.1.2).
      class LineWriter
        # A character as it came: the element that stands for it, and those around it.
        Unit = Struct.new(:char, :node, :around, :index)
        # A character (or letters in a row, with single spaces between them), or something that takes no room, as it is
        # written.
        Token = Struct.new(:char, :node, :context)
        # A span that is made, by the name of its style.
        Span = Struct.new(:style)

        SPACE = " "
        PASSED = %w[note bookmark bookmark-start bookmark-end reference-mark reference-mark-start reference-mark-end]
          .to_h { |name| [name, true] }.freeze
        CONTROL = /[\x00-\x08\x0b\x0c\x0e-\x1f]/
        MADE = {"\t" => "text:tab", "\n" => "text:line-break"}.freeze

        # +span+: ->(run) { the name of a style for its letters, nil for none }; holders: ->(run) { elements of links
        # and fields that its letters stand in now and did not }
        def initialize(part, span, holders = ->(_) { [] })
          @part = part
          @span = span
          @holders = holders
        end

        # +was+: the runs as they came with their pieces ([] for a new paragraph); the block says whether the spans of a
        # run stay as they are.
        def write(paragraph, was, pieces, now)
          units, places = units(was, pieces)
          tokens = tokens(now, matched(was, units, now), places) { |run| yield(run) }
          paragraph.children.each(&:unlink)
          emit(paragraph, tokens)
        end

        # Writes tokens into a new paragraph.
        def fill(paragraph, tokens)
          emit(paragraph, tokens)
        end

        private

        # Characters, and what takes no room with the index of the character it stands before.
        def units(was, pieces)
          chars = was.map(&:text).join.chars
          found, places = [], []
          pieces.each do |piece|
            places << [found.size, piece.node, piece.around] if piece.size.zero? && piece.node
            piece.size.times { found << Unit.new(chars[found.size], piece.node, piece.around, found.size) }
          end
          [found, places]
        end

        # The unit of every character, run by run: one that came may have become several, or gone.
        def matched(was, units, now)
          left = units.dup
          of_run = was.map { |run| left.shift(run.text.size) }
          @stood = of_run.map { |own| own.first&.around }
          parts = now.group_by(&:source).to_h do |source, runs|
            [source, Alignment.match(runs.map(&:text).join, (source && of_run[source]) || [])]
          end
          now.flat_map { |run| parts[run.source].shift(run.text.size) }
        end

        def tokens(now, matched, places)
          before = [].freeze
          contexts = {}.compare_by_identity
          made = now.flat_map do |run|
            stays = yield(run)
            before = @stood[run.source] || before if run.source # other letters stand where those that came did
            run.text.each_char.map do |char|
              unit = matched.shift
              before = unit.around if unit
              context = stays ? before : (contexts[before] ||= {})[run] ||= respanned(before, run)
              [unit, Token.new(char, single(unit), context)]
            end
          end
          placed(made, places)
        end

        # An element stands for one character, but for spaces, of which it may hold many.
        def single(unit)
          unit&.node unless unit&.char == SPACE
        end

        # The elements around a character with a span as the run is set: within links, around fields, which hold letters
        # alone.
        def respanned(around, run)
          style = @span.call(run)
          holders = around.reject { |node| node.name == "span" }
          outer, inner = (holders + @holders.call(run)).partition { |node| !Fields.field?(node.name) }
          (outer + [(Span.new(style) if style)].compact + inner).freeze
        end

        # What takes no room goes before the first character that came after it, and before new ones that a field shows
        # before that: a field is not parted.
        def placed(made, places)
          left = places.dup
          tokens = made.zip(indices(made)).flat_map do |(_, token), index|
            due = index ? left.take_while { |place, _, _| place <= index } : []
            left.shift(due.size)
            due.map { |_, node, around| Token.new(nil, node, around) } << token
          end
          tokens + left.map { |_, node, around| Token.new(nil, node, around) }
        end

        # The index of the character that came of each, or of the next one that stands in the same field.
        def indices(made)
          after = nil
          made.reverse.map { |unit, token|
            same = after && token.context.equal?(after.last) && token.context.any? { |node| field?(node) }
            after = unit ? [unit.index, token.context] : (after if same)
            after&.first
          }.reverse
        end

        def field?(node)
          !node.is_a?(Span) && Fields.field?(node.name)
        end

        def emit(paragraph, tokens)
          @open = []
          @holder = paragraph
          @text = +""
          tokens.each_with_index do |token, index|
            enter(token.context)
            next put(token.node) if token.node
            next put(@part.create(MADE[token.char])) if MADE.key?(token.char)
            (token.char == SPACE && !safe?(tokens, index)) ? spaces(1) : letter(token.char)
          end
          settle
        end

        # May a space stand as it is? Between letters only, or what stands as one; notes and places between are no
        # letters.
        def safe?(tokens, index)
          index.positive? && [-1, 1].all? { |step| (other = neighbour(tokens, index, step)) && letter?(other) }
        end

        def neighbour(tokens, index, step)
          index += step
          index += step while index.between?(0, tokens.size - 1) && passed?(tokens[index])
          tokens[index] if index.between?(0, tokens.size - 1)
        end

        def passed?(token)
          token.node && PASSED.key?(token.node.name)
        end

        def letter?(token)
          return token.node.name == "frame" && token.node.attribute("anchor-type")&.value == "as-char" if token.node
          token.char && token.char != SPACE && !MADE.key?(token.char)
        end

        def letter(char)
          close_spaces
          @text << char
        end

        def spaces(count)
          close_text
          @spaces = (@spaces || 0) + count
        end

        def put(node)
          settle
          node.unlink
          @holder.add_child(node)
        end

        # Opens and closes elements until those of the context are open.
        def enter(context)
          same = @open.zip(context).take_while { |(open, _), wanted| alike?(open, wanted) }.size
          return if same == @open.size && same == context.size
          settle
          @holder = @open[same].last.parent if same < @open.size
          @open = @open.first(same)
          context.drop(same).each do |wanted|
            @holder = @holder.add_child(wanted.is_a?(Span) ? span(wanted) : @part.shell(wanted))
            @open << [wanted, @holder]
          end
        end

        def alike?(open, wanted)
          open.is_a?(Span) ? open == wanted : open.equal?(wanted)
        end

        def span(wanted)
          @part.create("text:span", "text:style-name" => wanted.style)
        end

        def settle
          close_text
          close_spaces
        end

        def close_text
          return if @text.empty?
          @holder.add_child(Nokogiri::XML::Text.new(@text.gsub(CONTROL, ""), @part.xml))
          @text = +""
        end

        def close_spaces
          return unless @spaces
          @holder.add_child(@part.create("text:s", "text:c" => (@spaces if @spaces > 1)))
          @spaces = nil
        end
      end
    end
  end
end
