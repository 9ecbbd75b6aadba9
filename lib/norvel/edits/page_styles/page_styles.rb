# frozen_string_literal: true

module Norvel
  module Edits
    # What edits of page styles share.
    module PageStyles
      LEAST = 36.0 # points of text that a sheet must leave room for, across and down
      LARGEST = 1584.0 # points of a sheet's side: 22 inches, which files can say (ISO/IEC 29500-1 17.18.93)

      private

      def page_style(document, name)
        document.page_styles.find { |style| style.name == name } or raise Refused,
          "There is no page style “#{name}” in this document."
      end

      def free_name(document, name)
        name = name.to_s.strip
        raise Refused, "A page style needs a name." if name.empty?
        raise Refused, "A page style's name can't hold a comma or semicolon." if name.match?(/[,;]/)
        taken = document.page_styles.any? { |style| style.name.casecmp?(name) }
        raise Refused, "There is a page style “#{name}” already." if taken
        name
      end

      # The document with sections set up so: {section number from 1 => {width: …}}. Raises Refused where no room for
      # text is left.
      def set_up(document, by_section)
        by_section.each_value { |values| refuse_absurd(values) }
        sections = document.sections.each.with_index(1).map do |section, number|
          by_section[number] ? section.with(**by_section[number]) : section
        end
        tight = sections.values_at(*by_section.keys.map { |number| number - 1 }).any? do |section|
          section.measure < LEAST || section.height - section.margin_top - section.margin_bottom < LEAST
        end
        raise Refused, "The margins leave no room for text." if tight
        document.with(sections: sections.freeze)
      end

      def refuse_absurd(values)
        lengths = values.slice(*Document::SetUp::FIELDS).except(:columns)
        raise Refused, "No margin and no sheet is less than nothing." if lengths.any? { |_, points| points.negative? }
        raise Refused, "A sheet has at most 55.8 cm on a side." if lengths.any? { |_, points| points > LARGEST }
      end

      # The document after a change of its sections, with page styles that follow them: one that every section in it has
      # left for the same set-up is that set-up now.
      def with_styles_following(before, after)
        styles = before.page_styles.map do |style|
          numbers = before.sections.each_index.select { |number| style.worn_by?(before.sections[number]) }
          now = numbers.map { |number| Document::PageStyle.of(after.sections[number], style.name) }.uniq
          (now.size == 1 && !style.worn_by?(after.sections[numbers.first])) ? now.first : style
        end
        (styles == before.page_styles) ? after : after.with(page_styles: styles.freeze)
      end

      def numbers(sections)
        "section#{"s" if sections.size > 1} #{sections.join(", ")}"
      end
    end
  end
end
