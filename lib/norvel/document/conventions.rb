# frozen_string_literal: true

module Norvel
  class Document
    # How a format says things, as far as edits and pages depend on it: capabilities, so that nobody asks for a format
    # by its name. Its reader gives them to every document. A value.
    #   cascade                  how levels of styles combine, for Styles::Cascade
    #   cell_margins             of a table's cell that says none, in points: {left:, right:}
    #   note_marks_raised        is the mark of a note raised where nothing says its position?
    #   headings_by_name         are styles of built-in names headings, whether they say a level or not?
    #   chapters_by_style        can a running head name the last words in any style, not only of a heading level?
    #   bookmarks_numbered       have bookmarks numbers of their own beside their names?
    #   heads_inherited          has a section that says no head or foot that of the section before?
    #   sections_end             does a section's last paragraph hold its set-up? Else its first does.
    #   sequences_by_heading     can a sequence begin anew after every heading of a level?
    #   labels_computed          is the page label of a contents entry a field of its own?
    #   hyphenated_by_letters    do letters say whether their words may be divided? Else the settings do.
    #   decorations              can an image be marked as decoration, which is not announced?
    Conventions = Value.define(:cascade, :cell_margins, :note_marks_raised, :headings_by_name, :chapters_by_style,
      :bookmarks_numbered, :heads_inherited, :sections_end, :sequences_by_heading, :labels_computed,
      :decorations, :hyphenated_by_letters,
      cell_margins: {}.freeze, note_marks_raised: false, headings_by_name: false, chapters_by_style: false,
      bookmarks_numbered: false, heads_inherited: false, sections_end: false, sequences_by_heading: false,
      labels_computed: false, decorations: false, hyphenated_by_letters: false)
  end
end
