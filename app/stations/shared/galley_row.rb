# frozen_string_literal: true

# The rows of the galley: a gauge, the text in its look, the style and what departs from it.
module GalleyRow
  BLOCK = 40 # paragraphs that are sent together
  HAND = Norvel::Survey::ByHand
  SIGNS = {
    "\t" => '<span class="tab">&#9;</span>', "\n" => '<span class="sign break" aria-hidden="true">↵</span><br>',
    "\f" => '<span class="sign page-end">page break</span>', "\v" => '<span class="sign">column break</span>',
    Norvel::Document::Run::OBJECT => '<span class="object">image or object</span>',
    Norvel::Document::Run::NOTE => '<sup class="note" title="note">※</sup>', Norvel::Document::Run::SIGN => "",
    "\u00A0" => '<span class="nobreak">&nbsp;</span>'
  }.freeze
  TYPED_CASES = {
    "title" => "Title Case", "sentence" => "Sentence case", "upper" => "CAPITALS", "lower" => "lower case"
  }.freeze
  SHOWN_CASES = {"capitals" => "Capitals", "small capitals" => "Small capitals"}.freeze
  MOST_SAID = 5 # values set by hand that a row tells
  SPECIAL = /[\t\n\f\v\u00A0\uFFF9\uFFFA\uFFFC]| {2,}/

  # The text of a paragraph as HTML in its look, with its mathematics.
  def set_text(paragraph, whose = document)
    equations = paragraph.equations.dup
    place = 0
    words = paragraph.runs.map do |run|
      before = formulas_html(equations.delete(place))
      place += run.text.size
      before + run_in_look(run, paragraph, whose)
    end
    words.join + formulas_html(equations.values.flatten)
  end

  def run_in_look(run, paragraph, whose)
    return "" if run.text.empty?
    text = with_notes(with_formulas(run_html(run.text), run), run, whose)
    %(<span class="#{look_class(whose.run_look(run, paragraph), :run)}">#{text}</span>)
  end

  # Mathematics that stands as an object is shown where its sign is.
  def with_formulas(html, run)
    formulas = run.formulas
    return html if formulas.none?
    html.gsub(SIGNS[Norvel::Document::Run::OBJECT]) { |sign| (source = formulas.shift) ? formula_html(source) : sign }
  end

  def formulas_html(equations)
    Array(equations).map { |one| one.formula ? formula_html(one.formula) : h(one.text) }.join
  end

  # MathML, as browsers set it.
  def formula_html(source)
    Norvel::Mathml.read(source).parts.map { |part| %(<span class="formula">#{part.source}</span>) }.join
  end

  # Marks of notes lead to what they say.
  def with_notes(html, run, whose)
    marks = run.objects.grep(Norvel::Document::NoteMark)
    return html if marks.empty? || !whose.equal?(document)
    html.gsub(SIGNS[Norvel::Document::Run::NOTE]) do |sign|
      first = (mark = marks.shift) && document.note(mark)&.paragraphs&.first
      first ? %(<a class="tonote" href="#{path_to("galley", at: first.id)}" title="the note">#{sign}</a>) : sign
    end
  end

  # The marker of a listed paragraph, in its own look; empty where there is none, as of one that stands in for a style
  # without a list.
  def marker_html(paragraph, whose = document)
    place = whose.cascade.list_of(paragraph)
    marker = place ? whose.markers[paragraph.id].to_s : ""
    return "" if marker.empty?
    hang = hanging(paragraph, whose)
    space = " " unless hang || whose.numbering.level(*place)&.suffix == "nothing"
    look = look_class(whose.cascade.marker(paragraph), :run)
    %(<span class="marker #{look}#{" #{hang_class(hang)}" if hang}">#{h marker}#{space}</span>)
  end

  def run_html(text)
    escaped = h(text)
    return escaped unless escaped.match?(SPECIAL)
    escaped.gsub(SPECIAL) do |sign|
      SIGNS.fetch(sign) { %(<span class="spaces">#{sign.gsub(" ", "&#160;")[0..-7]} </span>) }
    end
  end

  # Paragraphs as they are shown: blank ones that follow each other together, all others alone.
  def rows_of(paragraphs)
    paragraphs.chunk_while { |one, other| one.blank? && other.blank? && [one, other].none?(&:holds) }.to_a
  end

  BANDS = 12 # colours that tell styles apart on request

  # The class of the band of a paragraph's style, by the place of the style among those that are used.
  def band_of(paragraph)
    @bands ||= document.uses.sort_by { |id, count| [-count, id] }.each_with_index.to_h { |(id, _), place| [id, place] }
    "band-#{(@bands[document.style_of(paragraph)&.id] || 0) % BANDS}"
  end

  # What a row says above its text.
  def row_notes(paragraph)
    [("runs into the text below" if Norvel::Edits::RunIn.on?(paragraph)),
      ("begins a page" if document.look(paragraph)[:page_break_before])].compact
  end

  def departure_words(paragraph)
    said = paragraph.blank? ? [] : departures(paragraph)
    (said.first(MOST_SAID) + (said.drop(MOST_SAID).any? ? ["…"] : [])).join(" · ")
  end

  # The sign of the worst finding with how many there are; of a blank line the sign alone.
  def remark_words(paragraph)
    worst = remarks(paragraph).first or return ""
    paragraph.blank? ? mark(worst.severity) : "#{mark(worst.severity)} #{counted(remarks(paragraph).size, "finding")}"
  end

  def paragraph_class(paragraph, whose = document)
    "#{look_class(whose.look(paragraph), :paragraph)} #{letters_class(whose.letter_look(paragraph))}"
  end

  # Values set by hand, as words; and spacing made with characters.
  def departures(paragraph)
    @departures ||= {}
    key = [paragraph.style_id, paragraph.direct, paragraph.table,
      paragraph.letters.map { |r| [r.style_id, r.direct] }.uniq]
    said = @departures[key] ||= Norvel::Survey::Departures.of(document, paragraph).map { |departure|
      departure.spoken(unit)
    }
    said += words_apart(paragraph)
    hand = []
    hand << "tab as indent" if HAND.leading_tab?(paragraph)
    hand << "double space" if HAND.double_space?(paragraph)
    hand << "line break" if HAND.line_break?(paragraph)
    said + hand
  end

  # "words: bold ×2, Arial ×1" of words that are set otherwise than most of their paragraph.
  def words_apart(paragraph)
    return [] if paragraph.ways.size < 2
    most = document.letter_look(paragraph)
    counts = paragraph.letters.each_with_object(Hash.new(0)) do |run, sums|
      next unless run.words.match?(/[[:alnum:]]/)
      apart_words(run, most, document.run_look(run, paragraph)).each { |word| sums[word] += 1 }
    end
    counts.empty? ? [] : ["words: #{counts.first(4).map { |word, count| "#{word} ×#{count}" }.join(", ")}"]
  end

  APART = %i[font size bold italic underline strike caps small_caps color highlight].freeze

  def apart_words(run, most, look)
    return [] if look.equal?(most) || look[:position] != "normal"
    APART.reject { |name| Norvel::Styles::Properties[name].same?(look[name], most[name]) }.filter_map do |name|
      next unless run.direct.keys.any? { |slot| Norvel::Styles::Properties[slot].key == name }
      Norvel::Survey::Departures::Departure.new(name, look[name], :run).spoken(unit)
    end
  end

  # The worst findings at a paragraph, one a cause: [severity, message].
  def remarks(paragraph)
    manuscript.check.at(paragraph.id).reject { |finding| %w[clean.direct clean.tab_indent].include?(finding.rule) }
  end

  def blocks
    @blocks ||= document.working.each_slice(BLOCK).to_a
  end

  def block_of(id)
    @places ||= document.working.each_with_index.to_h { |paragraph, place| [paragraph.id, place] }
    (@places[id] || document.position(id)) / BLOCK
  end

  # "paragraph 12", "note 3", "running foot of section 1".
  def place_words(id)
    story = document.story_of(id) or return "paragraph #{number(document.position(id) + 1)}"
    if story.note?
      "note #{note_number(story)}"
    else
      "running #{(story.kind == "header") ? "head" : "foot"}#{which(story)}"
    end
  end

  # What stands above the first row of a note, a head or a foot; nil elsewhere.
  def story_head(paragraph)
    story = document.story_of(paragraph.id)
    place_words(paragraph.id).then { |words| words[0].upcase + words[1..] } if story &&
      story.paragraphs.first.equal?(paragraph)
  end

  def note_number(story)
    document.stories.select { |other| other.kind == story.kind }.index(story) + 1
  end

  def which(story)
    pages = {"first" => " of the first page", "even" => " of left pages"}[story.which]
    "#{pages} of section #{story.section || 1}"
  end

  # About how tall a block that was not sent yet will be, in pixels.
  def block_height(paragraphs)
    paragraphs.sum { |paragraph| [row_height(paragraph).round, 34].max + 12 }
  end

  def row_height(paragraph)
    lines = [document.look(paragraph)[:line_spacing][:value], 3].min
    lines_of(paragraph) * document.letter_look(paragraph)[:size] * 1.5 * lines
  end

  def layers(paragraph, name)
    seen = document.letter_look(paragraph)
    run = paragraph.letters.find { |one| document.run_look(one, paragraph).equal?(seen) }
    document.cascade.explain(name, paragraph, run || Norvel::Document::Run.new("", nil, paragraph.mark))
  end

  LAYER_WORDS = {standard: "Nothing set", defaults: "Document", table: "Table style", list: "List level",
                 direct: "Set here"}.freeze

  def layer_words(step, property)
    return (property.on == :run) ? "Set on words" : "Set here" if step.kind == :direct
    step.style ? step.style.name : LAYER_WORDS.fetch(step.kind)
  end
end
