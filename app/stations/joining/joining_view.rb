# frozen_string_literal: true

# What the page says of documents that are put together.
module JoiningView
  FEW = 3 # lines of a stretch that are shown at each end
  LETTERS = 70

  # The paragraphs of the base that a text may begin at: [[id, its words], …]: headings, or all where there are none.
  def places_of(base)
    shown = base.paragraphs.select { |one| one.part == :body && !one.blank? }
    heads = shown.select { |one| base.heading_level(one).positive? }
    (heads.empty? ? shown.first(400) : heads | @joining.place.compact).sort_by { |one| base.position(one.id) }
      .map { |one| [one.id, first_letters(one)] }
  end

  def first_letters(paragraph)
    words = paragraph.text.gsub(/[\u{E000}-\u{F8FF}\u{FFFC}]/, "").squeeze(" ").strip
    (words.size > LETTERS) ? "#{words[0, LETTERS]} …" : words
  end

  # The edges of a stretch: its first lines, how many lie between, its last lines.
  def edges(paragraphs)
    said = paragraphs.reject(&:blank?).map { |one| first_letters(one) }
    return {first: said, between: 0, last: []} if said.size <= FEW * 2
    {first: said.first(FEW), between: said.size - (FEW * 2), last: said.last(FEW)}
  end

  STRETCHES = {0 => "Stays before", 1 => "Goes", 2 => "Stays after"}.freeze

  # The texts as a sentence has them: "Chapter one, then Chapter two".
  def texts_words
    @joining.texts.map(&:title).join(", then ")
  end

  def order_of(item)
    place = @joining.texts.index(item)
    place && place + 1
  end

  # Styles of a text that the base lacks: [Style, …] with what they would become.
  def without_namesake(text)
    match = @joining.match(text)
    match.unmatched.map { |style| [style, match.roles[style.id]&.first&.name] }
  end
end
