# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # accessible.title, accessible.language, accessible.alt_text: WCAG 2.2, 2.4.2, 3.1.1 and 1.1.1.
      class AccessibleRules < Family
        RULES = %w[title language alt_text].map do |key|
          Rule.new(name: "accessible.#{key}", goes_by: :document, stage: :document, switch: ["accessible", key])
        end.freeze

        def findings
          [(title if asked?("accessible.title")), (language if asked?("accessible.language")),
            *(asked?("accessible.alt_text") ? mute_pictures : [])].compact
        end

        private

        def title
          return if @document.info[:title]
          text = @document.paragraphs.find { |p| @check.role(p) == "title" }&.sealed_text
          missing("accessible.title", "The document has no title in its properties", "a title",
            mend: text && describe("Take “#{text}” as the title", title: text))
        end

        def language
          return if @document.info[:language] || @document.sheet.run_defaults[:language] || default_style_language
          tag = @guide.data["language"]
          missing("accessible.language", "The document does not say its language", "a language",
            mend: tag && describe("Set it to #{tag}", language: tag))
        end

        # What an image shows only a person can say.
        def mute_pictures
          @document.pictures.select(&:mute?).map do |picture|
            missing("accessible.alt_text", "An image has no description", "a description in words",
              paragraph: @document.paragraph(picture.paragraph))
          end
        end

        def missing(rule, message, asked, **place)
          finding(rule, message:, asked:, found: "none", cause: [], cite: @guide.accessible["cite"], **place)
        end

        def describe(label, **values)
          Mend.new(name: "describe", label:, safe: true, steps: [[:describe, values]])
        end

        def default_style_language
          style = @document.sheet.default
          style && style.run[:language]
        end
      end
    end
  end
end
