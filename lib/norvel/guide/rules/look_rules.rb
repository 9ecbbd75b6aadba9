# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.looks: paragraphs of one kind have no more looks than the guide says. The looks that most have stay, the
      # others are found.
      class LookRules < Family
        RULE = "clean.looks"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :values)].freeze
        ROLES = (Guide::ROLES - %w[title subtitle contents_entry]).freeze # what is there several times, and is one kind

        def self.asked(guide, _roles)
          guide.clean["looks_per_role"] ? [RULE] : []
        end

        def findings
          most = @guide.clean["looks_per_role"] or return []
          by_role.flat_map { |role, looks| (looks.size > most) ? odd(role, looks, most) : [] }
        end

        private

        # {role => [[paragraphs of one look], …], the largest first}
        def by_role
          worded = @document.paragraphs.reject(&:blank?).select { |one| ROLES.include?(@check.role(one)) }
          worded.group_by { |one| @check.role(one) }.transform_values do |list|
            list.group_by { |one| [look(one), @document.letter_look(one)] }.values.sort_by { |same| -same.size }
          end
        end

        # A list that begins anew, or a level, is no other look.
        def look(paragraph)
          look = @document.look(paragraph)
          look[:list] ? look.values.except(:list, :list_id, :list_level, :indent_left, :first_line) : look
        end

        def odd(role, looks, most)
          words = Survey::Roles.words(role)
          count = looks.size
          looks.drop(most).flatten(1).map do |one|
            finding(RULE, paragraph: one, asked: "#{Quantity.words(most, "look")} of #{words}", found: "#{count} looks",
              message: "This is one of #{count} looks of #{words}", cause: [role], cite: @guide.clean["cite"])
          end
        end
      end
    end
  end
end
