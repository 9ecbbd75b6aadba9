# frozen_string_literal: true

module Norvel
  module Consistency
    # Lists whose bullets differ from those of the others at the same level, and items that end otherwise than their
    # neighbours in the list; the last one may.
    class ListForms < Subject
      RULE = "lists"
      LEAST = 4

      def odds
        lists = worded.chunk_while { |one, other| item?(one) && item?(other) && near?(one, other) }
          .select { |list| item?(list.first) }
        [*bullets(lists), *lists.flat_map { |list| ends(list) }]
      end

      private

      def item?(paragraph)
        !paragraph.blank? && (role(paragraph) == "list_item" || @document.cascade.list_of(paragraph)) &&
          !role(paragraph).start_with?("heading")
      end

      def near?(one, other)
        @document.position(other.id) - @document.position(one.id) == 1
      end

      # The sign before an item, nil for one that counts: [level, sign]
      def bullet(paragraph)
        place = @document.cascade.list_of(paragraph)
        return [0, paragraph.text.strip[0]] if place.nil? && Survey::Traits.of(paragraph).bullet?
        level = place && @document.numbering.level(*place)
        [place.last, @document.markers[paragraph.id]] if level&.bullet?
      end

      def bullets(lists)
        firsts = lists.flat_map { |list| list.group_by { |one| bullet(one) }.except(nil).to_a }
        firsts.group_by { |(level, _), _| level }.values.flat_map do |group|
          most = usual(group.map { |(_, sign), _| sign }) or next []
          group.reject { |(_, sign), _| sign == most }.map { |(_, sign), same| bullet_odd(same.first, sign, most) }
        end
      end

      def bullet_odd(paragraph, sign, most)
        odd(paragraph:, usual: "“#{most}”", found: "“#{sign}”",
          message: "The list has “#{sign}” as its bullet, the other lists have “#{most}”")
      end

      def ends(list)
        inside = list[0..-2]
        return [] if inside.size < LEAST
        marks = inside.map { |one| one.text.strip[/[.;,:!?]\z/].to_s }
        most = usual(marks, least: LEAST - 1) or return []
        inside.zip(marks).reject { |_, mark| mark == most || mark == ":" }.map do |one, mark|
          spoken = ->(sign) { sign.empty? ? "no mark" : "“#{sign}”" }
          odd(paragraph: one, usual: spoken[most], found: spoken[mark],
            message: "An item ends with #{spoken[mark]}, the others of its list with #{spoken[most]}")
        end
      end
    end
  end
end
