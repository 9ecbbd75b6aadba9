# frozen_string_literal: true

module Norvel
  module Edits
    # Brings numbers up to date that fields compute: those of sequences first, then what refers to them, then references
    # to pages.
    class RefreshNumbers < Edit
      STEPS = [%w[sequence], %w[reference], %w[page_reference]].freeze

      # ids: of paragraphs whose numbers are meant, nil for all
      def initialize(ids = nil)
        @ids = ids
      end

      def change(document)
        STEPS.inject(document) { |now, kinds| refreshed(now, kinds) }
      end

      def title(document)
        "Bring #{count(stale(document, STEPS.flatten).size, "number")} up to date"
      end

      def changes_text?
        true
      end

      private

      def stale(document, kinds)
        found = ComputedNumbers.new(document).stale(kinds)
        @ids ? found.select { |one| @ids.include?(one.paragraph.id) } : found
      end

      def refreshed(document, kinds)
        known = document.pages
        document = document.tap { |one| one.lay_out(known:) } if kinds == %w[page_reference] && document.pages.nil?
        changed = stale(document, kinds).each_with_object({}) do |one, made|
          paragraph = made.fetch(one.paragraph.id, one.paragraph)
          made[paragraph.id] = said(paragraph, one)
        end
        document.replace(changed.values)
      end

      # The words of the field's first run are the new ones; others of it have none.
      def said(paragraph, stale)
        left = stale.should
        runs = paragraph.runs.map do |run|
          next run unless ComputedNumbers.shows?(run, stale.field) && run.text.match?(EntryWords::LETTERS)
          before, _, after = run.text.partition(EntryWords::LETTERS)
          text, left = before + left + after.gsub(EntryWords::LETTERS, ""), ""
          run.with(text:)
        end
        paragraph.with(runs: filled(runs))
      end
    end
  end
end
