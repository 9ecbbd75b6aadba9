# frozen_string_literal: true

module Norvel
  module Edits
    # Gives a paragraph the words that a person typed. What begins and ends as before keeps its formatting; images,
    # notes and fields must still be there, in order. Several texts make several paragraphs.
    class Retype < Edit
      SPECIAL = /[\uFFF9\uFFFA\uFFFC\f\v]/

      # texts: raw texts (Document::Run says what stands for objects and breaks)
      def initialize(id, texts)
        @id = id
        @texts = Array(texts)
      end

      def change(document)
        paragraph = document.paragraph(@id)
        whole = @texts.join
        unless whole.scan(SPECIAL) == paragraph.raw_text.scan(SPECIAL)
          raise Refused, "An image, note or field of this paragraph is missing or out of order in what was typed. " \
            "Nothing was changed."
        end
        changed = document.replace([paragraph.with(runs: typed(paragraph, whole))])
        cuts = @texts.map(&:size)[0...-1].inject([]) { |list, size| list << ((list.last || 0) + size) }
        cuts.reverse_each.inject(changed) { |now, at| SplitParagraph.new(@id, at).change(now) }
      end

      def title(document)
        "Retype paragraph #{document.position(@id) + 1}#{" as #{@texts.size}" if @texts.size > 1}"
      end

      def changes_text?
        true
      end

      private

      # Between objects each stretch is compared for itself: what it begins and ends with stays in its runs, new letters
      # go to the run they stand in or after.
      def typed(paragraph, whole)
        if paragraph.runs.empty?
          return [Document::Run.new(Characters.legal(whole), nil, Styles::PropertySet::EMPTY)].freeze
        end
        letters = paragraph.runs.each_with_index.flat_map { |run, index| run.text.chars.map { |char| [char, index] } }
        from = 0
        result = []
        paragraph.raw_text.split(SPECIAL, -1).zip(whole.split(SPECIAL, -1)) do |old, new|
          result.concat(stretch(letters[from, old.size], new, result.last&.last || letters.dig(from, 1) || 0))
          result << letters[from + old.size] if letters[from + old.size]
          from += old.size + 1
        end
        rebuilt(paragraph, result).freeze
      end

      def stretch(letters, new, nearest)
        old = letters.map(&:first)
        chars = new.chars
        head = old.zip(chars).take_while { |one, other| one == other }.size
        tail = old.drop(head).reverse.zip(chars.drop(head).reverse).take_while { |one, other| one == other }.size
        home = (old.size > head + tail) ? letters[head].last : (letters[head - 1] if head.positive?)&.last ||
          letters.dig(head, 1) || nearest
        letters.first(head) + chars[head, chars.size - head - tail].map { |char| [char, home] } + letters.last(tail)
      end

      def rebuilt(paragraph, letters)
        texts = letters.group_by(&:last).transform_values { |list| list.map(&:first).join }
        paragraph.runs.each_with_index.filter_map do |run, index|
          text = texts.fetch(index, "")
          next run if text == run.text
          run.with(text:) unless text.empty? && texts.any?
        end
      end
    end
  end
end
