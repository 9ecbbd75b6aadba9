# frozen_string_literal: true

module Norvel
  module Edits
    # The look that most of some paragraphs share, property by property.
    class SharedLook
      # document: where they stand; paragraphs: at least one; the worded ones count
      def initialize(document, paragraphs)
        @document = document
        worded = paragraphs.reject(&:blank?)
        @makeups = (worded.empty? ? paragraphs : worded).group_by(&:makeup).map { |_, list| [list.first, list.size] }
      end

      # The value of a property that most of them have; the first of those that are as frequent.
      def [](name)
        counts = @makeups.each_with_object(Hash.new(0)) do |(paragraph, count), sums|
          sums[look(paragraph, Styles::Properties[name].on)[name]] += count
        end
        counts.max_by(&:last).first
      end

      # {name => value} of those in which it differs from what a style gives, nil for the document's defaults.
      def beyond(style)
        Fitting::KINDS.flat_map { |place, names|
          given = @document.cascade.of_style(style, place)
          names.filter_map do |name|
            value = self[name]
            [name, value] unless Styles::Properties[name].same?(value, given[name])
          end
        }.to_h
      end

      private

      def look(paragraph, place)
        (place == :run) ? @document.letter_look(paragraph) : @document.look(paragraph)
      end
    end
  end
end
