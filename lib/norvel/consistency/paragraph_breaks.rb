# frozen_string_literal: true

module Norvel
  module Consistency
    # Running text whose paragraphs are told apart in several ways: an indent here, space there, a blank line elsewhere.
    # Only paragraphs that follow others of running text count: the first after a heading needs no sign.
    class ParagraphBreaks < Subject
      RULE = "paragraph_break"
      LEAST = 6
      WAYS = {indent: "a first-line indent", space: "space", blank: "a blank line", none: "nothing"}.freeze

      def odds
        ways = breaks
        most = usual(ways.map(&:last), least: LEAST) or return []
        return [] if most == [:none]
        ways.reject { |_, way| way == most }.map { |paragraph, way| deviation(paragraph, way, most) }
      end

      private

      # [[Paragraph, [:indent, :space]], …]
      def breaks
        @document.paragraphs.chunk_while { |_, other| other.part == :body }.flat_map do |run|
          worded = run.reject(&:blank?)
          worded.each_cons(2).filter_map do |before, one|
            next unless text?(before) && text?(one)
            [one, ways(before, one)]
          end
        end
      end

      def text?(paragraph)
        paragraph.part == :body && role(paragraph) == "body" && look(paragraph)[:align] != "center" &&
          !@document.cascade.list_of(paragraph)
      end

      def ways(before, one)
        blank = @document.position(one.id) - @document.position(before.id) > 1
        space = [look(before)[:space_after], look(one)[:space_before]].max >= 3
        found = [(:indent if look(one)[:first_line] > 1), (:space if space), (:blank if blank)].compact
        found.empty? ? [:none] : found
      end

      def deviation(paragraph, way, most)
        spoken = ->(list) { list.map { |one| WAYS.fetch(one) }.join(" and ") }
        odd(paragraph:, usual: spoken[most], found: spoken[way],
          message: "The paragraph is told from the one before by #{spoken[way]}, most are by #{spoken[most]}")
      end
    end
  end
end
