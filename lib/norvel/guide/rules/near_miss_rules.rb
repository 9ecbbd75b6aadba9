# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.near_miss: values so close to the usual one of their role that they were meant to be equal.
      class NearMissRules < Family
        RULE = "clean.near_miss"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :by_hand, switch: %w[clean near_misses])].freeze
        WHY = "it may be meant: look where they stand"

        def findings
          return [] unless asked?(RULE)
          Survey::NearMisses.new(@document).misses.flat_map do |miss|
            miss.paragraphs.map { |paragraph| found(miss, paragraph) }
          end
        end

        private

        def found(miss, paragraph)
          property = miss.property
          usual, odd = property.spoken(miss.usual), property.spoken(miss.odd)
          mend = Mend.new(name: "make_equal", label: "Make it equal: #{property.label.downcase} #{usual}", safe: false,
            steps: [[:make_equal, property.name, miss.usual]], why: WHY)
          message = "#{property.label} is nearly that of most #{Survey::Roles.words(miss.role)}"
          finding(RULE, paragraph:, message:, asked: usual, found: odd, mend:, cite: @guide.clean["cite"],
            cause: [property.name, miss.role, usual, odd])
        end
      end
    end
  end
end
