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
        return document unless language
        document.with(styles: document.styles.with(run_defaults: document.styles.run_defaults.merge(language:)))
      end

      def title(_document)
        "Set #{@values.map { |name, value| "#{name} “#{value}”" }.join(", ")}"
      end
    end
  end
end
