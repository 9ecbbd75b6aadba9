# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.page_break: page breaks and blank paragraphs that put a heading at the head of a page.
      class PageStartRules < Family
        RULE = "clean.page_break"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :text, switch: %w[clean page_breaks])].freeze

        def findings
          return [] unless asked?(RULE)
          starts = Structure::PageStarts.new(@document)
          starts.all.group_by { |start| @document.style_of(start.heading)&.id }.flat_map do |style, list|
            mend = mend(list, starts.others(list.first))
            list.map { |start| found(start, mend, style) }
          end
        end

        private

        def found(start, mend, style)
          by = start.breaks.any? ? "a page break" : Quantity.words(start.blanks.size, "blank paragraph")
          finding(RULE, paragraph: start.heading, message: "A heading begins its page by #{by}",
            asked: "its style begins the page", found: by, cause: [style], mend:, cite: @guide.clean["cite"])
        end

        def mend(list, others)
          style = @document.style_of(list.first.heading)
          ids = %i[breaks blanks].map { |kind| list.flat_map(&kind).map(&:id) }
          mend = Mend.new(name: "begin_pages", label: "Let #{style&.name} begin pages", safe: true,
            steps: [[:begin_pages, *ids]])
          return mend.asking("put it in a style of headings first") if style.nil? || style.default
          return mend if others.empty?
          mend.asking("#{Quantity.words(others.size, "other heading")} in #{style.name} would begin a page too")
        end
      end
    end
  end
end
