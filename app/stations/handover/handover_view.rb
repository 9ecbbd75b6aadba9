# frozen_string_literal: true

# What the handover says of what a document holds.
module HandoverView
  # What a person counts in a text; bookmarks and cells are for the seal.
  COUNTED = {
    image: "image", note_mark: "note mark", field: "field", link: "link", equation: "equation", box: "box of text",
    table: "table",
    comment: "comment"
  }.freeze

  WORDS = {
    "pdf" => "the sheets as they stand, tagged", "pdfa" => "the same for an archive (PDF/A-2u)",
    "docx" => "a package of XML (ISO/IEC 29500)",
    "odt" => "OpenDocument (ISO/IEC 26300)", "fodt" => "OpenDocument in one file", "markdown" => "text with signs",
    "html" => "a web page", "text" => "words alone"
  }.freeze

  STANDS = {met: "✓ met", not_met: "✗ not met", person: "for you to judge", absent: "– does not apply"}.freeze
  FIELDS = {"2.4.2" => "title", "3.1.1" => "language"}.freeze # that are filled in on Handover

  LEVELS = {1 => "of level 1", 2 => "of levels 1 and 2"}.freeze

  # {level => how many headings there are down to it} of the first levels, where there are several.
  def levels_that_divide
    @levels_that_divide ||= begin
      shown = document.paragraphs.reject { |one| one.container || one.blank? }
      levels = shown.map { |one| document.heading_level(one) }
      LEVELS.keys.select { |level| levels.include?(level) }
        .to_h { |level| [level, levels.count { |one| one.between?(1, level) }] }
        .select { |_, count| count.between?(2, Norvel::Intake::Divided::MOST) }
    end
  end

  # A title, an author …, as the fields for them show it; the language is that of its text where nothing else is said.
  def said_of_itself(field)
    document.info[field] || (document.styles.run_defaults[:language] if field == :language)
  end

  # What became of a trial submission, in a few words.
  def submission_words(one)
    return "could not be looked at" if one.fault
    return "is being looked at …" if one.waiting?
    answer = one.answered
    return "accepted" if answer[:meets]
    "returned: #{counted(answer[:counts][:must], "place")} to put right"
  end

  def submission_class(one)
    return "muted" if one.waiting?
    (one.answered && one.answered[:meets]) ? "meets" : "must"
  end

  # The list asks again as long as something waits.
  def submissions_poll(list)
    return "" unless list.any?(&:waiting?)
    %( hx-get="#{h path_to("submissions")}" hx-trigger="every 1s" hx-target="#submissions" hx-swap="innerHTML")
  end

  # "4 met, 6 not met, 1 for you to judge; 5 do not apply"
  def criteria_words(criteria)
    counts = Hash.new(0).merge(criteria.counts)
    "#{counts[:met]} met, #{counts[:not_met]} not met, #{counts[:person]} for you to judge; " \
      "#{counts[:absent]} do not apply"
  end

  # Where a person goes on: the first place, or the field that is empty.
  def criterion_way(entry)
    return first_place(entry.paragraphs.first) if entry.paragraphs.any?
    field = FIELDS[entry.number] if entry.standing == :not_met
    field ? %(<a href="#{h path_to("handover")}##{field}">say its #{field}</a>) : ""
  end

  def first_place(id)
    label = Norvel::Layout.pages(document)&.label_of(id)
    %(<a href="#{h path_to("galley", at: id)}">#{label ? "page #{h label}" : "the first"}</a>)
  end

  # The words as they came and as they are, part by part.
  def seal_parts
    Norvel::Report::SealParts.new(manuscript.first_document, document)
  end

  # "12 fewer", "3 more"
  def more_or_fewer(count)
    "#{number(count.abs)} #{count.negative? ? "fewer" : "more"}"
  end

  # Those that the document does not have.
  def other_formats
    [*Norvel::Pdf::ALL, *Norvel::Formats.all, *Norvel::Formats.markups]
      .reject { |format| format.name == document.format }.sort_by { |format| WORDS.keys.index(format.name) }
  end

  # What a format would not carry is counted by itself; of a long document, which takes seconds, when it is asked for.
  def carry_trigger
    (manuscript.paragraphs > Turns::LONG) ? "click" : "revealed"
  end

  def format_words(format)
    WORDS.fetch(format.name)
  end

  # "breaks inside a paragraph (9)"
  def carried_words(entry)
    (entry.count > 1) ? "#{entry.what} (#{number(entry.count)})" : entry.what
  end

  # Links to the first places: ", at 12, 40, …"
  def places_words(places)
    return "" if places.empty?
    shown = places.first(5).map { |place| numbered_link(place) }
    ", at #{shown.join(", ")}#{", …" if places.size > shown.size}"
  end

  def numbered_link(place)
    id = document.paragraphs[place - 1]&.id
    id ? %(<a href="#{h path_to("galley", at: id)}">#{place}</a>) : place.to_s
  end

  # "3 images, 12 note marks and 1 table"
  def held_words(counts)
    said = COUNTED.filter_map { |kind, noun| counted(counts[kind], noun) if counts[kind] }
    return "nothing but text" if said.empty?
    (said.size == 1) ? said.first : "#{said[0..-2].join(", ")} and #{said.last}"
  end

  # What else is the same, or is not.
  def objects_words(seal, first)
    return "#{held_words(seal.counts).capitalize}, as in the file that came." if seal.same_objects?(first)
    "#{held_words(seal.counts).capitalize}; the file that came held #{held_words(first.counts)}."
  end

  # [pages that are drawn, of how many]
  def drawing_figures
    drawn_so_far || [0, pages&.sheets&.size || 1]
  end

  def drawing_words
    drawn, all = drawn_so_far
    return "the file is there" if drawn?
    return "its lines and pages are being worked out" unless drawn
    return "page #{number(drawn)} of #{number(all)}" if drawn < all
    "all #{counted(all, "page")} drawn; the file is being put together"
  end

  def pictures_words(pictures)
    return "It holds no images." if pictures.empty?
    mute = pictures.count(&:mute?)
    each = "each " if pictures.many?
    said = mute.zero? ? "#{each}described or marked as decoration" : "#{number(mute)} without a description"
    "#{counted(pictures.size, "image")}, #{said}"
  end
end
