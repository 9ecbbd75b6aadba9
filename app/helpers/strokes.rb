# frozen_string_literal: true

# The forms that stand for kinds of text, the same in spine, gauge and lists: weight falls with the level of a heading,
# body is pale, quotations are inset, lists notched, captions dashed, blanks dotted.
module Strokes
  FORMS = Hash.new("b").merge(Norvel::Roles::ALL.transform_values(&:form)).freeze

  def form_of(paragraph)
    FORMS[manuscript.check.role(paragraph)]
  end

  # About how many lines a paragraph takes: letters of average width in its measure. An estimate, only for drawings.
  def lines_of(paragraph)
    return 1 if paragraph.text.empty?
    look = document.look(paragraph)
    measure = [document.section_of(paragraph).measure - look[:indent_left] - look[:indent_right], 36].max
    Norvel::Layout::Fonts.lines(paragraph.text.size, measure, document.letter_look(paragraph))
  end
end
