# frozen_string_literal: true

module Norvel
  module Survey
    # Lists whose signs were typed: items one after the other, each with a bullet, or with a number or letter that
    # counts on from the one before.
    class TypedLists
      SIGN = /\A[\s\u00A0]*(?<sign>(?<bullet>[•‣◦▪▫●○■□▸·–—*-])|
        (?<before>\(?)(?<number>\d{1,3}|[ivx]{1,5}|[IVX]{1,5}|[a-z]|[A-Z])(?<after>[.)]))[\s\u00A0]+(?=\S)/x
      LEAST = 2 # items
      DEEPER = 3.0 # points; less is the same level

      # How a level is counted. format: of a Document::ListLevel; before, after: what stands around the number; start;
      # left: where the sign stands, in points from the margin
      Level = Value.define(:format, :bullet, :before, :after, :start, :left)
      # level: from 0; sign: as it is printed
      Item = Value.define(:paragraph, :level, :sign)
      # levels: [Level, …], items: [Item, …]
      List = Value.define(:levels, :items)

      def initialize(document, settled = SettledRoles.of(document))
        @document = document
        @settled = settled
      end

      # Every List of the text.
      def all
        @all ||= runs.flat_map { |run| lists(run) }.select { |list| list.items.size >= LEAST }
      end

      private

      def runs
        @document.paragraphs.chunk_while { |one, other|
          typed?(one) && typed?(other) && one.container == other.container
        }.select { |run| typed?(run.first) }
      end

      def typed?(paragraph)
        (@typed ||= {}).fetch(paragraph.id) do |id|
          @typed[id] = !paragraph.blank? && @settled.role(paragraph) == "list_item" &&
            SIGN.match?(paragraph.seen_text) && @document.cascade.list_of(paragraph).nil?
        end
      end

      def lists(run)
        run.each_with_object([]) do |paragraph, counts|
          ways = ways(paragraph)
          next if counts.last&.take(paragraph, ways)
          counts << Count.new(paragraph, ways)
        end.map(&:list)
      end

      # What the sign of a paragraph may be: [[Level as it would begin, sign], …]; "i" is a number or a letter.
      def ways(paragraph)
        match = SIGN.match(paragraph.seen_text)
        look = @document.look(paragraph)
        left = [look[:indent_left] + look[:first_line], 0.0].max
        return [[Level.new(format: "bullet", bullet: match[:bullet], start: 1, left:), match[:sign]]] if match[:bullet]
        Ordinals.of(match[:number]).map do |format, start|
          [Level.new(format:, before: match[:before], after: match[:after], start:, left:), match[:sign]]
        end
      end

      # The numbers that a number, a letter or a Roman number may be.
      module Ordinals
        module_function

        # {"decimal" => 3}, {"lower_roman" => 1, "lower_letter" => 9}
        def of(text)
          return {"decimal" => text.to_i} if text.match?(/\A\d/)
          size = (text == text.upcase) ? "upper" : "lower"
          found = {"#{size}_roman" => roman(text.downcase), "#{size}_letter" => letter(text.downcase)}.compact
          if text.downcase == "i"
            found
          else
            found.sort_by { |format, _| format.end_with?("roman") ? 1 : 0 }.to_h
          end
        end

        # The number of small roman numerals.
        #   Ordinals.roman("iv") # => 4
        def roman(text)
          (1..39).find { |number| Document::Numerals.roman(number) == text }
        end

        # The place of a letter in the alphabet.
        #   Ordinals.letter("c") # => 3
        def letter(text)
          text.ord - "a".ord + 1 if text.size == 1
        end
      end

      # A list as it is counted, item by item.
      class Count
        def initialize(paragraph, ways)
          level, sign = ways.first
          @levels = [level]
          @open = [level.start] # the numbers of the levels that are being counted
          @items = [Item.new(paragraph:, level: 0, sign:)]
        end

        # The List that the typed signs make.
        def list
          List.new(levels: @levels.freeze, items: @items.freeze)
        end

        # Takes the next item where its sign counts on in one of the levels, or begins one below; false where it does
        # not.
        def take(paragraph, ways)
          at, level, sign = going_on(ways) || below(ways)
          return false unless at
          @open = [*@open.first(at), level.start]
          @levels[at] ||= level
          @items << Item.new(paragraph:, level: at, sign:)
          true
        end

        private

        def going_on(ways)
          (@open.size - 1).downto(0) do |at|
            level, sign = ways.find { |level, _| alike?(@levels[at], level) && next?(at, level) }
            return [at, level, sign] if level
          end
          nil
        end

        def below(ways)
          at = @open.size
          return if at > 8
          level, sign = ways.find { |one, _| one.start == 1 && (@levels[at].nil? || alike?(@levels[at], one)) }
          return if level.nil?
          above = @levels[at - 1]
          [at, level, sign] if level.left > above.left + DEEPER || !same_signs?(above, level)
        end

        def next?(at, level)
          level.format == "bullet" || level.start == @open[at] + 1
        end

        def alike?(one, other)
          same_signs?(one, other) && (one.left - other.left).abs <= DEEPER
        end

        def same_signs?(one, other)
          [one, other].map { |level| [level.format, level.bullet, level.before, level.after] }.uniq.size == 1
        end
      end
    end
  end
end
