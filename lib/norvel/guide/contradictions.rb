# frozen_string_literal: true

module Norvel
  class Guide
    # Rules of a guide that can't both be met, each with its clause: what meets one breaks the other.
    class Contradictions
      # rules: names of the two; words: a sentence
      Pair = Value.define(:rules, :words)
      HEADINGS = (1..6).map { |level| "heading_#{level}" }.freeze

      def initialize(guide)
        @guide = guide
        @data = guide.data
      end

      # [Pair, …]
      def all
        [*letter_cases, chapters, *widows, *table_text, pages, blank_lines].compact
      end

      private

      # A heading in two cases.
      def letter_cases
        HEADINGS.filter_map do |role|
          pair(["headings", "case", role], ["roles", role, "case"], ["headings.case", "role.#{role}.case"])
        end
      end

      # Chapters that begin a page, by a style that may not.
      def chapters
        return if @data.dig("roles", "heading_1", "page_break_before") != false || !starts_page?
        told(%w[pagination chapters_start], %w[roles heading_1 page_break_before],
          %w[pagination.chapter_start role.heading_1.page_break_before])
      end

      def starts_page?
        !@guide.pagination["chapters_start"].nil?
      end

      # Lines that may not stand alone, by a style that lets them.
      def widows
        return unless @data.dig("roles", "body", "widow_control") == false
        %w[widow orphan].select { |name| asks?(@guide.pagination["#{name}s"]) }.map do |name|
          told(["pagination", "#{name}s"], %w[roles body widow_control],
            ["pagination.#{name}", "role.body.widow_control"])
        end
      end

      def asks?(word)
        !word.nil? && word != "allow"
      end

      # The text of tables, asked for in two places.
      def table_text
        ((@data.dig("tables", "text") || {}).keys - ["cite"]).filter_map do |key|
          pair(["tables", "text", key], ["roles", "table_text", key], ["role.table_text.#{key}"])
        end
      end

      def pages
        pair(%w[pagination pages], %w[count pages], %w[pagination.pages count.pages])
      end

      # Space between paragraphs that are told apart by an indent.
      def blank_lines
        return unless @data.dig("roles", "body", "paragraph_break") == "space"
        space = @data.dig("roles", "body").values_at("space_before", "space_after")
        return unless space.all? { |one| one.to_s.match?(/\A0(?:\.0)?(?:pt|mm|cm|in)?\z/) }
        told(%w[roles body paragraph_break], %w[roles body space_after],
          %w[role.body.paragraph_break role.body.space_after])
      end

      # Of the same thing asked twice, where nothing meets both.
      def pair(one, other, rules)
        was, now = [one, other].map { |place| @data.dig(*place) }
        told(one, other, rules) if was && now && apart?(was, now)
      end

      # Has neither a value that the other takes?
      def apart?(one, other)
        values = [one, other].map { |asked| asked.is_a?(Hash) ? asked["any_of"] : [asked] }
        return (values.first & values.last).empty? if values.all?
        bounds = [one, other].map { |asked| asked.is_a?(Hash) ? asked : {"min" => asked, "max" => asked} }
        bounds.permutation.any? { |low, high| above?(low["min"], high["max"]) }
      end

      def above?(least, most)
        least, most = [least, most].map { |bound| bound.is_a?(String) ? Length.typed(bound) : bound }
        least.is_a?(Numeric) && most.is_a?(Numeric) && least > most
      rescue Refused
        false
      end

      def told(one, other, rules)
        words = [one, other].map { |place| sentence(place) }
        Pair.new(rules: rules.uniq, words: "can't both be met: #{words.join(", and ")}")
      end

      # "size of table text is 9 pt (4.3)"
      def sentence(place)
        found = sentences.find { |one| one.place == place } || sentences.find { |one| one.place == place[0..-2] }
        words = found ? found.words.delete_suffix(".") : place.join(", ")
        cite = found&.cite
        "“#{words}”#{" (#{cite})" if cite}"
      end

      def sentences
        @sentences ||= Sentences.new(@guide).all
      end
    end
  end
end
