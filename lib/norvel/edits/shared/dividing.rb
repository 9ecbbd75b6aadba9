# frozen_string_literal: true

module Norvel
  module Edits
    # Lets a section begin at a paragraph of the text; it goes on as the one before in all that it does not say itself.
    module Dividing
      private

      # The document with a section that begins at this paragraph. Raises Refused where none can.
      def divided(document, id)
        at = document.text_position(id)
        first = document.paragraphs[at]
        before = document.paragraphs[at - 1] unless at.zero?
        raise Refused, "A section can't begin within a table or a box." if first.container
        return document if before.nil? || before.section != first.section
        raise Refused, "A section can't begin right after a table: put a paragraph between them." if before.container
        with_section(document, at)
      end

      # The document with a section that begins at this place of the text.
      def with_section(document, at)
        number = document.paragraphs[at].section
        paragraphs = document.paragraphs.each_with_index.map do |paragraph, place|
          next ending(paragraph) if place == at - 1
          (place >= at) ? paragraph.with(section: paragraph.section + 1) : paragraph
        end
        section = document.sections[number - 1]
        added = section.with(source: nil, starts: "next_page", title_page: false, number_start: nil, heads: {}.freeze)
        stories = document.stories.map do |story|
          (story.section && story.section > number) ? story.with(section: story.section + 1) : story
        end
        document.with(paragraphs: paragraphs.freeze, stories: stories.freeze,
          sections: document.sections.dup.insert(number, added).freeze)
      end

      # The last paragraph of a section needs no page break any more.
      def ending(paragraph)
        runs = paragraph.runs
        if paragraph.raw_text.match?(/\f\s*\z/)
          runs = filled(runs.map { |run|
            run.text.include?("\f") ? run.with(text: run.text.sub(/\f(\s*)\z/, '\1')) : run
          })
        end
        paragraph.with(runs:, holds: paragraph.holds || :section_break)
      end
    end
  end
end
