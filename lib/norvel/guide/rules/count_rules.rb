# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # count.pages, count.words: how long the document is, by sheets and by words, some parts left out.
      class CountRules < Family
        RULES = %w[pages words].map { |name|
          Rule.new(name: "count.#{name}", goes_by: :document, stage: :page, switch: ["count", name])
        }.freeze

        def findings
          [("pages" if asked?("count.pages")), ("words" if asked?("count.words"))].compact
            .filter_map { |noun| judged(noun) }
        end

        private

        def judged(noun)
          asked = @guide.data["count"][noun]
          least, most = asked.is_a?(Hash) ? asked.values_at("min", "max") : [asked, asked]
          now = (noun == "pages") ? Layout.pages(@document)&.sheets&.size : words(asked)
          return if now.nil? || ((least.nil? || now >= least) && (most.nil? || now <= most))
          bounds = {"at least" => least, "at most" => most}.compact.map { |words, number| "#{words} #{number}" }
          said = (least == most) ? least.to_s : bounds.join(", ")
          finding("count.#{noun}", message: "The document has #{now} #{noun}#{without(asked)}",
            asked: "#{said} #{noun}", found: "#{now} #{noun}", cause: [], cite: @guide.data["count"]["cite"])
        end

        def words(asked)
          left = asked.is_a?(Hash) ? asked["without"] || [] : []
          parts = Structure::Parts.new(@document)
          out = parts.list.select { |part| left.include?(part.name) }
          @document.word_count - out.sum { |part| parts.words(part) + (part.heading&.word_count || 0) }
        end

        def without(asked)
          left = asked.is_a?(Hash) ? asked["without"] || [] : []
          left.any? ? " without #{left.map { |name| name.tr("_", " ") }.join(" and ")}" : ""
        end
      end
    end
  end
end
