# frozen_string_literal: true

module Norvel
  module Consistency
    # Captions whose word, sign after the number, or side differs from the others of their kind; numbers that stand
    # twice or leave a gap.
    class CaptionForms < Subject
      RULE = "captions"
      FORM = /\A(?<word>[[:alpha:]]+\.?)[\s\u00A0]*(?<number>\d{1,3}(?:[.\-–]\d{1,3}){0,2})
        (?<sign>[.:)]|[\s\u00A0][–—-])?/x

      def odds
        captions.group_by { |one, _| Survey::Traits.of(one).caption }.except(nil).flat_map do |kind, list|
          [*unlike(list, "word") { |_, match| match[:word] },
            *unlike(list, "sign after the number") { |_, match| match[:sign].to_s },
            *unlike(list, "side") { |one, _| side(kind, one) }, *numbers(list)]
        end
      end

      private

      def captions
        worded.select { |one| role(one) == "caption" }
          .filter_map { |one| (match = FORM.match(one.text.strip)) && [one, match] }
      end

      def unlike(list, what, &form)
        forms = list.map(&form)
        most = usual(forms.compact) or return []
        list.zip(forms).reject { |_, own| own.nil? || own == most }.map do |(one, match), own|
          odd(paragraph: one, usual: words(most), found: words(own),
            message: "#{match[:word]} #{match[:number]} has #{what} #{words(own)}, most have #{words(most)}")
        end
      end

      def words(value)
        value.to_s.strip.empty? ? "none" : "“#{value.strip}”"
      end

      # "above" or "below" what it belongs to, nil where both or neither stand beside it.
      def side(kind, paragraph)
        at = blocks_at[paragraph.id] or return
        above, below = [at - 1, at + 1].map { |place| !place.negative? && shows?(kind, blocks[place]) }
        return if above == below
        above ? "below" : "above"
      end

      def shows?(kind, block)
        return block.is_a?(Document::Table) if kind == :table
        block.is_a?(Document::Paragraph) && (block.images.any? || block.boxes.any?)
      end

      def blocks
        @document.shown_blocks
      end

      def blocks_at
        @blocks_at ||= blocks.each_with_index
          .filter_map { |block, at| [block.id, at] if block.is_a?(Document::Paragraph) }.to_h
      end

      # Typed or counted, a number that stands twice, or that leaves one out.
      def numbers(list)
        list.each_cons(2).filter_map do |(_, was), (one, now)|
          before, number = [was, now].map { |match| match[:number].split(/[.\-–]/).map(&:to_i) }
          next unless before.size == number.size && before[0..-2] == number[0..-2] && number.last != before.last + 1
          wanted = [*before[0..-2], before.last + 1].join(".")
          odd(paragraph: one, usual: wanted, found: now[:number],
            message: "After #{was[:word]} #{was[:number]} comes #{now[:word]} #{now[:number]}")
        end
      end
    end
  end
end
