# frozen_string_literal: true

# A style shown on the text of this document: paragraphs that are in it, and where in the document they stand.
module SpecimenView
  # What shows the style or page set-up that is chosen, with the change that is tried where it is still there
  # afterwards.
  def specimen_of_chosen
    return partial(:sheet_specimen, set: tried_set) if chosen_page
    whose = @ripple&.after
    whose = document unless whose&.styles&.[](chosen_style.id)
    partial((chosen_style.type == "numbering") ? :list_specimen : :specimen, style: chosen_style, whose:)
  end

  # The page set-up as the ripple would have it.
  def tried_set
    return chosen_page unless @ripple && chosen_page.sections.any?
    section = @ripple.after.sections[chosen_page.sections.first - 1]
    Lineage::PageSet.new(Norvel::Document::PageStyle.of(section, chosen_page.style.name), chosen_page.sections)
  end

  # The values of what is chosen.
  def bench_of_chosen
    return partial(:page_values, set: chosen_page) if chosen_page
    return unless chosen_style
    partial((chosen_style.type == "numbering") ? :list_values : :style_values, style: chosen_style)
  end

  # What shows a style: the paragraph with its neighbours, as they are in +whose+, and what has to be said of it.
  Specimen = Struct.new(:before, :text, :after, :note)

  # Where no paragraph is as the style alone sets it, one stands in as it would look.
  def specimen(style, whose = document)
    before, text, after = specimen_paragraphs(style).map { |paragraph| paragraph && whose.paragraph(paragraph.id) }
    return Specimen.new(before, text, after) if text
    own = wearers(style).reject(&:blank?).then do |list|
      list.find { |paragraph| paragraph.word_count >= 12 } || list.first
    end
    stand_in = own || document.paragraphs.find { |paragraph| paragraph.part == :body && paragraph.word_count >= 12 }
    stand_in ||= document.paragraphs.find { |paragraph| !paragraph.blank? }
    note = "Nothing is in #{style.name} yet: so your text would look in it."
    note = "Every paragraph in #{style.name} sets values by hand: so one would look without them." if own
    Specimen.new(nil, stand_in && worn(whose.paragraph(stand_in.id), style), nil, note)
  end

  # All of it that needs a look.
  def specimen_looks(style, whose = document)
    specimen(style, whose).to_a.first(3).compact
  end

  # The specimen as a ripple would have it.
  def fresh_specimen
    return [] unless @change && chosen_style && (style = @ripple.after.styles[chosen_style.id]) &&
      style.type != "numbering"
    specimen_looks(style, @ripple.after)
  end

  # A paragraph's text in its look, words in a character style marked when that is the style shown.
  def specimen_text(paragraph, whose, style)
    return marker_html(paragraph, whose) + set_text(paragraph, whose) if style.paragraph?
    paragraph.runs.map do |run|
      own = " these-words" if run.style_id == style.id
      %(<span class="#{look_class(whose.run_look(run, paragraph), :run)}#{own}">#{run_html(run.text)}</span>)
    end.join
  end

  # A paragraph of the specimen as it stands there.
  def specimen_line(paragraph, shown, whose, style)
    itself = paragraph.equal?(shown.text) ? "itself" : "neighbour"
    %(<p class="#{paragraph_class(paragraph, whose)} #{itself}">#{specimen_text(paragraph, whose, style)}</p>)
  end

  # Paragraphs that are in a style, or hold words in it; blank ones too.
  def wearers(style)
    document.paragraphs.select do |paragraph|
      next document.style_of(paragraph)&.id == style.id if style.paragraph?
      paragraph.runs.any? { |run| run.style_id == style.id }
    end
  end

  # Those of them that set values by hand, by what they set: {"bold" => [paragraphs], …}, most first.
  def departing(paragraphs)
    found = Hash.new { |all, said| all[said] = [] }
    paragraphs.reject(&:blank?).each do |paragraph|
      departures(paragraph).each { |said| found[said] << paragraph }
    end
    found.sort_by { |_, list| -list.size }.to_h
  end

  # Those that set values by hand, once each.
  def setting_by_hand(style)
    style.paragraph? ? departing(wearers(style)).values.flatten.uniq : []
  end

  # The values that are set by hand most, with how often.
  def by_hand_words(style)
    by_hand = departing(wearers(style))
    said = by_hand.first(5).map { |words, list| (list.size == 1) ? words : "#{words} (#{list.size})" }
    (said + ((by_hand.size > 5) ? ["…"] : [])).join(" · ")
  end

  # "12 paragraphs, 3 of them with values of their own", each a link to the galley.
  def whereabouts_words(style, inside, set)
    link = lambda do |pick, list, words|
      %(<a href="#{h path_to("galley", pick: "#{pick}:#{style.id}", at: list.first.id)}">#{words}</a>)
    end
    all = link["style", inside, counted(inside.size, "paragraph")]
    return all unless style.paragraph?
    return "#{all}, none of them sets a value by hand" if set.empty?
    "#{all}, #{link["setby", set, "#{number(set.size)} of them"]} with values of their own"
  end

  # "159 mm · 94 characters a line", as they are set; about so many while pages are not known.
  def measure_words(paragraph, whose)
    look = whose.look(paragraph)
    measure = whose.section_of(paragraph).measure - look[:indent_left] - look[:indent_right]
    counted = set_block(paragraph, whose)&.characters
    about = "about #{Norvel::Layout::Fonts.characters(measure, whose.letter_look(paragraph))}"
    "#{length_words(measure)} · #{counted || about} characters a line"
  end

  # Ticks along the document where these paragraphs stand, as one path; +width+ and +height+ in pixels.
  def whereabouts(paragraphs, width, height)
    bands = spine_bands.to_h { |band| [band.id, band] }
    paragraphs.filter_map { |paragraph| bands[paragraph.id] }.map do |band|
      wide = fine([band.height / Spine::HEIGHT * width, 1.2].max)
      "M#{fine(band.top / Spine::HEIGHT * width)} 0h#{wide}v#{height}h-#{wide}z"
    end.join
  end

  private

  # A paragraph that is as the style sets it, a long one before a short one, with its neighbours; three times nil when
  # there is none.
  def specimen_paragraphs(style)
    worded = document.paragraphs.reject(&:blank?)
    inside = wearers(style).reject(&:blank?)
    inside = inside.select { |paragraph| departures(paragraph).empty? } if style.paragraph?
    text = inside.find { |paragraph| paragraph.word_count >= 12 } || inside.first or return [nil, nil, nil]
    at = worded.index { |paragraph| paragraph.equal?(text) }
    [at.zero? ? nil : worded[at - 1], text, worded[at + 1]]
  end

  # The paragraph as the style alone sets it; of a character style, its second and third word.
  def worn(paragraph, style)
    bare = Norvel::Styles::PropertySet::EMPTY
    run = ->(text, style_id = nil) { Norvel::Document::Run.new(text, style_id, bare, nil) }
    return paragraph.with(style_id: style.id, direct: bare, runs: [run[paragraph.text]].freeze) if style.paragraph?
    first, inside, rest = paragraph.text.match(/\A(\s*\S+\s+)(\S+\s+\S+)(.*)\z/m)&.captures || ["", paragraph.text, ""]
    paragraph.with(direct: bare, runs: [run[first], run[inside, style.id], run[rest]].freeze)
  end

  # An empty paragraph in the default style.
  def specimen_ground
    @specimen_ground ||= Norvel::Document::Paragraph.new(0, :body, 1, nil, Norvel::Styles::PropertySet::EMPTY,
      Norvel::Styles::PropertySet::EMPTY, [].freeze, nil, nil, nil)
  end
end
