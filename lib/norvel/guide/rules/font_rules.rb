# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # fonts.allowed: every letter of the document, notes, heads and feet included, is in one of these fonts.
      # fonts.embedded: the file holds them (ISO/IEC 29500-1 17.8.1, ODF 1.3 part 3, 19.527).
      class FontRules < Family
        RULES = [Rule.new(name: "fonts.allowed", goes_by: :look, stage: :values),
          Rule.new(name: "fonts.embedded", goes_by: :document, stage: :document, switch: %w[fonts embedded])].freeze

        def self.asked(guide, _roles)
          super + (guide.data.dig("fonts", "allowed") ? ["fonts.allowed"] : [])
        end

        # Of a font that is not embedded, where it stands first.
        def findings
          return [] unless asked?("fonts.embedded")
          held = @document.settings.embedded_fonts.map(&:downcase)
          first_places.reject { |font, _| held.include?(font.downcase) }.map do |font, paragraph|
            finding("fonts.embedded", paragraph:, asked: "in the file", found: font, cause: ["embedded", font],
              message: "The file does not hold the font #{font}", cite: @guide.data["fonts"]["cite"])
          end
        end

        def on(paragraph)
          allowed = self.allowed or return []
          fonts(paragraph).reject { |font| allowed[font.downcase] }.map do |font|
            finding("fonts.allowed", paragraph:, asked: @guide.data["fonts"]["allowed"].join(" or "), found: font,
              message: "Letters are set in #{font}", cause: [font], cite: @guide.data["fonts"]["cite"])
          end
        end

        private

        def allowed
          @allowed ||= @guide.data.dig("fonts", "allowed")&.to_h { |name| [name.downcase, true] }
        end

        def first_places
          @document.working.reject(&:blank?).each_with_object({}) do |paragraph, found|
            fonts(paragraph).each { |font| found[font] ||= paragraph }
          end
        end

        # Signs of symbol fonts are no letters.
        def fonts(paragraph)
          paragraph.formatting.letters.reject(&:symbols?).map { |run| @document.run_look(run, paragraph)[:font] }
            .compact.uniq
        end
      end
    end
  end
end
