# frozen_string_literal: true

module Norvel
  module Survey
    # Spacing and structure that was made with characters where a property would do. Each detector answers for one
    # paragraph.
    module ByHand
      # Patterns of Paragraph#seen_text, in which images and note marks are signs. Edits that mend these take what they
      # match.
      LEADING_TAB = /(?:\A|(?<=[\f\v]))[ \u00A0]*\t[ \u00A0\t]*/
      LEADING_SPACE = /(?:\A|(?<=[\f\v]))[ \u00A0]{2,}/
      DOUBLE_SPACE = /(?<=\S) {2,}(?=\S)/
      # A break in running text, as opposed to one in an address or verse: the sentence goes on after it.
      RUNNING_BREAK = /(?<=[[:alnum:],;)’'-])[ \u00A0]*\n[ \u00A0]*(?=[[:lower:]])/

      module_function

      # Does it begin with a tab that indents it?
      def leading_tab?(paragraph)
        !paragraph.blank? && indented?(paragraph.seen_text) && LEADING_TAB.match?(paragraph.seen_text)
      end

      # Does it begin with spaces that indent it?
      def leading_space?(paragraph)
        !paragraph.blank? && indented?(paragraph.seen_text) && LEADING_SPACE.match?(paragraph.seen_text)
      end

      # May white space stand at the begin of a line? Most texts are told apart here, at no cost.
      def indented?(text)
        text.start_with?(" ", "\t", "\u00A0") || text.include?("\f") || text.include?("\v")
      end

      # Do two spaces stand in a row in it?
      def double_space?(paragraph)
        paragraph.seen_text.include?("  ") && DOUBLE_SPACE.match?(paragraph.seen_text)
      end

      # Is a line ended by hand in it?
      def line_break?(paragraph)
        paragraph.seen_text.include?("\n")
      end

      # Is a line ended by hand in the middle of a sentence?
      def running_line_break?(paragraph)
        line_break?(paragraph) && RUNNING_BREAK.match?(paragraph.seen_text)
      end

      # Is a page ended by hand in it?
      def page_break?(paragraph)
        paragraph.raw_text.include?("\f")
      end

      # A number or bullet that stands in the text, where a list or a heading's numbering would do.
      def typed_number?(paragraph)
        traits = Traits.of(paragraph)
        return true if traits.bullet?
        %i[decimal roman letter chapter].include?(traits.kind) && traits.words >= 2 && paragraph.part != :table
      end

      # Two words or more without a small letter, three capitals at least among them.
      def typed_capitals?(paragraph)
        Traits.of(paragraph).capitals? && Traits.of(paragraph).words >= 2
      end

      # Blank paragraphs in a row that push what follows to the next page.
      PUSHING = 5

      # The jobs by name, each with its paragraphs, in the order in which they are told.
      def all(document)
        worded = document.paragraphs.reject(&:blank?)
        text = worded.reject { |paragraph| paragraph.part == :table }
        {
          blank_paragraphs: document.paragraphs.select(&:blank?),
          leading_tabs: text.select { |paragraph| leading_tab?(paragraph) },
          leading_spaces: text.select { |paragraph| leading_space?(paragraph) },
          double_spaces: worded.select { |paragraph| double_space?(paragraph) },
          line_breaks: worded.select { |paragraph| line_break?(paragraph) },
          typed_numbers: text.select { |paragraph| typed_number?(paragraph) },
          page_break_runs: document.paragraphs.select { |paragraph| page_break?(paragraph) } | pushing(document),
          whole_bold: text.select { |paragraph| whole?(document, paragraph, :bold) },
          whole_underlined: text.select { |paragraph| whole?(document, paragraph, :underline) },
          typed_capitals: text.select { |paragraph| typed_capitals?(paragraph) }
        }
      end

      # The first of each run of blank paragraphs that is long enough to push.
      def pushing(document)
        runs = document.paragraphs.chunk_while { |one, other| one.blank? && other.blank? }
        runs.select { |run| run.first.blank? && run.size >= PUSHING }.map(&:first)
      end

      # Set by hand on every word, where the style does not ask for it.
      def whole?(document, paragraph, name)
        property = Styles::Properties[name]
        return false if paragraph.letters.empty?
        paragraph.letters.all? { |run| run.direct.key?(name) && property.type.json(run.direct[name]) == true }
      end

      private_class_method :indented?, :page_break?, :typed_number?, :typed_capitals?, :pushing,
        :whole?
    end
  end
end
