# frozen_string_literal: true

module Norvel
  class Guide
    # What a guide states and a check could not judge, each with why: silence never means that a rule is met.
    class Unchecked
      # rule: its name, or a pattern; why: a reason; paragraphs: ids of those it is about, [] for the whole document
      Entry = Value.define(:rule, :why, :paragraphs, paragraphs: [].freeze)
      BY_PAGES = [Rules::PaginationRules, Rules::BlankPageRules, Rules::MatterRules].freeze
      UNTOLD = [Rules::CaseRules, Rules::ParagraphBreakRules, Rules::TableRules].freeze

      PERSON = [
        [:image, "accessible.alt_text.*", "whether a description fits, and whether an image shows words, " \
          "only a person can tell"],
        [:box, "accessible.reading_order", "when a box is read, among the text around it, only a person can tell"]
      ].freeze

      def initialize(check)
        @check = check
        @guide = check.guide
        @document = check.document
      end

      # [Entry, …]
      def entries
        @entries ||= [*parts, *untold, *pages, *bookmarks, *drifted, *unasked, *for_a_person, *contradictions]
      end

      private

      def parts
        unknown = @guide.parts.map { |part| part["part"] } - Structure::Parts::NAMES
        unknown.map { |name| Entry.new(rule: "parts.#{name}", why: "no part of that name is known") }
      end

      def untold
        UNTOLD.flat_map do |family|
          family.untold(@guide, @document, @check.roles).map { |rule, why| Entry.new(rule:, why:) }
        end
      end

      def pages
        return [] if Layout.pages(@document)
        names = BY_PAGES.flat_map { |family| family.asked(@guide, @check.roles) }
        names << "count.pages" if @guide.data.dig("count", "pages")
        names.map { |rule| Entry.new(rule:, why: "pages are not worked out") }
      end

      def bookmarks
        return [] unless @guide.accessible["bookmarks"]
        [Entry.new(rule: "accessible.bookmarks", why: "bookmarks come with a PDF: they are made of the headings")]
      end

      # What of accessibility only a person can judge, where there is something of the kind (WCAG 2.2, 1.1.1, 1.4.5 and
      # 1.3.2).
      def for_a_person
        asked = @guide.accessible.except("cite").reject { |_, word| word == "allow" }
        return [] if asked.empty?
        things = @document.everything.flat_map(&:runs).flat_map(&:objects).map(&:kind).uniq
        PERSON.select { |kind, _, _| things.include?(kind) }.map { |_, rule, why| Entry.new(rule:, why:) }
      end

      # Rules that can't both be met: whichever is mended, the other is found.
      def contradictions
        Contradictions.new(@guide).all.flat_map { |pair| pair.rules.map { |rule| Entry.new(rule:, why: pair.words) } }
      end

      # What the guide itself says that no rule can ask.
      def unasked
        @guide.not_checked.map do |one|
          cite = " (#{one["cite"]})" if one["cite"]
          Entry.new(rule: "guide.not_checked", why: "no rule can ask this yet: #{one["what"]}#{cite}")
        end
      end

      # Paragraphs that left the rules of what their style says they are, since they read as something that the guide
      # has no style for: no finding says so.
      def drifted
        worded = @document.paragraphs.reject(&:blank?)
        pairs = worded.group_by { |one| [Survey::StyleRoles.role(@document, one), @check.role(one)] }
        pairs.reject { |(said, read), _| said == read || !left?(said, read) }.map do |(said, read), list|
          style, reading = [said, read].map { |role| Survey::Roles.words(role) }
          reads = (list.size == 1) ? "reads" : "read"
          Entry.new(rule: "role.#{said}.*", paragraphs: list.map(&:id),
            why: "#{Quantity.words(list.size, "paragraph")} in a style for #{style} #{reads} as #{reading}")
        end
      end

      def left?(said, read)
        !@guide.role(said).empty? && @guide.role(read)["style"].nil?
      end
    end
  end
end
