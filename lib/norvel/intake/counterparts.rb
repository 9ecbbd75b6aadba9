# frozen_string_literal: true

module Norvel
  module Intake
    # Which paragraphs of a whole came from which paragraphs of the texts that it was made of: those that say the same,
    # in the same order.
    module Counterparts
      NEAR = 40 # paragraphs that may have come between, such as a blank one or a list that was brought up to date

      module_function

      # For each of the texts, in their order: {id of its paragraph => id of the same in the whole}, without those that
      # have none.
      #   from: the first paragraph of the whole that may be one of theirs, counted from 0
      def of(texts, whole, from: 0)
        at = from
        texts.map do |text|
          text.paragraphs.each_with_object({}) do |paragraph, found|
            place = near(whole, paragraph, at) or next
            found[paragraph.id] = whole.paragraphs[place].id
            at = place + 1
          end
        end
      end

      # The paragraph with the same words at this place of the whole or soon after it.
      def near(whole, paragraph, at)
        last = [at + NEAR, whole.paragraphs.size - 1].min
        (at..last).find { |place| whole.paragraphs[place].text == paragraph.text }
      end
      private_class_method :near
    end
  end
end
