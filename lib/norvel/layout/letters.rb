# frozen_string_literal: true

module Norvel
  module Layout
    # How the letters of a run are set: face, size, spacing, capitals, position. Lengths in points.
    class Letters
      # Raised and lowered letters are two thirds as large and stand a third higher, or a seventh lower; small capitals
      # are capitals at four fifths: common practice.
      SCRIPT = 0.66
      RISE = {"super" => 0.33, "sub" => -0.14, "normal" => 0.0}.freeze
      SMALL = 0.8
      SHAPE = %i[position caps small_caps w_run hidden kern_run].freeze
      LOWER = /\p{Lower}+/

      attr_reader :look, :face, :size, :nominal, :spacing, :rise, :ascent, :descent, :height, :space, :hyphen

      def initialize(look)
        @look = look
        @face = Fonts.face(look)
        @nominal = [look[:size], 0.5].max
        @size = @nominal * ((look[:position] == "normal") ? 1.0 : SCRIPT)
        @rise = (look[:raised] || 0.0) + (@nominal * RISE.fetch(look[:position], 0.0))
        @spacing = look[:letter_spacing]
        @kerned = kerned?(look)
        @plain = !look[:caps] && !look[:small_caps] && !@kerned
        @wide = scale(look[:w_run]) * @size
        measure_line
        @space = advance(" ")
        @hyphen = advance("-")
      end

      # Are they the mark of a note?
      attr_reader :note

      # The same as those of a note's mark.
      def of_note
        dup.tap { |letters| letters.instance_variable_set(:@note, true) }
      end

      # Are line ends in it those of the font that was asked for?
      def exact?
        return @exact if defined?(@exact)
        @exact = ShippedFonts.stand_in(look[:font]).exact
      end

      # Are they shown in capitals?
      def caps?
        look[:caps]
      end

      # Are they shown in small capitals?
      def small_caps?
        look[:small_caps] && !look[:caps]
      end

      # Do others take the same room but for their size?
      def like?(other)
        @face.equal?(other.face) && @spacing.zero? && other.spacing.zero? &&
          SHAPE.all? { |name| look[name] == other.look[name] }
      end

      # The Word of a text, in ems of this face.
      def word(text)
        return @face.word(text) if @plain
        return small_word(text) if small_caps?
        @kerned ? @face.kerned(shown(text)) : @face.word(shown(text))
      end

      # Are pairs of letters set nearer? From the size on that is told in half points (ISO/IEC 29500-1 17.3.2.19).
      def kerned?(told = look)
        least = told[:kern_run]
        least = least[:val] if least.is_a?(Hash)
        least.to_s.match?(/\A\d+\z/) && least.to_i.positive? && @nominal * 2 >= least.to_i
      end

      # The text as it is drawn, as long as the text itself.
      def shown(text)
        return text unless caps?
        capitals = text.upcase
        (capitals.size == text.size) ? capitals : text
      end

      # Points for so many ems that so many characters take.
      def points(ems, characters)
        (ems * @wide) + (characters * @spacing)
      end

      # The width of a text in points, wherever it might be broken.
      def width(text)
        points(word(text).width, text.size)
      end

      private

      def advance(character)
        points(@face.advance(character), 1)
      end

      # A line is as high as its letters are before they are raised.
      def measure_line
        @ascent = @face.ascent * @nominal
        @descent = (@face.descent + @face.gap) * @nominal
        @height = @ascent + @descent
      end

      # Letters made wider or narrower, as so many percent (ISO/IEC 29500-1 17.3.2.43).
      def scale(told)
        percent = (told.is_a?(Hash) ? told[:val] : told).to_s.to_f
        percent.between?(1, 600) ? percent / 100 : 1.0
      end

      def small_word(text)
        (@small ||= {})[text] ||= Word.new(text, ->(part) {
          part.scan(/\p{Lower}+|\P{Lower}+/).sum { |same|
            LOWER.match?(same) ? @face.width(same.upcase) * SMALL : @face.width(same)
          }
        })
      end
    end
  end
end
