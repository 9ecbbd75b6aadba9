# frozen_string_literal: true

module Norvel
  module Edits
    # An entry of a contents list with other words or another label: both stand where they stood, in the runs, links and
    # fields that they were in.
    class EntryWords
      LETTERS = /[^\uFFF9]+/ # what is no sign of a field
      NUMBERED = /\A\s*\S+\t\S/ # a number and its title with a tab between

      def initialize(paragraph)
        @paragraph = paragraph
        @texts = paragraph.runs.map(&:text)
        @at = @texts.rindex { |text| text.include?("\t") }
      end

      # The paragraph with these words before its last tab, and this label after it; nil for what stays.
      def put(words, label)
        return alone(words, label) unless @at
        return in_field(words, label) if label && empty_label
        heads, tails = parts
        heads = replaced(heads, NUMBERED.match?(heads.join) ? words.sub(" ", "\t") : words) if words
        tails = replaced(tails, label) if label
        with(heads.zip(tails).each_with_index.map { |(head, tail), place| "#{head}#{"\t" if place == @at}#{tail}" })
      end

      # The paragraph whose label is what a field says that says nothing yet.
      def in_field(words, label)
        EntryWords.new(FieldWords.say(@paragraph, empty_label, label)).put(words, nil)
      end

      # The paragraph without its words.
      def emptied
        with(@texts.map { |text| text.gsub(LETTERS, "") })
      end

      private

      # The reference to a page behind the last tab, where it shows nothing.
      def empty_label
        return if parts.last.any? { |text| text.match?(LETTERS) }
        behind = @paragraph.runs.drop(@at)
        behind.flat_map(&:objects).grep(Document::Field).find { |field| field.does == "page_reference" }
      end

      # What stands before the last tab in each run, and after it.
      def parts
        head, _, tail = @texts[@at].rpartition("\t")
        before, after = @texts.first(@at), @texts.drop(@at + 1)
        [[*before, head, *after.map { "" }], [*before.map { "" }, tail, *after]]
      end

      # All letters are others: they stand in the first part that has some.
      def replaced(parts, words)
        first = parts.index { |text| text.match?(LETTERS) } || @at
        parts.each_with_index.map do |text, place|
          next text.gsub(LETTERS, "") unless place == first
          before, letters, after = text.partition(LETTERS)
          letters.empty? ? text + words : before + words + after.gsub(LETTERS, "")
        end
      end

      # Where no tab is, words and label stand in the first run that has letters.
      def alone(words, label)
        said, page = Structure::ContentsLists.parts(@paragraph)
        text = [words || said, label || page].join("\t")
        first = @texts.index { |one| one.match?(LETTERS) } || 0
        with(@texts.each_with_index.map { |one, place| one.gsub(LETTERS, "") + ((place == first) ? text : "") })
      end

      def with(texts)
        runs = @paragraph.runs.zip(texts).map { |run, text| (run.text == text) ? run : run.with(text:) }
        @paragraph.with(runs: runs.reject { |run| run.text.empty? && run.carried.nil? }.freeze)
      end
    end
  end
end
