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
        found = Structure::ComputedNumbers.new(document).stale(kinds)
        @ids ? found.select { |one| @ids.include?(one.paragraph.id) } : found
      end

      def refreshed(document, kinds)
        Layout.of(document) if kinds == %w[page_reference]
        changed = stale(document, kinds).each_with_object({}) do |one, made|
          paragraph = made.fetch(one.paragraph.id, one.paragraph)
          made[paragraph.id] = FieldWords.say(paragraph, one.field, one.should)
        end
        document.replace(changed.values)
      end
    end
  end
end
