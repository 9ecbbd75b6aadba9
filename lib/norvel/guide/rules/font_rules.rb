# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # fonts.allowed: every letter of the document, notes, heads and feet included, is in one of these fonts.
      class FontRules < Family
        RULES = [Rule.new(name: "fonts.allowed", goes_by: :look, stage: :values)].freeze

        def self.asked(guide, _roles)
          guide.data.dig("fonts", "allowed") ? ["fonts.allowed"] : []
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

        # Signs of symbol fonts are no letters.
        def fonts(paragraph)
          paragraph.formatting.letters.reject(&:symbols?).map { |run| @document.run_look(run, paragraph)[:font] }
            .compact.uniq
        end
      end
    end
  end
end
