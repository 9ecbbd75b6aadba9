# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # accessible.title, accessible.language, accessible.alt_text: WCAG 2.2, 2.4.2, 3.1.1 and 1.1.1.
      class AccessibleRules < Family
        def self.asked(guide, _roles)
          %w[title language alt_text].select { |key| ![nil, "allow"].include?(guide.accessible[key]) }.map { |key| "accessible.#{key}" }
        end

        def findings
          [(title if asked?("title")), (language if asked?("language")), *(asked?("alt_text") ? mute_pictures : [])].compact
        end

        private

        def asked?(key)
          switch = @guide.accessible[key]
          !switch.nil? && switch != "allow"
        end

        def title
          return if @document.info[:title]
          text = @document.paragraphs.find { |p| @check.role(p) == "title" }&.sealed_text
          mend = text && Mend.new("describe", "Take “#{text}” as the title", true, ->(_, _) { Edits::Describe.new({title: text}) })
          finding("accessible.title", message: "The document has no title in its properties", asked: "a title", found: "none", cause: [], mend:, cite: @guide.accessible["cite"])
        end

        def language
          return if @document.info[:language] || @document.sheet.run_defaults[:language] || default_style_language
          tag = @guide.data["language"]
          mend = tag && Mend.new("describe", "Set it to #{tag}", true, ->(_, _) { Edits::Describe.new({language: tag}) })
          finding("accessible.language", message: "The document does not say its language", asked: "a language", found: "none", cause: [], mend:, cite: @guide.accessible["cite"])
        end

        # What an image shows only a person can say.
        def mute_pictures
          @document.pictures_shown.select(&:mute?).map do |picture|
            finding("accessible.alt_text", paragraph: @document.paragraph(picture.paragraph), message: "An image has no description", asked: "a description in words", found: "none", cause: [], cite: @guide.accessible["cite"])
          end
        end

        def default_style_language
          style = @document.sheet.default
          style && style.run[:language]
        end
      end
    end
  end
end
