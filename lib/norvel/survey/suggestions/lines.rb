# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Short lines that are set as they stand: verse, addresses, lists of names, single lines put right or in the
      # middle.
      class Lines < Finder
        LETTERS = 60 # of a line of verse
        ROW = 3
        WORDS = 11 # of such a line
        APART = 25 # of one set apart

        def find
          loose = left(WORDS).select { |one| one.part == :body && !text_by_style?(one) }
          rows(loose, ROW) { |paragraph| line?(paragraph) }.flatten
            .each { |paragraph| put(paragraph, "other", 0.76, "a short line", "among others") }
          left.each { |one| put(one, "other", 0.8, "short lines, broken by hand") if broken?(one) }
          left(APART).each { |one| put(one, "other", 0.8, "a line set apart") if apart?(one) }
        end

        private

        def line?(paragraph)
          text = traits(paragraph).text
          text.size <= LETTERS && !text.include?("\n") &&
            !traits(paragraph).several_sentences? && !traits(paragraph).object?
        end

        # Is it in a style that someone chose for text, as opposed to the file's base style?
        def text_by_style?(paragraph)
          style = document.style_of(paragraph)
          !style.equal?(document.styles.default) && [nil, "body"].include?(StyleRoles.of_style(document.styles, style))
        end

        # A paragraph of short lines, as verse and addresses are typed.
        def broken?(paragraph)
          return false unless paragraph.text.include?("\n")
          lines = paragraph.seen_text.split("\n").map(&:strip).reject(&:empty?)
          lines.size >= 3 && lines.map(&:size).max <= LETTERS
        end

        # Right or in the middle, where the text is not.
        def apart?(paragraph)
          align = look(paragraph)[:align]
          %w[right center].include?(align) && align != body.align && paragraph.part == :body &&
            !traits(paragraph).prose?
        end
      end
    end
  end
end
