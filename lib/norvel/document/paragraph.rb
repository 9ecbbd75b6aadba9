# frozen_string_literal: true

module Norvel
  class Document
    # A paragraph: text and direct formatting only; what is effective is the cascade's to say. A value: changed by with.
    class Paragraph
      # id        stable in the document, whatever is inserted or removed
      # part      :body, :table or :textbox
      # section   number of its section, from 1
      # style_id  as the file has it, may be nil or name a missing style
      # direct    PropertySet of the paragraph; mark: that of the paragraph mark (its end sign, the height of a blank
      # one)
      # table     CellLook or nil
      # source    ordinal among the file's paragraphs, nil for a new one
      # holds     what an edit must not lose with it, and why it can't be removed: :section_break, :last_in_cell,
      # :content, :frame,
      #           or nil
      # container id of the cell or box it stands in, nil in the story itself
      # anchors   Anchor, by their places: what stands between its letters
      FIELDS = %i[id part section style_id direct mark runs table source holds container anchors].freeze
      ELSEWHERE = (FIELDS - [:section]).freeze
      attr_reader(*FIELDS)

      NO_EQUATIONS = {}.freeze
      NO_ANCHORS = [].freeze

      def initialize(id, part, section, style_id, direct, mark, runs, table = nil, source = nil, holds = nil,
        container = nil, anchors = NO_ANCHORS)
        @id = id
        @part = part
        @section = section
        @style_id = style_id
        @direct = direct
        @mark = mark
        @runs = runs
        @table = table
        @source = source
        @holds = holds
        @container = container
        @anchors = anchors
      end

      # Anchors move with the text unless they are given.
      def with(**changes)
        if changes.key?(:runs) && @anchors.any? && !changes.key?(:anchors)
          changes[:anchors] = Anchor.moved(@anchors, raw_text, changes[:runs].map(&:text).join)
        end
        made = self.class.new(*FIELDS.map { |field| changes.fetch(field) { public_send(field) } })
        same_text?(made) ? made.tell(@text, @raw_text, @seen_text, @sealed_text, @word_count, @remembered) : made
      end

      # Is there nothing in it but letters?
      def plain?
        return @plain if defined?(@plain)
        @plain = @anchors.empty? && @runs.none? { |run| run.carried || run.spans }
      end

      # The boxes that are anchored in it.
      def boxes
        plain? ? [] : @runs.flat_map { |run| run.objects.grep(TextBox) }
      end

      # The images in it.
      def images
        plain? ? [] : @runs.flat_map { |run| run.objects.grep(Image) }
      end

      # Mathematics between its letters: {place in raw_text => [Equation, …]}.
      def equations
        return NO_EQUATIONS if @anchors.empty?
        @equations ||= @anchors.select { |anchor| anchor.object.is_a?(Equation) }.group_by(&:place)
          .transform_values { |anchors| anchors.map(&:object) }
      end

      # Mathematics between its letters, and what stands as an object among them: [Equation or Image, …].
      def formulas
        plain? ? [] : equations.values.flatten + images.select(&:formula)
      end

      # Does it hold what can't be taken to another paragraph: objects, links, fields, places with names?
      def special?
        !plain? || raw_text.match?(/[\f\v]/) || %i[content frame].include?(holds)
      end

      # The text a person reads, without object signs.
      def text
        @text ||= (@runs.size == 1) ? @runs.first.words : @runs.map(&:words).join
      end

      # The text with signs for objects and breaks: positions in it are positions in the runs.
      def raw_text
        @raw_text ||= @runs.map(&:text).join
      end

      # The text as it is seen, with a sign for each image, formula and note mark, without those of fields and comments.
      def seen_text
        @seen_text ||= if equations.any? then seen.map(&:first).join
        else raw_text.include?(Run::SIGN) ? raw_text.delete(Run::SIGN) : raw_text
        end
      end

      # Where in raw_text each character of seen_text stands; nil for formulas between its letters.
      def seen_places
        return seen.map(&:last) if equations.any?
        return Array(0...raw_text.size) unless raw_text.include?(Run::SIGN)
        raw_text.each_char.with_index.filter_map { |char, place| place unless char == Run::SIGN }
      end

      # The runs with letters to see.
      def letters
        @letters ||= @runs.select(&:visible?)
      end

      # Letters in each way that they are set: {[style, direct, symbols?] => [the first run so, its letters]}, in order.
      def ways
        @ways ||= letters.each_with_object({}) do |run, found|
          (found[Formatting.way(run)] ||= [run, 0])[1] += run.words.size
        end
      end

      # How it is set, whatever its words are: Formatting. Equal for all that are set alike.
      def formatting
        @formatting ||= Formatting.new(self, ways.values.map(&:first))
      end

      # The same of all its runs, those without letters among them.
      def whole_formatting
        @whole_formatting ||= Formatting.new(self, @runs.uniq { |run| Formatting.way(run) })
      end

      # Is nothing set on it but by its style?
      def by_style_alone?
        return @undressed if defined?(@undressed)
        @undressed = @direct.empty? && @runs.all? { |run| run.direct.empty? }
      end

      # No words and no objects: a line of nothing.
      def blank?
        return @blank if defined?(@blank)
        @blank = holds != :content && !raw_text.match?(/[^\s\u00A0]/) && equations.empty?
      end

      # Is there nothing of it to be seen but its height?
      def nothing?
        blank? && images.empty? && boxes.empty?
      end

      # Does what follows it stand on another page, because of a break in it or a section that ends with it?
      def ends_page?
        return @ends_page if defined?(@ends_page)
        @ends_page = holds == :section_break || raw_text.include?("\f")
      end

      # Can the paragraph go without anything going with it?
      def removable?
        holds.nil? && !raw_text.match?(/[\uFFF9\uFFFA\uFFFC\f\v]/) && equations.empty?
      end

      # The words, each white space one space: what the seal is made of.
      def sealed_text
        @sealed_text ||= text.tr_s("\t-\r \u00A0", " ").delete_prefix(" ").delete_suffix(" ")
      end

      # Words between white space.
      def word_count
        @word_count ||= sealed_text.empty? ? 0 : sealed_text.count(" ") + 1
      end

      # The looks it has under a cascade, kept as long as the styles are the same.
      Worn = Struct.new(:cascade, :look, :letters)

      # Its Worn under this cascade, that of another is forgotten.
      def worn(cascade)
        @worn&.cascade.equal?(cascade) ? @worn : @worn = Worn.new(cascade)
      end

      # What follows from the paragraph alone, worked out once: remember(:traits) { … }.
      def remember(key)
        known = (@remembered ||= {})
        known.fetch(key) { known[key] = yield }
      end

      protected

      # Takes what was worked out of the same text.
      def tell(text, raw_text, seen_text, sealed_text, word_count, remembered)
        @text, @raw_text, @seen_text = text, raw_text, seen_text
        @sealed_text, @word_count, @remembered = sealed_text, word_count, remembered
        self
      end

      private

      # [[character that is seen, its place in raw_text], …]
      def seen
        [*raw_text.chars, nil].each_with_index.flat_map do |char, place|
          formulas = (equations[place] || []).map { [Run::OBJECT, nil] }
          (char.nil? || char == Run::SIGN) ? formulas : formulas << [char, place]
        end
      end

      def same_text?(other)
        return false unless part == other.part && anchors.equal?(other.anchors)
        runs.equal?(other.runs) || (runs.size == other.runs.size && runs.zip(other.runs).all? do |one, another|
          one.equal?(another) || (one.text.equal?(another.text) && one.carried.equal?(another.carried))
        end)
      end

      public

      def eql?(other)
        return true if equal?(other)
        other.is_a?(Paragraph) && FIELDS.all? { |field| public_send(field) == other.public_send(field) }
      end
      alias_method :==, :eql?

      # Is it the same, in whatever section?
      def same_elsewhere?(other)
        equal?(other) || ELSEWHERE.all? { |field|
          (own = public_send(field)).equal?(one = other.public_send(field)) || own == one
        }
      end
    end
  end
end
