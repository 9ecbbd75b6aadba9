# frozen_string_literal: true

module Norvel
  module Report
    # The words of a document as it came and as it is, part by part, and its white space kind by kind.
    class SealParts
      # name: as people say it; before, after: words in it; same: are they the very same words?
      Part = Value.define(:name, :before, :after, :same)
      # name; before, after: how many there are
      Space = Value.define(:name, :before, :after)

      OF_TEXT = {body: "text", table: "tables", textbox: "boxes"}.freeze
      BESIDE = {"footnote" => "footnotes", "endnote" => "endnotes", "header" => "running heads",
                "footer" => "running feet", "comment" => "comments"}.freeze
      SPACES = {
        "blank paragraphs" => ->(one) { one.nothing? ? 1 : 0 }, "tabs" => ->(one) { one.text.count("\t") },
        "line breaks" => ->(one) { one.text.count("\n") }, "page breaks" => ->(one) { one.raw_text.count("\f") },
        "double spaces" => ->(one) { one.text.scan(/(?<=\S) {2,}(?=\S)/).size }
      }.freeze

      def initialize(before, after)
        @before = before
        @after = after
      end

      # [Part, …] of those that hold words in either state.
      def parts
        was, now = [@before, @after].map { |document| texts(document) }
        (was.keys | now.keys).sort_by { |name| names.index(name) }.map do |name|
          before, after = [was, now].map { |all| all.fetch(name, "") }
          Part.new(name:, before: words(before), after: words(after), same: before == after)
        end
      end

      # [Space, …] of those that are in either state.
      def spaces
        SPACES.filter_map do |name, count|
          before, after = [@before, @after].map { |document| document.everything.sum(&count) }
          Space.new(name:, before:, after:) if (before + after).positive?
        end
      end

      private

      def names
        @names ||= OF_TEXT.values + BESIDE.values
      end

      # {name => all its words, every white space as one}
      def texts(document)
        kinds = document.paragraphs.group_by { |one| OF_TEXT.fetch(one.part) }
        document.stories.each { |story| (kinds[BESIDE.fetch(story.kind)] ||= []).concat(story.paragraphs) }
        kinds.transform_values { |list| list.map(&:sealed_text).reject(&:empty?).join(" ") }
          .reject { |_, text| text.empty? }
      end

      def words(text)
        text.split.size
      end
    end
  end
end
