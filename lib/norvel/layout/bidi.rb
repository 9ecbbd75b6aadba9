# frozen_string_literal: true

module Norvel
  module Layout
    # In which direction the characters of a paragraph run: the Unicode Bidirectional Algorithm (UAX #9, Unicode 15.0).
    # Levels are even from left to right, odd from right to left.
    class Bidi
      CLASSES = UnicodeTable.classes("bidi_classes.txt", others: :L)
      CANONICAL = {"\u2329" => "\u3008", "\u232A" => "\u3009"}.freeze # the same brackets (BD16)

      # Does any character run from right to left, or say that others do?
      RIGHT = Regexp.union(/[\u0590-\u08FF\u200F\u202A-\u202E\u2066-\u2069]/, /[\uFB1D-\uFDFF\uFE70-\uFEFC]/,
        /[\u{10800}-\u{10FFF}\u{1E800}-\u{1EFFF}]/)
      MOST = 125 # levels (BD2)
      PAIRS = 63 # brackets that are open at a time (BD16)
      EMBEDDINGS = %i[LRE RLE LRO RLO].freeze
      ISOLATES = %i[LRI RLI FSI].freeze
      REMOVED = [*EMBEDDINGS, :PDF, :BN].to_h { |name| [name, true] }.freeze
      NEUTRAL = [:B, :S, :WS, :ON, :PDI, *ISOLATES].to_h { |name| [name, true] }.freeze
      SPACES = [:WS, :PDI, *ISOLATES, *REMOVED.keys].to_h { |name| [name, true] }.freeze
      # Digits count as right to left among neutral characters.
      STRONG = {L: :L, R: :R, EN: :R, AN: :R}.freeze

      @known = {}

      class << self
        # The Bidi_Class of a character.
        def of(character)
          @known[character] ||= CLASSES[character.ord]
        end

        # Places of levels in the order in which they stand on a line from the left (L2).
        def order(levels)
          order = (0...levels.size).to_a
          least = levels.select(&:odd?).min or return order
          levels.max.downto(least) do |level|
            order = order.chunk_while { |one, other| (levels[one] >= level) == (levels[other] >= level) }
              .flat_map { |run| (levels[run.first] >= level) ? run.reverse : run }
          end
          order
        end
      end

      attr_reader :base, :classes

      # base: the level of the paragraph, 0 or 1; nil: by its first strong character (P2, P3)
      def initialize(text, base: nil)
        @characters = text.chars
        @classes = @characters.map { |character| self.class.of(character) }
        @partner = partners
        @base = base || ((first_strong(0, @classes.size) == :L) ? 0 : 1)
      end

      # The level of each character, before lines are made of them; that of characters that are not shown is that of
      # the one before.
      def levels
        @levels ||= begin
          explicit
          found = sequences
          found.map { |sequence| borders(sequence) }.zip(found) { |borders, sequence| resolve(sequence, *borders) }
          hidden_along
          @level
        end
      end

      # The levels of a line from one place to before another: white space at its end, and before tabs, runs as the
      # paragraph does (L1).
      def line(from = 0, to = @classes.size)
        found = levels[from...to]
        trailing = true
        (to - 1).downto(from) do |place|
          name = @classes[place]
          trailing = true if %i[S B].include?(name)
          trailing = false unless %i[S B].include?(name) || SPACES.key?(name)
          found[place - from] = @base if trailing
        end
        found
      end

      # Is it a character that is not shown, and has no level (X9)?
      def removed?(place)
        REMOVED.key?(@classes[place])
      end

      private

      # {place of what begins an isolate => of what ends it, and the other way round} (BD9)
      def partners
        open = []
        @classes.each_with_index.with_object({}) do |(name, place), found|
          next open << place if ISOLATES.include?(name)
          next unless name == :PDI && (begun = open.pop)
          found[begun], found[place] = place, begun
        end
      end

      # :L, :R, :AL or nil: the first that is not within an isolate (P2).
      def first_strong(from, to)
        place = from
        while place < to
          name = @classes[place]
          return name if %i[L R AL].include?(name)
          place = (ISOLATES.include?(name) ? @partner[place] || to : place) + 1
        end
        :L if from.zero? && to == @classes.size
      end

      # --- X1 to X8 ---

      Status = Struct.new(:level, :override, :isolate)

      def explicit
        @type = @classes.dup
        @level = Array.new(@classes.size, @base)
        @stack = [Status.new(@base, nil, false)]
        @too_many_isolates = @too_many_embeddings = @isolates = 0
        @classes.each_with_index do |name, place|
          case name
          when *EMBEDDINGS then embed(name, place)
          when *ISOLATES then isolate(name, place)
          when :PDI then end_isolate(place)
          when :PDF then end_embedding(place)
          when :B then @level[place] = @base
          else set(place)
          end
        end
      end

      # Takes the level that holds, and the direction where one is forced.
      def set(place)
        @level[place] = @stack.last.level
        @type[place] = @stack.last.override if @stack.last.override && @classes[place] != :BN
      end

      def next_level(right)
        level = @stack.last.level + 1
        (level.odd? == right) ? level : level + 1
      end

      def embed(name, place)
        @level[place] = @stack.last.level
        level = next_level(%i[RLE RLO].include?(name))
        if level <= MOST && @too_many_isolates.zero? && @too_many_embeddings.zero?
          @stack << Status.new(level, {RLO: :R, LRO: :L}[name], false)
        elsif @too_many_isolates.zero?
          @too_many_embeddings += 1
        end
      end

      def isolate(name, place)
        set(place)
        level = next_level((name == :FSI) ? right_within?(place) : name == :RLI)
        if level <= MOST && @too_many_isolates.zero? && @too_many_embeddings.zero?
          @isolates += 1
          @stack << Status.new(level, nil, true)
        else
          @too_many_isolates += 1
        end
      end

      # Does what an isolate holds run from right to left by its first strong character (X5c)?
      def right_within?(place)
        %i[R AL].include?(first_strong(place + 1, @partner[place] || @classes.size))
      end

      def end_isolate(place)
        if @too_many_isolates.positive?
          @too_many_isolates -= 1
        elsif @isolates.positive?
          @too_many_embeddings = 0
          @stack.pop until @stack.last.isolate
          @stack.pop
          @isolates -= 1
        end
        set(place)
      end

      def end_embedding(place)
        if @too_many_isolates.zero?
          if @too_many_embeddings.positive? then @too_many_embeddings -= 1
          elsif !@stack.last.isolate && @stack.size > 1 then @stack.pop
          end
        end
        @level[place] = @stack.last.level
      end

      # --- X9, X10 ---

      # Runs of one level, put together over isolates: [[place, …], …]
      def sequences
        shown = (0...@classes.size).reject { |place| removed?(place) }
        @shown_before = shown.each_cons(2).to_h { |one, other| [other, one] }
        @shown_after = @shown_before.invert
        runs = shown.chunk_while { |one, other| @level[one] == @level[other] }.to_a
        beginning = runs.to_h { |run| [run.first, run] }
        runs.reject { |run| @classes[run.first] == :PDI && @partner[run.first] }.map { |run| whole(run, beginning) }
      end

      def whole(run, beginning)
        sequence = run.dup
        while ISOLATES.include?(@classes[sequence.last]) && (partner = @partner[sequence.last])
          sequence.concat(beginning.fetch(partner))
        end
        sequence
      end

      # The directions that border a sequence: [before, after].
      def borders(sequence)
        own = @level[sequence.first]
        before = (place = @shown_before[sequence.first]) ? @level[place] : @base
        last = sequence.last
        open = ISOLATES.include?(@classes[last]) && @partner[last].nil?
        after = (!open && (place = @shown_after[last])) ? @level[place] : @base
        [before, after].map { |level| [own, level].max.odd? ? :R : :L }
      end

      # before, after: the directions that border it
      def resolve(sequence, before, after)
        @before, @after = before, after
        @own = @level[sequence.first].odd? ? :R : :L
        weak(sequence)
        brackets(sequence)
        neutral(sequence)
        sequence.each { |place| @level[place] += raised(@type[place], @level[place]) }
      end

      # I1, I2
      def raised(type, level)
        return (type == :R) ? 0 : 1 if level.odd?
        {R: 1, L: 0}.fetch(type, 2)
      end

      # What is not shown runs as what stands before it.
      def hidden_along
        @classes.each_index { |place| @level[place] = @level[place - 1] if place.positive? && removed?(place) }
      end

      # --- W1 to W7 ---

      def weak(sequence)
        marks(sequence)
        strong = @before
        sequence.each do |place|
          type = @type[place]
          strong = type if %i[L R AL].include?(type)
          @type[place] = :AN if type == :EN && strong == :AL
        end
        sequence.each { |place| @type[place] = :R if @type[place] == :AL }
        separators(sequence)
        terminators(sequence)
        sequence.each { |place| @type[place] = :ON if %i[ES ET CS].include?(@type[place]) }
        strong = @before
        sequence.each do |place|
          strong = @type[place] if %i[L R].include?(@type[place])
          @type[place] = :L if @type[place] == :EN && strong == :L
        end
      end

      # W1
      def marks(sequence)
        before = @before
        sequence.each do |place|
          @type[place] = before if @type[place] == :NSM
          before = ([:PDI, *ISOLATES].include?(@classes[place]) && @type[place] == @classes[place]) ? :ON : @type[place]
        end
      end

      # W4
      def separators(sequence)
        sequence.each_cons(3) do |one, place, other|
          around = [@type[one], @type[other]]
          if @type[place] == :ES && around == %i[EN EN] then @type[place] = :EN
          elsif @type[place] == :CS && [%i[EN EN], %i[AN AN]].include?(around) then @type[place] = around.first
          end
        end
      end

      # W5
      def terminators(sequence)
        runs = sequence.chunk_while { |one, other| (@type[one] == :ET) == (@type[other] == :ET) }.to_a
        runs.each_with_index do |run, index|
          next unless @type[run.first] == :ET
          beside = [(runs[index - 1]&.last if index.positive?), runs[index + 1]&.first].compact
          run.each { |place| @type[place] = :EN } if beside.any? { |place| @type[place] == :EN }
        end
      end

      # --- N0 ---

      def brackets(sequence)
        at = sequence.each_with_index.to_h
        pairs(sequence).each do |open, close|
          inside = sequence[(at[open] + 1)...at[close]].filter_map { |place| STRONG[@type[place]] }
          direction = inside.include?(@own) ? @own : (strong_before(sequence, at[open]) if inside.any?)
          turn(sequence, at, [open, close], direction) if direction
        end
      end

      def strong_before(sequence, index)
        index -= 1
        index -= 1 until index.negative? || STRONG[@type[sequence[index]]]
        index.negative? ? @before : STRONG[@type[sequence[index]]]
      end

      def turn(sequence, at, pair, direction)
        pair.each do |place|
          @type[place] = direction
          index = at[place]
          @type[sequence[index]] = direction while (index += 1) < sequence.size && @classes[sequence[index]] == :NSM
        end
      end

      # [[place of an opening bracket, of the one that closes it], …] in order (BD16)
      def pairs(sequence)
        open = []
        found = sequence.each_with_object([]) do |place, all|
          next unless @type[place] == :ON
          sign = CANONICAL.fetch(@characters[place], @characters[place])
          if (closes = Mirrors::OPENING[sign])
            return all.sort if open.size == PAIRS
            open << [closes, place]
          elsif Mirrors::CLOSING[sign] && (index = open.rindex { |closing, _| closing == sign })
            all << [open[index].last, place]
            open = open.first(index)
          end
        end
        found.sort
      end

      # --- N1, N2 ---

      def neutral(sequence)
        runs = sequence.chunk_while { |one, other| NEUTRAL.key?(@type[one]) == NEUTRAL.key?(@type[other]) }.to_a
        runs.each_with_index do |run, index|
          next unless NEUTRAL.key?(@type[run.first])
          before = index.positive? ? STRONG[@type[runs[index - 1].last]] : @before
          after = runs[index + 1] ? STRONG[@type[runs[index + 1].first]] : @after
          run.each { |place| @type[place] = (before == after) ? before : @own }
        end
      end
    end
  end
end
