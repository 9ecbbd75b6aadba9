# frozen_string_literal: true

module Norvel
  module Edits
    # Sets what the document says of itself: title, author, subject, keywords, language.
    class Describe < Edit
      # values: {title:, author:, subject:, keywords:, language:}; a language is also that of the text, by default
      def initialize(values)
        @values = values.transform_values { |text| text.to_s.strip.then { |t| t unless t.empty? } }
      end

      def change(document)
        language = @values[:language]
        raise Refused, "“#{language}” is not a language tag: write it like en-GB or de." if language &&
          !language.match?(/\A[a-z]{2,3}(-[A-Za-z0-9]{2,8})*\z/)
        document = document.with(info: document.info.merge(@values).freeze)
        return document unless @values.key?(:language)
        defaults = document.styles.run_defaults
        defaults = language ? defaults.merge(language:) : defaults.without(:language)
        document.with(styles: document.styles.with(run_defaults: defaults))
      end

      def title(_document)
        taken, set = @values.partition { |_, value| value.nil? }
        set = set.map { |name, value| "#{name} “#{value}”" }
        [("Set #{set.join(", ")}" if set.any?), ("took away #{taken.to_h.keys.join(", ")}" if taken.any?)]
          .compact.join("; ").sub(/\A./, &:upcase)
      end
    end
  end
end
