# frozen_string_literal: true

# Signs of a text that a field can't hold, as they are shown in one, and what is typed there.
module TypedSigns
  # What stands in a text field for what has no letter: a line break, a page break, a column break.
  SHOWN = {"\n" => "↵", "\f" => "⇟", "\v" => "⇥"}.freeze

  def field_text(paragraph)
    SHOWN.inject(paragraph.raw_text) { |text, (sign, shown)| text.gsub(sign, shown) }
  end

  # The text field's lines: each a paragraph; signs are what they stand for.
  def typed_texts
    texts = params[:text].to_s.tr("\r", "").split("\n")
      .map { |line| SHOWN.inject(line) { |text, (sign, shown)| text.gsub(shown, sign) } }.reject(&:empty?)
    if texts.all? { |text| text.strip.empty? }
      raise Norvel::Refused, "Nothing was typed: to take the paragraph out, delete it."
    end
    texts
  end
end
