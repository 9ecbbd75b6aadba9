# frozen_string_literal: true

module Norvel
  module Edits
    # Takes off what paragraphs set by hand and their style says anyway: nothing looks otherwise. Of the properties that
    # are named, what differs goes too, but not from words that are set apart in their paragraph.
    class LetStyleSay < Edit
      # ids: paragraphs; ruled: names of properties that are the style's in any case
      def initialize(ids, ruled: [])
        @ids = ids
        @ruled = ruled
      end

      def change(document)
        fitting = Fitting.new(document, document, ruled: @ruled)
        document.replace(chosen(document, @ids).map { |paragraph| fitting.fit(paragraph) })
      end

      def title(_document)
        return "Clear what #{count(@ids.size)} set by hand as the style has it" if @ruled.empty?
        "Let styles set the #{@ruled.map { |name| Styles::Properties[name].label.downcase }.join(", ")} " \
          "of #{count(@ids.size)}"
      end
    end
  end
end
