# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # role.*.emphasis: how words may be set apart from their paragraph. Where only what is allowed is said, all else
      # is not.
      class EmphasisRules < Family
        RULES = [Rule.new(name: "role.*.emphasis", goes_by: :look, stage: :by_hand)].freeze
        KINDS = Edits::Fitting::EMPHASIS.map(&:to_s).freeze
        WORDS = {"bold" => "bold", "italic" => "italic", "underline" => "underlined", "strike" => "struck through",
                 "caps" => "in capitals", "small_caps" => "in small capitals", "highlight" => "highlighted",
                 "color" => "coloured"}.freeze

        def self.asked(guide, roles)
          roles.select { |role| guide.role(role)["emphasis"] }.map { |role| "role.#{role}.emphasis" }
        end

        def on(paragraph)
          return [] if paragraph.ways.size < 2
          role = @check.role(paragraph)
          banned = banned(role)
          return [] if banned.empty?
          (fitting.mixed(paragraph).map(&:to_s) & banned).map { |kind| found(paragraph, role, kind) }
        end

        private

        def banned(role)
          asked = @guide.role(role)["emphasis"] or return []
          asked["forbid"] ? asked["forbid"] - (asked["allow"] || []) : KINDS - (asked["allow"] || [])
        end

        def fitting
          @fitting ||= Edits::Fitting.new(@document, @document)
        end

        def found(paragraph, role, kind)
          allowed = (KINDS - banned(role)).map { |one| WORDS.fetch(one) }
          asked = allowed.empty? ? "no words set apart" : "words set apart: #{allowed.join(", ")} at most"
          finding("role.#{role}.emphasis", paragraph:, asked:, found: WORDS.fetch(kind), cause: [role, kind],
            message: "Words are #{WORDS.fetch(kind)}: “#{words(paragraph, kind.to_sym)}”", mend: mend(kind, paragraph),
            cite: @guide.role(role)["cite"])
        end

        # The words that are set apart by it.
        def words(paragraph, name)
          usual = @document.letter_look(paragraph)[name]
          apart = paragraph.letters.reject { |run| @document.run_look(run, paragraph)[name] == usual }
          text = apart.map(&:words).join(" ").strip
          (text.size > 60) ? "#{text[0, 59]}…" : text
        end

        def mend(kind, paragraph)
          by_hand = paragraph.runs.any? { |run| run.direct.key?(kind.to_sym) }
          return unless by_hand
          Mend.new(name: "clear_direct", label: "Clear it", safe: false, why: "it may be meant",
            steps: [[:clear, {properties: [kind.to_sym]}]])
        end
      end
    end
  end
end
