# frozen_string_literal: true

module Norvel
  module Edits
    # Gives paragraphs the usual value of a property: cleared where their style has it anyway, set where it has not.
    class MakeEqual < Edit
      # ids: paragraphs; name: of the property; value: the usual one
      def initialize(ids, name, value)
        @ids = ids
        @property = Styles::Properties[name]
        @value = value
      end

      def change(document)
        document.replace(chosen(document, @ids).map { |paragraph| equal(paragraph, document) })
      end

      def title(_document)
        "Make #{@property.label.downcase} #{@property.spoken(@value)} in #{count(@ids.size)}"
      end

      private

      def equal(paragraph, document)
        own = document.cascade.of_style(document.style_of(paragraph), @property.on)
        return paragraph.with(direct: set(paragraph.direct, own)) if @property.on == :paragraph
        odd = document.letter_look(paragraph)[@property.name]
        runs = paragraph.runs.map do |run|
          (document.run_look(run, paragraph)[@property.name] == odd) ? run.with(direct: set(run.direct, own)) : run
        end
        paragraph.with(runs: runs.freeze)
      end

      def set(direct, own)
        if @property.same?(own[@property.name], @value)
          return direct.without(*Styles::Properties.slots_of(@property.name))
        end
        Setting.put(direct, @property.name, @value, own)
      end
    end
  end
end
