# frozen_string_literal: true

# The forms that stand for kinds of text, the same in spine, gauge and lists: weight falls with the level of a heading,
# body is pale, quotations are inset, lists notched, captions dashed, blanks dotted.
module Strokes
  FORMS = Hash.new("b").merge(Norvel::Survey::Roles::ALL.transform_values(&:form)).freeze

  def form_of(paragraph)
    FORMS[manuscript.check.role(paragraph)]
  end

  # How many lines a paragraph takes; while its pages are not known, about how many: letters of average width in its
  # measure.
  def lines_of(paragraph)
    return 1 if paragraph.text.empty?
    set = set_block(paragraph) and return set.count
    look = document.look(paragraph)
    measure = [document.section_of(paragraph).measure - look[:indent_left] - look[:indent_right], 36].max
    Norvel::Layout::Fonts.lines(paragraph.text.size, measure, document.letter_look(paragraph))
  end

  # A paragraph as it is set on its page (Norvel::Layout::TextBlock), nil while pages are not known.
  def set_block(paragraph, whose = document)
    Norvel::Layout.pages(whose) && Norvel::Layout.pages(whose).stories.setting.blocks[paragraph]
  end
end
