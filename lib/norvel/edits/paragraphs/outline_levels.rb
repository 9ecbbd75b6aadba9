# frozen_string_literal: true

module Norvel
  module Edits
    # Headings marked as they look, a level up or down, at a level, or unmarked: by the styles of their levels.
    class OutlineLevels < Edit
      ACTS = {"mark" => "Mark %s as they look", "up" => "%s one level up", "down" => "%s one level down",
              "unmark" => "%s are no headings"}.freeze
      LEVELS = (1..6)

      # ids: the paragraphs; act: of ACTS, or a level as "level-2"; guide, hand, pattern: as for PutInRoles
      def initialize(ids, act, guide:, **how)
        @ids = ids
        @act = act
        @level = act[/\Alevel-([1-6])\z/, 1]&.to_i
        raise Refused, "There is no such act on headings." unless @level || ACTS.key?(act)
        @guide = guide
        @how = how
      end

      def change(document)
        return unmarked(document) if @act == "unmark"
        PutInRoles.new(roles(document), @guide, **@how).change(document)
      end

      def title(_document)
        number = count(@ids.size, "heading")
        return "Put #{number} at level #{@level}" if @level
        return "Say that #{number.sub("heading", "paragraph")} #{@ids.one? ? "is no heading" : "are no headings"}" if
          @act == "unmark"
        said = format(ACTS.fetch(@act), number)
        @ids.one? ? said.sub("as they look", "as it looks") : said
      end

      private

      # {"heading_2" => ids}
      def roles(document)
        chosen(document, @ids).group_by { |one| "heading_#{level(document, one)}" }
          .transform_values { |list| list.map(&:id) }
      end

      def level(document, paragraph)
        return @level if @level
        now = Survey.role(document, paragraph)[/\Aheading_(\d)/, 1]&.to_i
        {"mark" => now || 1, "up" => (now || 2) - 1, "down" => (now || 0) + 1}.fetch(@act)
          .clamp(LEVELS.begin, LEVELS.end)
      end

      # Those in a style of headings go in the style of running text.
      def unmarked(document)
        said = Decide.new(@ids, Document::NO_HEADING).change(document)
        styled = chosen(document, @ids).select do |one|
          Survey::StyleRoles.of_style(document.styles, document.style_of(one)).to_s.start_with?("heading")
        end
        return said if styled.empty?
        PutInRoles.new({"body" => styled.map(&:id)}, @guide, **@how).change(said)
      end
    end
  end
end
