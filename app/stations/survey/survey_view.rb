# frozen_string_literal: true

# How the survey is drawn.
module SurveyView
  AXIS = 430.0
  LOOKS = 9 # shown at once
  HEADINGS = 16 # beside the survey
  ALOUD = 1500
  LISTED = 80
  STRIPS = %i[size indent_left indent_right first_line space_before space_after line_spacing].freeze
  # A paragraph of the first lines; with level and what stands under it, a heading.
  Line = Struct.new(:paragraph, :level, :inside)
  JOBS = {
    blank_paragraphs: "Blank paragraphs", leading_tabs: "Tabs as indents", leading_spaces: "Spaces as indents",
    double_spaces: "Double spaces", line_breaks: "Line breaks inside", typed_numbers: "Numbers and bullets typed",
    page_break_runs: "Page breaks by hand", whole_bold: "Bold on whole paragraphs",
    whole_underlined: "Underline on whole paragraphs", typed_capitals: "Capitals typed"
  }.freeze

  def survey
    @survey ||= Norvel::Survey.of(document)
  end

  # Figures that matter are strong.
  def survey_sentence
    h(Norvel::Survey::Sentence.of(survey)).gsub(/\*([^*]+)\*/, '<b>\1</b>')
  end

  # [[property, its drawing], …] of those with more than one value.
  def strips
    @strips ||= STRIPS.filter_map { |name| (svg = strip(name)) && [Norvel::Styles::Properties[name], svg] }
  end

  def misses_of(name)
    survey.near_misses.misses.select { |miss| miss.property.name == name }
  end

  # The jobs that there is something to do for: {job => paragraphs}.
  def by_hand_jobs
    survey.by_hand.reject { |_, list| list.empty? }
  end

  # How words inside paragraphs are set apart by hand, most first: {look => stretches}.
  def set_apart
    @set_apart ||= Norvel::Survey::LooksApart.of(document)
  end

  # Ids of the paragraphs that are formatted by hand, or that hold such words.
  def direct_ids(what)
    looked = ->(set) { set.keys.any? { |slot| Norvel::Styles::Properties[slot].clear != :keep } }
    found = document.paragraphs.select do |one|
      (what == :paragraphs) ? looked[one.direct] : one.runs.any? { |run| looked[run.direct] }
    end
    found.map(&:id)
  end

  # [[what, its paragraphs, how many of them set something themselves], …] of notes, heads and feet.
  def beside_text
    @beside_text ||= Manuscript::BESIDE.except("comment").filter_map do |kind, words|
      told = document.stories.select { |story| story.kind == kind }.flat_map(&:paragraphs).reject(&:blank?)
      next if told.empty?
      by_hand = told.count { |one| !Norvel::Survey::Departures.of(document, one).empty? }
      [words, told, by_hand]
    end
  end

  def heading_words(paragraph, most)
    paragraph.blank? ? "(empty)" : cut(paragraph.text.strip, most)
  end

  # The text by its first sentences, under the headings they stand under: Lines.
  def first_lines
    open = [Line.new(nil, 0, [])]
    document.paragraphs.reject { |one| one.blank? || one.part == :table }.each do |paragraph|
      suggestion = Norvel::Survey::Suggestions.of(document)[paragraph.id]
      if suggestion.heading?
        open.pop while open.size > 1 && open.last.level >= suggestion.level
        open.last.inside << Line.new(paragraph, suggestion.level, [])
        open << open.last.inside.last
      elsif %w[body quote].include?(suggestion.role)
        open.last.inside << Line.new(paragraph)
      end
    end
    open.first.inside
  end

  # Up to its full stop, or as much as tells what it is about.
  def first_sentence(paragraph)
    paragraph.text.strip[/\A.{20,}?[.!?](?=\s|\z)|\A.{0,160}/m]
  end

  def aloud_words(line)
    return "paragraph #{document.position(line.paragraph.id) + 1}" if line.text.empty?
    cut(line.text, 110)
  end

  def look_sample(group)
    text = group.example.text.strip
    text.empty? ? "image or object" : cut(text, 80)
  end

  # The style that its form begins with.
  def put_name(group, name)
    name || document.style_name(group.paragraphs.first)
  end

  # How long a look's bar is beside that of the most frequent one.
  def look_bar(group)
    [66.0 * group.size / survey.looks.first.size, 2].max.round(1)
  end

  # The style for a role by the guide, nil where there is none.
  def style_of_role(role)
    Norvel::Edits::PutInRoles.style_name(role, manuscript.rules, document)
  end

  # Both outcomes of putting the paragraphs of a kind in its style.
  def role_outcomes(role, list)
    outcomes(list.map(&:id), style_of_role(role), role:)
  end

  # The looks that outcomes are drawn in.
  def outcome_rules(outcomes)
    outcomes.map { |_, _, paragraph, whose| look_rules([paragraph], whose) }.join("\n")
  end

  def style_id(name)
    name && document.styles.named(name, "paragraph")&.id
  end

  # [[id, name], …] of all paragraph styles.
  def paragraph_styles
    styles = document.styles.by_id.values.select(&:paragraph?)
    @paragraph_styles ||= styles.sort_by(&:name).map { |style| [style.id, style.name] }
  end

  def least_sure_first(paragraphs)
    paragraphs.sort_by { |paragraph| Norvel::Survey::Suggestions.of(document)[paragraph.id].confidence }
  end

  def confidence_words(paragraphs)
    sure = paragraphs.map { |paragraph| Norvel::Survey::Suggestions.of(document)[paragraph.id].confidence }
    "#{sure.minmax.map { |one| (one * 100).round }.uniq.join("–")} %"
  end

  def suggestion_words(paragraph)
    suggestion = Norvel::Survey::Suggestions.of(document)[paragraph.id]
    "#{(suggestion.confidence * 100).round} %: #{suggestion.because.join(", ")}"
  end

  def role_words(role)
    Norvel::Survey::Roles.words(role)
  end

  def miss_key(miss)
    Digest::SHA256.hexdigest([miss.property.name, miss.role, miss.usual, miss.odd].inspect)[0, 12]
  end

  def strip_unit(property)
    return "lines" if property.name == :line_spacing
    %i[indent_left indent_right first_line].include?(property.name) ? unit : "pt"
  end

  def strip_number(property, value)
    return Norvel::Length.plain(value.round(2)) if strip_unit(property) == "lines"
    Norvel::Length.plain(Norvel::Length.units(value, strip_unit(property)).round(2).to_f)
  end

  # A property's values drawn to scale, dots as large as their counts; near misses bracketed. Nil where there is one
  # value only.
  def strip(name)
    property = Norvel::Styles::Properties[name]
    spots = survey.near_misses.spots(name)
    return if spots.size < 2
    low, high = spots.map(&:value).minmax
    most = spots.map(&:count).max
    x = ->(value) { (18 + ((value - low) / (high - low) * (AXIS - 36))).round(1) }
    misses = survey.near_misses.misses.select { |miss| miss.property.name == name }
    odd = misses.to_h { |miss| [survey.near_misses.measure(name, miss.odd), miss] }
    dots = spots.map { |spot| dot(property, spot, x[spot.value], most, odd.key?(spot.value)) }
    said = spots.map { |spot| "#{strip_number(property, spot.value)} #{strip_unit(property)} in #{spot.count}" }
    brackets = misses.map { |miss| bracket_of(miss, name, x) }
    %(<svg class="strip" width="#{AXIS.to_i}" height="60" viewBox="0 0 #{AXIS.to_i} 60" role="img" ) +
      %(aria-label="#{h(property.label)}: #{said.join(", ")}"><path class="axis" d="M4 27H#{AXIS.to_i - 4}"/>) +
      "#{dots.join}#{strip_labels(property, spots, x)}#{brackets.join}</svg>"
  end

  # A value's dot, as large as it is frequent.
  def dot(property, spot, at, most, odd)
    radius = (2.5 + (11 * Math.sqrt(spot.count.fdiv(most)))).round(1)
    said = "#{strip_number(property, spot.value)} #{strip_unit(property)}: #{counted(spot.count, "paragraph")}"
    %(<circle class="dot#{" odd" if odd}" cx="#{at}" cy="27" r="#{radius}"><title>#{said}</title></circle>)
  end

  # Values are written where there is room for them, the most frequent first.
  def strip_labels(property, spots, x)
    taken = []
    spots.sort_by { |spot| -spot.count }.filter_map do |spot|
      at = x[spot.value]
      next if taken.any? { |other| (other - at).abs < 26 }
      taken << at
      %(<text class="stripnum" x="#{at}" y="9" text-anchor="middle">#{strip_number(property, spot.value)}</text>)
    end.join
  end

  def bracket_of(miss, name, x)
    from, to = [miss.odd, miss.usual].map { |value| x[survey.near_misses.measure(name, value)] }.minmax
    %(<path class="near" d="M#{(from - 4).round(1)} 42v6H#{(to + 4).round(1)}v-6"/>)
  end
end
