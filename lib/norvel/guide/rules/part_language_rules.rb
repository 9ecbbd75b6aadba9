# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # language.part: the paragraphs of a part say that they are in the language that is asked for, as an abstract in
      # English of a German thesis does (WCAG 2.2, 3.1.2).
      class PartLanguageRules < Family
        RULES = [Rule.new(name: "language.part", goes_by: :document, stage: :document)].freeze
        WHY = "only a person knows what language words are in"

        def self.asked(guide, _roles)
          (guide.parts.any? { |part| part["language"] }) ? ["language.part"] : []
        end

        def findings
          stated = @guide.parts.select { |part| part["language"] }
          return [] if stated.empty?
          parts = Structure::Parts.new(@document)
          stated.flat_map { |asked| (part = parts[asked["part"]]) ? others(part, asked) : [] }
        end

        private

        def others(part, asked)
          tag = asked["language"]
          label = Structure::Parts::LABELS.fetch(part.name, part.name)
          worded(part).reject { |one| same?(said(one), tag) }.map do |one|
            finding("language.part", paragraph: one, asked: name(tag), found: said(one) ? name(said(one)) : "none",
              message: "#{label.capitalize}: a paragraph says that it is in #{said(one) ? name(said(one)) : "none"}",
              cause: [part.name, said(one)], cite: asked["cite"], mend: mend(tag))
          end
        end

        def worded(part)
          @document.paragraphs[part.first..part.last].reject(&:blank?)
        end

        def said(paragraph)
          @document.letter_look(paragraph)[:language] || @document.info[:language]
        end

        def same?(said, tag)
          Survey::Language.primary(said) == Survey::Language.primary(tag)
        end

        def name(tag)
          Survey::Language::NAMES.fetch(Survey::Language.primary(tag), tag)
        end

        def mend(tag)
          Mend.new(name: "say_language", label: "Say that they are in #{name(tag)}", safe: false,
            steps: [[:say_language, tag]], why: WHY)
        end
      end
    end
  end
end
