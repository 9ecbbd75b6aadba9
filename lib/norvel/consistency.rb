# frozen_string_literal: true

module Norvel
  # A document held against itself: what most of its parts do alike, and where some do otherwise. Silence is better than
  # a false alarm: what may lawfully vary (a title page, roman front matter, a landscape sheet, first and last items)
  # raises nothing.
  module Consistency
    # A place that is unlike the others.
    #   rule        the last word of its name: "page_setup"
    #   paragraph   where it is, a Document::Paragraph, or nil; section: its number, or nil
    #   message     a sentence; usual, found: in words
    #   steps       of a Guide::Mend, or nil where none can be computed; label: of its button; why: of one that asks
    #               first, what it would change
    Odd = Value.define(:rule, :paragraph, :section, :message, :usual, :found, :steps, :label, :why)

    SUBJECTS = [PageSetups, PageNumbers, RunningLines, Spacing, AroundObjects, ParagraphBreaks, ChapterStarts, Parted,
      EmptyPages, HeadingLooks, HeadingCase, HeadingNumbers, CaptionForms, ListForms, NoteLooks].freeze
    RULES = %w[page_setup page_numbers running spacing paragraph_break page_ends heading_looks heading_case
      heading_numbers captions lists notes].freeze

    module_function

    # Every Odd of a document, settled: gives the role of a paragraph.
    def of(document, settled = Survey::SettledRoles.of(document), rules: RULES)
      SUBJECTS.select { |subject| rules.include?(subject::RULE) }
        .flat_map { |subject| subject.new(document, settled).odds }
    end
  end
end
