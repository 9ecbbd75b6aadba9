# frozen_string_literal: true

module Norvel
  module Edits
    # Puts a person's words in the place of placeholders of the same name, wherever they stand, in the look of the first
    # letter; those in the style for placeholders leave it.
    class FillPlaceholders < Edit
      # words: {name of a placeholder => what stands there instead}
      def initialize(words)
        @words = words.transform_values { |text| text.to_s.gsub(/\s+/, " ").strip }.reject { |_, text| text.empty? }
      end

      def change(document)
        found = places(document)
        raise Refused, "There is no such placeholder any more." if found.empty?
        plain = found.select(&:styled).inject(document) do |now, one|
          StyleWords.new(one.paragraph, one.places.first..one.places.last, nil).change(now)
        end
        ReplaceWords.new(found.map { |one| [one.paragraph, one.places, @words[one.name]] }, sought: "", with: "")
          .change(plain)
      end

      def title(document)
        "Fill in #{count(places(document).size, "placeholder")}"
      end

      def details(document)
        places(document).map { |one| "#{one.words} → #{@words[one.name]}" }.uniq
      end

      def changes_text?
        true
      end

      private

      def places(document)
        Structure::Placeholders.of(document).select { |one| @words.key?(one.name) }
      end
    end
  end
end
