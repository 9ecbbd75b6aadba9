# frozen_string_literal: true

module Norvel
  module Consistency
    # Numbers typed before headings: gaps, doubles, another form, none among numbered ones; levels that are skipped.
    # Numbers that a list counts are right by themselves.
    class HeadingNumbers < Subject
      RULE = "heading_numbers"
      NUMBER = /\A(\d{1,3}(?:\.\d{1,3}){0,5})([.)]?)[\s\u00A0]/

      def odds
        numbered = in_order.filter_map { |one| (match = NUMBER.match(one.text.strip)) && [one, match] }
        return skipped if numbered.size < FEW
        [*skipped, *sequence(numbered.to_h), *forms(numbered), *without]
      end

      private

      def in_order
        @in_order ||= headings.values.flatten.sort_by { |one| @document.position(one.id) }
      end

      def skipped
        in_order.each_cons(2).filter_map do |before, one|
          was, now = [before, one].map { |heading| role(heading)[/\d/].to_i }
          next unless now > was + 1
          odd(paragraph: one, usual: "level #{was + 1}", found: "level #{now}",
            message: "A heading of level #{now} follows one of level #{was}: level #{was + 1} is skipped")
        end
      end

      # Each number is the next one of its level, or the first of the level below. Under a heading that counts in
      # another way, "CHAPTER 2", numbers begin anew.
      def sequence(numbered)
        before, level = nil, 9
        in_order.filter_map do |one|
          match = numbered[one]
          before = nil if match.nil? && role(one)[/\d/].to_i < level
          next unless match
          number, level = match[1].split(".").map(&:to_i), role(one)[/\d/].to_i
          was, before = before, number
          next if was.nil? || follows?(was, number)
          double = number == was
          odd(paragraph: one, usual: next_of(was, number.size), found: match[1],
            message: double ? "The number #{match[1]} stands twice" : "After #{was.join(".")} comes #{match[1]}")
        end
      end

      def follows?(was, now)
        now.join(".") == next_of(was, now.size)
      end

      # "2.3" after 2.2.4 at the second level.
      def next_of(was, depth)
        return [*was, *([1] * (depth - was.size))].join(".") if depth > was.size
        [*was.first(depth - 1), was[depth - 1] + 1].join(".")
      end

      def forms(numbered)
        numbered.group_by { |one, _| role(one) }.values.flat_map do |list|
          most = usual(list.map { |_, match| match[2] }) or next []
          list.reject { |_, match| match[2] == most }.map do |one, match|
            spoken = ->(sign) { sign.empty? ? "no sign after it" : "“#{sign}” after it" }
            odd(paragraph: one, usual: spoken[most], found: spoken[match[2]],
              message: "The number #{match[1]} has #{spoken[match[2]]}, the others have #{spoken[most]}")
          end
        end
      end

      # Among numbered headings of a level one without; contents, thanks and references may be so.
      def without
        headings.flat_map do |level, list|
          plain = list.reject { |one| NUMBER.match?(one.text.strip) || !@document.markers[one.id].to_s.empty? }
          next [] if plain.empty? || (list.size - plain.size) < FEW || plain.size * 4 > list.size
          plain.reject { |one| unnumbered?(one) }.map do |one|
            odd(paragraph: one, usual: "a number", found: "none",
              message: "A heading of level #{level} has no number, the others have")
          end
        end
      end

      def unnumbered?(paragraph)
        seen = Survey::Traits.of(paragraph)
        seen.heading_word? || seen.references_word? || seen.kind == :appendix ||
          Structure::Matters::FRONT.match?(paragraph.text.strip)
      end
    end
  end
end
