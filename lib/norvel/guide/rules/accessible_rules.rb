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
          [(title if asked?("accessible.title")), *(asked?("accessible.language") ? languages : []),
            *(asked?("accessible.alt_text") ? mute_pictures : [])].compact
        end

        private

        def title
          return if @document.info[:title]
          placeholders = Structure::Placeholders.new(@document)
          found = @document.paragraphs.find do |paragraph|
            @check.role(paragraph) == "title" && placeholders.in(paragraph).empty?
          end
          missing("accessible.title", "The document has no title in its properties", "a title",
            mend: found && title_mend(found))
        end

        def title_mend(paragraph)
          text = paragraph.sealed_text
          mend = describe("Take “#{text}” as the title", title: text)
          @check.sure?(paragraph) ? mend : mend.asking(RoleRules::UNSURE)
        end

        # That of the document, and of paragraphs in another one (WCAG 2.2, 3.1.2).
        def languages
          said = @document.info[:language] || @document.styles.run_defaults[:language] || default_style_language
          read = Survey::Language.of_document(@document)
          [(language(read) unless said), *strangers(said || read)].compact
        end

        # The guide's language is put on words that read as such; else a person is asked.
        def language(read)
          tag = @guide.data["language"] || read
          missing("accessible.language", "The document does not say its language", "a language",
            mend: tag && language_mend(tag, read))
        end

        def language_mend(tag, read)
          return describe("Set it to #{tag}", language: tag) if read == Survey::Language.primary(tag)
          return describe("Set it to #{tag}", language: tag).asking("too few words to tell the language by") unless read
          name = Survey::Language.name(read)
          describe("Set it to #{read}", language: read)
            .asking("the words read as #{name}; the guide asks for #{@guide.data["language"]}")
        end

        # Paragraphs that read as another language and don't say so.
        def strangers(usual)
          usual = Survey::Language.primary(usual) or return []
          @document.paragraphs.filter_map do |paragraph|
            next if Survey::Language.plainly?(paragraph, usual)
            read = Survey::Language.of_paragraph(paragraph)
            stranger(paragraph, read) if read && read != usual && !says?(paragraph, read)
          end
        end

        def says?(paragraph, tag)
          Survey::Language.primary(@document.letter_look(paragraph)[:language]) == tag
        end

        def stranger(paragraph, tag)
          name = Survey::Language.name(tag)
          mend = Mend.new(name: "say_language", label: "Say that they are in #{name}", safe: false,
            steps: [[:say_language, tag]], why: "the words read as #{name}: only a person knows")
          finding("accessible.language", paragraph:, message: "A paragraph reads as #{name} and does not say so",
            asked: "its language", found: "none", cause: [tag], mend:, cite: @guide.accessible["cite"])
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
          style = @document.styles.default
          style && style.run[:language]
        end
      end
    end
  end
end
