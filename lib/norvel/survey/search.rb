# frozen_string_literal: true

require "timeout"

module Norvel
  module Survey
    # Places of a text that is looked for, or of a pattern between slashes, wherever a person works: the text, its
    # notes, heads and feet.
    class Search
      # A place. paragraph: its id; places: of its letters in the paragraph's raw text; words: the letters; fixed: why
      # they can't be others here, nil where they can; text, range: of the paragraph as it is seen, where they stand.
      Hit = Value.define(:paragraph, :places, :words, :fixed, :text, :range) do
        # What stands before the words, from a whole word on.
        def before
          place = range.begin
          (place > AROUND) ? "…#{text[place - AROUND...place].sub(/\A\S*/, "")}" : text[0...place]
        end

        # What stands after them.
        def after
          place = range.end
          (text.size > place + AROUND) ? "#{text[place, AROUND].sub(/\S*\z/, "")}…" : text[place..]
        end
      end

      PATTERN = %r{\A/(.+)/\z}m
      LONGEST = 300 # letters of a pattern
      PATIENCE = 2 # seconds
      AROUND = 40 # letters shown before and after
      # What words can be set apart by: {name => run property with the value that says so}.
      LOOKS = {"italic" => [:italic, true], "bold" => [:bold, true], "underlined" => [:underline, "single"],
               "small capitals" => [:small_caps, true], "capitals" => [:caps, true],
               "struck through" => [:strike, true]}.freeze

      # sought: a text, or a pattern between slashes; may be empty where a look is asked for exact: are capitals another
      # letter? words: do words have to be whole? style: the name of a style of paragraphs or of words, or nil; look: of
      # LOOKS, "size 11.5" or "font Courier", or nil; apart: is it set by hand, and not on the whole of its paragraph?
      # Raises Refused.
      def initialize(sought, exact: false, words: false, style: nil, look: nil, apart: false)
        @style = style
        @look = self.class.look(look)
        @apart = apart
        @test = test(sought.to_s, exact, words)
      end

      # The run property and value of a look by its name, nil where there is none of this name.
      def self.look(name)
        case name
        when /\Asize ([\d.]{1,6})\z/ then [:size, $1.to_f]
        when /\Afont (.+)\z/ then [:font, $1]
        else LOOKS[name]
        end
      end

      HOLDS_OBJECT = "an object stands in it"

      # Words that are computed say the same again when they are brought up to date; an object is no word.
      def self.fixed(paragraph, places)
        return if paragraph.plain?
        found = runs(paragraph, places)
        return "computed" if found.any? { |run|
          run.within.any? { |one| one.is_a?(Document::Field) || one.is_a?(Document::FieldResult) }
        }
        HOLDS_OBJECT if paragraph.raw_text[places.first..places.last].match?(/[\uFFFA\uFFFC]/)
      end

      # The runs that letters stand in.
      def self.runs(paragraph, places)
        from = 0
        paragraph.runs.select do |run|
          own = from...(from += run.text.size)
          places.any? { |place| own.cover?(place) }
        end
      end

      # Every Hit of a document, in order. Raises Refused where a pattern takes too long.
      def hits(document)
        return [] unless @test || @look
        Timeout.timeout(PATIENCE) { document.working.flat_map { |paragraph| hits_in(paragraph, document) } }
      rescue Timeout::Error
        raise Refused, "The pattern takes too long on this text: make it simpler."
      end

      # The same of one paragraph.
      def hits_in(paragraph, document)
        return [] if @apart && @look && (paragraph.runs.none? { |run| by_hand?(run) } || usual?(paragraph, document))
        text = paragraph.seen_text
        found = ranges(text, paragraph, document)
        return [] if found.empty?
        styled = @style && document.style_name(paragraph) != @style
        places = paragraph.seen_places
        found.filter_map do |range|
          own = places[range].compact
          fixed = (own.size == range.size) ? Search.fixed(paragraph, own) : HOLDS_OBJECT
          next if own.empty?
          standing = Search.runs(paragraph, own) if styled || @look
          next if (styled && !in_style?(standing, document)) || (@look && !looks_so?(standing, paragraph, document))
          Hit.new(paragraph: paragraph.id, places: own, words: text[range], fixed:, text:, range:)
        end
      end

      # What a hit becomes: the text given, with \\1 … for what stood in the brackets of a pattern.
      def instead(hit, text)
        groups = @pattern && @test.match(hit.words)&.captures
        groups ? text.gsub(/\\(\d)/) { groups[$1.to_i - 1].to_s } : text
      end

      private

      def test(sought, exact, words)
        return if sought.strip.empty?
        @pattern = sought[PATTERN, 1]
        source = @pattern ? @pattern[0, LONGEST] : Regexp.escape(sought)
        source = "(?<![\\p{L}\\p{N}])(?:#{source})(?![\\p{L}\\p{N}])" if words
        Regexp.new(source, (exact || @pattern) ? nil : Regexp::IGNORECASE)
      rescue RegexpError => error
        raise Refused, "The pattern can't be read: #{error.message.split(":").first}."
      end

      # Of the words; of whole stretches that look as asked where no words are.
      def ranges(text, paragraph, document)
        return matches(text) if @test
        wanted = letters_looking_so(paragraph, document)
        wanted.each_index.chunk_while { |one, other| wanted[one] == wanted[other] }
          .select { |list| wanted[list.first] }.map { |list| list.first...(list.last + 1) }
          .reject { |range| text[range].strip.empty? || (@apart && text[range].strip == text.strip) }
      end

      def matches(text)
        text.to_enum(:scan, @test).map { (match = Regexp.last_match).begin(0)...match.end(0) }.reject(&:none?)
      end

      # Of each letter that is seen: does it look as asked?
      def letters_looking_so(paragraph, document)
        paragraph.runs.flat_map do |run|
          Array.new(run.text.size - run.text.count(Document::Run::SIGN), looks_so?([run], paragraph, document))
        end
      end

      def in_style?(runs, document)
        runs.all? { |run| document.styles[run.style_id]&.name == @style }
      end

      def looks_so?(runs, paragraph, document)
        name, value = @look
        runs.all? { |run| (!@apart || by_hand?(run)) && document.run_look(run, paragraph)[name] == value }
      end

      # Do the letters of the paragraph look so by its style?
      def usual?(paragraph, document)
        document.letter_look(paragraph)[@look.first] == @look.last
      end

      def by_hand?(run)
        @slots ||= Styles::Properties.slots_of(@look.first)
        @slots.any? { |slot| run.direct.key?(slot) }
      end
    end
  end
end
