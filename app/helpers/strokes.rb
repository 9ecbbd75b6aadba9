# frozen_string_literal: true

# The forms that stand for kinds of text, the same in spine, gauge and lists: weight falls with the level of a heading, body
# is pale, quotations are inset, lists notched, captions dashed, blanks dotted.
module Strokes
  FORMS = Hash.new("b").merge("heading_1" => "h1", "heading_2" => "h2", "heading_3" => "h3", "heading_4" => "h3", "heading_5" => "h3", "heading_6" => "h3", "title" => "h1", "subtitle" => "h2",
    "quote" => "q", "list_item" => "l", "caption" => "c", "blank" => "x", "table_text" => "t", "contents_entry" => "l").freeze

  def form_of(paragraph)
    FORMS[manuscript.check.role(paragraph)]
  end

  # About how many lines a paragraph takes: letters of average width in its measure. An estimate, only for drawings.
  def lines_of(paragraph)
    return 1 if paragraph.text.empty?
    look = document.look(paragraph)
    measure = [document.section_of(paragraph).measure - look[:indent_left] - look[:indent_right], 36].max
    [((paragraph.text.size * document.letter_look(paragraph)[:size] * 0.45) / measure).ceil, 1].max
  end
end
