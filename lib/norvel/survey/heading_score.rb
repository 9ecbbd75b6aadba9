# frozen_string_literal: true

module Norvel
  module Survey
    # How much speaks for a paragraph being a heading: a sum of evidence, each with its reason. The weights are
    # judgement, not fitted: what stands out, is numbered, is short and is followed by text is a heading; what reads as
    # a sentence is not.
    class HeadingScore
      THRESHOLD = 3.5

      attr_reader :score, :because

      # +following+: the next paragraph with words, or nil; +fresh+: a page begins here; +counted+: it counts in a form
      # that headings have; +boxed+: it is all that a table of one cell holds.
      def initialize(paragraph, look, letters, body, following:, after_gap:, fresh:, counted: false, boxed: false)
        @traits = Traits.of(paragraph)
        @counted, @boxed = counted, boxed
        @look, @letters, @body = look, letters, body
        @score = 0.0
        @because = []
        @distinct = false
        appearance
        numbering
        place(following, after_gap, fresh)
        wording
      end

      # Enough evidence, and something a reader would see.
      def heading?
        @distinct && @score >= THRESHOLD
      end

      # From 0.5 to 0.99.
      def confidence
        (0.5 + (@score / 16)).clamp(0.5, 0.99).round(2)
      end

      private

      def count(weight, reason = nil, distinct: false)
        @score += weight
        @because << reason if reason
        @distinct ||= distinct
      end

      def appearance
        larger = @letters[:size] - @body.size
        if larger >= 1.5 then count(3, "larger than the text", distinct: true)
        elsif larger >= 0.5 then count(2, "a little larger than the text", distinct: true)
        elsif larger <= -0.5 then count(-2.5)
        end
        count(2.5, "bold", distinct: true) if @letters[:bold] && !@body.bold?
        count(1.5, "italic", distinct: true) if @letters[:italic] && !@body.italic?
        count(1.5, "in capitals", distinct: true) if @letters[:caps] || @traits.capitals?
        count(1.5, "in small capitals", distinct: true) if @letters[:small_caps]
        count(1.5, "underlined", distinct: true) if @letters[:underline] != "none"
        count(1, "centred") if @look[:align] == "center" && @body.align != "center"
        count(0.5, "in a colour of its own") if @body.letters && ink(@letters) != ink(@body.letters)
        count(0.5) if @letters[:font] != @body.font
        count(0.7, "kept with what follows") if @look[:keep_with_next]
        count(0.5) if @look[:space_before] >= @body.space_before + 6
        count(3, "an outline level", distinct: true) if @look[:outline_level].positive?
        framed
      end

      # Automatic text is black on white.
      def ink(letters)
        (letters[:color] == "auto") ? "#000000" : letters[:color]
      end

      # A ground or rules across the measure, a frame of its own.
      def framed
        shade = @body.look ? @body.look[:shading] : "auto"
        count(2, "on a ground of its own", distinct: true) if @look[:shading] != "auto" && @look[:shading] != shade
        ruled = @body.look ? @body.look[:borders] : nil
        count(2, "between rules", distinct: true) if (@look[:borders] || {}) != (ruled || {})
        count(2, "in a frame of its own", distinct: true) if @boxed
      end

      def numbering
        case @traits.kind
        when :chapter, :appendix then count(2, "begins like a chapter", distinct: @traits.words <= 15)
        when :decimal then (@traits.depth >= 2) ? count(2.5, "numbered as a section", distinct: true) : count(0.8,
          "numbered")
        when :roman then count(1, "numbered")
        end
        count(2.5, "counts as other headings do", distinct: true) if @counted && @traits.kind != :decimal
        count(1.5, "counts as other headings do") if @counted && @traits.kind == :decimal && @traits.depth == 1
        count(2.5, "a usual heading", distinct: true) if @traits.heading_word?
      end

      def place(following, after_gap, fresh)
        count(0.5) if after_gap
        count(0.7, "begins a page") if fresh
        return count(-1.5) unless following
        count(1, "followed by text") if Traits.of(following).words >= 15
      end

      def wording
        score, because = @traits.wording
        @score += score
        @because.concat(because)
      end
    end
  end
end
