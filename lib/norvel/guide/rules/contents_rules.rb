# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # contents.missing, .stale, .levels: what a guide that speaks of a contents list asks of it, by the pages.
      class ContentsRules < Family
        RULES = %w[missing stale levels].map { |name|
          Rule.new(name: "contents.#{name}", goes_by: :document, stage: :page)
        }.freeze
        OTHERWISE = "its lines are not the headings as they are now: it says these instead"
        MORE = "it adds a page or more: what comes after it moves"
        WHY = "it writes words of the list anew: look at them before and after"

        LISTS = %w[contents list_of_figures list_of_tables].freeze

        def self.asked(guide, _roles)
          return [] if LISTS.none? { |name| guide.part(name) }
          part = guide.part("contents") || {}
          ["contents.stale", ("contents.missing" if part["required"]), ("contents.levels" if part["levels"])].compact
        end

        def findings
          return [] if Layout.pages(@document).nil? || LISTS.none? { |name| @guide.part(name) }
          stale = contents.lists.each_with_index.filter_map { |list, number| stale(list, number) }
          stale + of_headings.filter_map { |list| levels(list) } + [missing].compact
        end

        private

        def part
          @part ||= @guide.part("contents") || {}
        end

        def contents
          @contents ||= Structure::ContentsLists.new(@document)
        end

        # Those that name headings.
        def of_headings
          contents.lists.reject(&:captions)
        end

        def missing
          return if !part["required"] || of_headings.any?
          typed = Structure::TypedContents.new(@document).lists.first
          return typed_list(typed) if typed
          finding("contents.missing", message: "The document has no contents list", asked: "a contents list",
            found: "none", cause: [], cite: part["cite"], mend: put_in)
        end

        # Where there is something to list.
        def put_in
          return if @document.paragraphs.none? { |one| !one.blank? && @document.heading_level(one).positive? }
          Mend.new(name: "put_in_part", label: "Put it in", safe: false, why: MORE,
            steps: [[:put_in_part, "contents", @guide.parts.map { |one| one["part"] }, part["levels"] || 3]])
        end

        # A list that was typed is none; where its lines are the headings, it may become one.
        def typed_list(typed)
          mend = Mend.new(name: "replace_typed_contents", label: "Let it be a contents list", safe: true,
            steps: [[:replace_typed_contents, typed.paragraphs.map(&:id), typed.levels]])
          finding("contents.missing", message: "The contents list was typed", asked: "a contents list", found: "typed",
            cause: ["typed"], cite: part["cite"], paragraph: typed.paragraphs.first,
            mend: typed.whole ? mend : mend.asking(OTHERWISE))
        end

        def stale(list, number)
          wrong = contents.compared(list).select(&:wrong)
          return if wrong.empty?
          first = wrong.first
          count = (wrong.size == 1) ? "An entry is" : "#{wrong.size} entries are"
          asked = first.wanted ? "#{first.wanted.text}, #{first.wanted.label}" : "no entry"
          name = list.captions ? "list of #{list.captions.downcase}s" : "contents list"
          finding("contents.stale", message: "#{count} wrong in the #{name}", asked:, found: first.wrong,
            paragraph: first.entry || list.paragraphs(@document).first, cause: [number], cite: part["cite"],
            mend: refresh(number))
        end

        def refresh(number)
          Mend.new(name: "refresh_contents", label: "Bring it up to date", safe: false, why: WHY,
            steps: [[:refresh_contents, number]])
        end

        def levels(list)
          asked = part["levels"] or return
          return if list.levels == (1..asked)
          finding("contents.levels", message: "The contents list does not list levels 1 to #{asked}",
            asked: "levels 1 to #{asked}", found: "levels #{list.levels.min} to #{list.levels.max}", cause: [],
            paragraph: list.paragraphs(@document).first, cite: part["cite"])
        end
      end
    end
  end
end
