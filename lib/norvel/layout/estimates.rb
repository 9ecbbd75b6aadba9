# frozen_string_literal: true

module Norvel
  module Layout
    # What of the pages is an estimate, and why: fonts that no face that ships is as wide as, characters that none has,
    # objects that hang at an anchor, and what sections ask for that the layout does in a simpler way.
    class Estimates
      # What sections may ask for that is done in a simpler way: {words => is it asked for?}
      SIMPLER = {
        "asks for a grid that letters stand on, which is not applied" => ->(section) {
          section.line_grid&.[](:characters)&.nonzero?
        }
      }.freeze

      def initialize(result)
        @setting = result.stories.setting
        @crossed = result.sheets.flat_map { |sheet| sheet.crossed || [] }
      end

      # Sentences.
      def sentences
        [*fonts, *characters, *floats, *formulas, *sections]
      end

      # Names of fonts that stand in with other widths: {font => the face's family}.
      def stand_ins
        @stand_ins ||= blocks.flat_map { |block| block.set_items.kinds }.uniq.reject(&:exact?)
          .to_h { |letters| [letters.look[:font], ShippedFonts.stand_in(letters.look[:font]).family] }
      end

      # Characters that no face that ships has.
      def absent
        @absent ||= begin
          texts = blocks.map { |block| block.set_items.text }.reject(&:ascii_only?)
          texts.flat_map { |text| text.scan(/[^\p{ASCII}]/).uniq }.uniq.reject { |sign| drawn?(sign) }
        end
      end

      # Is any line of these blocks an estimate?
      def any?(list)
        list.any? do |block|
          rough(block).any? || simpler[block.section] || block.set_items.kinds.any? { |letters| !letters.exact? }
        end
      end

      private

      def blocks
        @blocks ||= @setting.blocks.values
      end

      # {number of a section => [words, …]}
      def simpler
        @simpler ||= @setting.document.sections.each.with_index(1).to_h { |section, number|
          [number, SIMPLER.filter_map { |words, asked| words if asked.call(section) }]
        }.reject { |_, said| said.empty? }
      end

      def sections
        simpler.flat_map do |number, said|
          said.map { |words| "Section #{number} #{words}: where its pages end is an estimate." }
        end
      end

      def fonts
        stand_ins.map do |font, family|
          "“#{font}” does not ship with Norvel: its lines are set in #{family}, so where they end is an estimate."
        end
      end

      def characters
        return [] if absent.empty?
        ["No face that ships has #{absent.first(5).join(" ")}: the widths of such signs are an estimate."]
      end

      def drawn?(sign)
        Face::UNSEEN.match?(sign) || sign.match?(/[\uFFFC\u2011\u00A0]/) || Fonts.face_with(sign, nil)
      end

      def formulas
        count = FormulaSetting.beyond(@setting.document).size
        return [] if count.zero?
        said = (count == 1) ? "One formula is set as its letters" : "#{count} formulas are set as their letters"
        ["#{said} in a row: the document holds more of them than are set by their structure."]
      end

      # What hangs at a block and has no place in the text, or none at which it came to rest.
      def rough(block)
        block.floats.select { |one| one.estimate? || @crossed.any? { |other| other.equal?(one) } }
      end

      def floats
        aside = blocks.flat_map { |block| block.floats.select(&:estimate?) }
        [
          *hung(aside, "room is made at the paragraph of its anchor, so where lines end is an estimate"),
          *hung(@crossed - aside, "some lines or tables there do not give way, so where they end is an estimate")
        ]
      end

      def hung(list, how)
        count = list.uniq.size
        return [] if count.zero?
        said = (count == 1) ? "One picture or box hangs" : "#{count} pictures and boxes hang"
        ["#{said} at a place of the page: #{how}."]
      end
    end
  end
end
