# frozen_string_literal: true

# The document held against itself, on the survey: what is unlike the rest, and the page set-ups in use.
module ConsistencyView
  SHEET = 74.0 # pixels that the longer side of a sheet is drawn with
  SIDES = {"top" => :margin_top, "bottom" => :margin_bottom, "left" => :margin_left, "right" => :margin_right}.freeze
  AXIS = 250.0 # of a strip

  # Groups of findings of consistent.*, whatever the guide says of them.
  def consistency_groups
    @consistency_groups ||= itself_check.groups.select { |group| group.rule.start_with?("consistent.") }
  end

  # What the page says on top.
  def consistency_sentence
    groups = consistency_groups
    return "Nothing in it is unlike the rest." if groups.empty?
    places = groups.sum(&:size)
    verb = (places == 1) ? "differs" : "differ"
    "<b>#{counted(places, "place")}</b> #{verb} from what the document does elsewhere."
  end

  # A check that asks for nothing else.
  def itself_check
    return manuscript.check unless guided?
    @itself_check ||= Norvel::Guide::Check.attempt(Norvel::Guide.itself, document)
  end

  # The page set-ups: [[Section, its numbers], …], those of most sheets first.
  def page_setups
    alike = document.sections.each.with_index(1).group_by do |section, _|
      [section.width, section.height, *SIDES.values.map { |name| section[name] }, section.columns]
        .map { |value| value&.round(1) }
    end
    alike.values.map { |list| [list.first.first, list.map(&:last)] }
      .sort_by { |_, numbers| -document.paragraphs.count { |one| numbers.include?(one.section) } }
  end

  # "A4 upright · 25.4, 25.4, 38, 25.4 mm · section 1 · 12 sheets"
  def setup_words(section, numbers)
    paper = Norvel::PaperSizes.name_of(section.width, section.height, 2) ||
      "#{length_words(section.width)} × #{length_words(section.height)}"
    "#{paper}#{", landscape" if section.landscape?}#{", #{section.columns} columns" if section.columns.to_i > 1}"
  end

  def setup_places(numbers)
    sheets = pages ? pages.sheets.select { |sheet| numbers.include?(sheet.section) }.map(&:page) : []
    said = "section #{spans_words(numbers)}"
    sheets.empty? ? said : "#{said} · sheets #{spans_words(sheets)}"
  end

  # "1–3, 7"
  def spans_words(numbers)
    numbers.slice_when { |one, other| other != one + 1 }
      .map { |run| (run.size > 1) ? "#{run.first}–#{run.last}" : run.first.to_s }.join(", ")
  end

  # A sheet to scale with its margins, as SVG.
  def setup_drawing(section)
    scale = SHEET / [section.width, section.height, 1].max
    width, height = [section.width, section.height].map { |side| (side * scale).round(1) }
    top, bottom, left, right = SIDES.values.map { |name| (section[name] * scale).round(1) }
    said = SIDES.map { |side, name| "#{side} #{length_words(section[name])}" }.join(", ")
    %(<svg class="setup-sheet" width="#{width + 2}" height="#{height + 2}" role="img" aria-label="Margins: #{said}">) +
      %(<rect class="sheet" x="1" y="1" width="#{width}" height="#{height}"/><rect class="measure-box" ) +
      %(x="#{1 + left}" y="#{1 + top}" width="#{[width - left - right, 1].max.round(1)}" ) +
      %(height="#{[height - top - bottom, 1].max.round(1)}"/></svg>)
  end

  # Margins of all sections, drawn to scale, dots as large as their counts; nil where a side has one value only.
  def margin_strip(side)
    values = document.sections.map { |section| section[SIDES.fetch(side)].round(1) }.tally.sort
    return if values.size < 2
    low, high = values.map(&:first).minmax
    most = values.map(&:last).max
    x = ->(value) { (26 + ((value - low) / (high - low) * (AXIS - 52))).round(1) }
    dots = values.map do |value, count|
      said = "#{length_words(value)} in #{counted(count, "section")}"
      %(<circle class="dot" cx="#{x[value]}" cy="27" r="#{(3 + (7 * Math.sqrt(count.fdiv(most)))).round(1)}">) +
        %(<title>#{said}</title></circle><text class="stripnum" x="#{x[value]}" y="9" text-anchor="middle">) +
        "#{length_words(value)}</text>"
    end
    label = values.map { |value, count| "#{length_words(value)} in #{count}" }.join(", ")
    %(<svg class="strip" width="#{AXIS.to_i}" height="42" role="img" aria-label="#{side} margin: #{label}">) +
      %(<path class="axis" d="M4 27H#{AXIS.to_i - 4}"/>#{dots.join}</svg>)
  end
end
