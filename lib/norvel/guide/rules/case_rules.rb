# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # role.*.case, headings.case: capitals, title or sentence case. What a style shows in capitals is in capitals.
      class CaseRules < Family
        RULES = [Rule.new(name: "role.*.case", goes_by: :look, stage: :values),
          Rule.new(name: "headings.case", goes_by: :look, stage: :values)].freeze
        LETTERS = "the letters change: look whether names keep their capital"
        TYPED = {"title" => "title", "sentence" => "usual", "lower" => "lower"}.freeze

        # {rule's name => what it asks} of a role.
        def self.of(guide, role)
          {"role.#{role}.case" => guide.role(role)["case"], "headings.case" => guide.headings.dig("case", role)}.compact
        end

        def self.asked(guide, roles)
          roles.flat_map { |role| of(guide, role).keys }.uniq
        end

        # Rules whose findings can't be told in the document's language: {rule's name => why}
        def self.untold(guide, document, roles)
          return {} if Survey::LetterCase.told?(document)
          asked = roles.flat_map { |role| of(guide, role).to_a }.select { |_, value| list(value) != ["upper"] }
          asked.to_h { |rule, _| [rule, "title and sentence case can't be told in the language of the text"] }
        end

        # What any one of is asked for.
        def self.list(value)
          value.is_a?(Hash) ? value["any_of"] : [value]
        end

        def on(paragraph)
          return [] if paragraph.blank?
          asked(@check.role(paragraph)).filter_map { |rule, values| judged(rule, values, paragraph) }
        end

        private

        def asked(role)
          @asked ||= {}
          @asked[role] ||= self.class.of(@guide, role).transform_values { |value| self.class.list(value) }
        end

        def judged(rule, values, paragraph)
          found = seen(paragraph) or return
          return if values.include?(found.to_s) || untold?(values, found)
          words = Survey::LetterCase::WORDS
          finding(rule, paragraph:, asked: values.map { |one| words.fetch(one.to_sym) }.join(" or "),
            found: words.fetch(found), cause: [@check.role(paragraph), @document.style_of(paragraph)&.id, found],
            message: "#{speak(paragraph)} has #{words.fetch(found)}", mend: mend(values.first, paragraph),
            cite: cite(rule, paragraph))
        end

        # In languages that write nouns with capitals only capitals throughout tell.
        def untold?(values, found)
          !Survey::LetterCase.told?(@document) && found != :upper && values != ["upper"]
        end

        def seen(paragraph)
          @document.letter_look(paragraph)[:caps] ? :upper : Survey::LetterCase.of(paragraph)
        end

        def speak(paragraph)
          Survey::Roles.words(@check.role(paragraph)).then { |words| words[0].upcase + words[1..] }
        end

        def mend(wanted, paragraph)
          return by_style(paragraph) if wanted == "upper"
          return if @document.letter_look(paragraph)[:caps]
          Mend.new(name: "change_case", label: "Type them so", safe: false, why: LETTERS,
            steps: [[:change_case, TYPED.fetch(wanted)]])
        end

        def by_style(paragraph)
          style = @document.style_of(paragraph) or return
          mend = Mend.new(name: "change_style", label: "Capitals in #{style.name}", safe: true,
            steps: [[:change_style, style.id, {caps: true}]])
          style.default ? mend.asking(RoleCause::BASE) : mend
        end

        def cite(rule, paragraph)
          (rule == "headings.case") ? @guide.headings["cite"] : @guide.role(@check.role(paragraph))["cite"]
        end
      end
    end
  end
end
