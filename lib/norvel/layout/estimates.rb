# frozen_string_literal: true

module Norvel
  module Layout
    # What of the pages is an estimate, and why: fonts that no face that ships is as wide as, characters that none has,
    # objects that hang at an anchor.
    class Estimates
      def initialize(result)
        @setting = result.stories.setting
      end

      # Sentences.
      def sentences
        [*fonts, *characters, *floats]
      end

      # Names of fonts that stand in with other widths: {font => the face's family}.
      def stand_ins
        @stand_ins ||= blocks.flat_map { |block| block.copy.kinds }.uniq.reject(&:exact?)
          .to_h { |letters| [letters.look[:font], Norvel::Fonts.stand_in(letters.look[:font]).family] }
      end

      # Is any line of these blocks an estimate?
      def any?(list)
        list.any? do |block|
          block.floats.any? || block.copy.kinds.any? { |letters| !letters.exact? }
        end
      end

      private

      def blocks
        @blocks ||= @setting.blocks.values
      end

      def fonts
        stand_ins.map do |font, family|
          "“#{font}” does not ship with Norvel: its lines are set in #{family}, so where they end is an estimate."
        end
      end

      def characters
        texts = blocks.map { |block| block.copy.text }.reject(&:ascii_only?)
        missing = texts.flat_map { |text| text.scan(/[^\p{ASCII}]/).uniq }.uniq.reject { |sign| drawn?(sign) }
        return [] if missing.empty?
        ["No face that ships has #{missing.first(5).join(" ")}: the widths of such signs are an estimate."]
      end

      def drawn?(sign)
        Face::UNSEEN.match?(sign) || sign.match?(/[\uFFFC\u2011\u00A0]/) || Fonts.face_with(sign, nil)
      end

      def floats
        count = blocks.sum { |block| block.floats.size }
        return [] if count.zero?
        said = (count == 1) ? "One picture or box hangs" : "#{count} pictures and boxes hang"
        ["#{said} at an anchor: room is made for it there, above its paragraph, which is an estimate."]
      end
    end
  end
end
