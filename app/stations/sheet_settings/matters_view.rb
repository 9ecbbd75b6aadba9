# frozen_string_literal: true

# Matters on the Sheets station: where front matter, body and back begin, and how their pages are labelled.
module MattersView
  NAMES = {"front" => "Front matter", "body" => "Body", "back" => "Back matter"}.freeze
  FORMATS = {"decimal" => "1, 2, 3", "lower_roman" => "i, ii, iii", "upper_roman" => "I, II, III",
             "lower_letter" => "a, b, c", "upper_letter" => "A, B, C", "none" => "no number"}.freeze
  BEGINS = {"next_page" => "on the next page", "odd_page" => "on the next right page",
            "even_page" => "on the next left page"}.freeze
  PLACES = %w[bottom_center bottom_right bottom_left top_right top_center top_left]
    .to_h { |place| [place, place.tr("_", " ")] }.freeze
  MOST = 12 # matters that a form may hold

  # A row of the form: a matter as it is, or one that might be.
  Row = Struct.new(:name, :paragraph, :format, :start, :shown_first, :begins, :note, :place)

  def matters
    @matters ||= Norvel::Structure::Matters.new(document)
  end

  # Is what mends a finding seen on its pages before it is done?
  def numbers_pages?(finding)
    finding.mend&.name == "set_matters"
  end

  # What the guide asks of the pages, as matters; nil where it is met.
  def asked_matters
    mend = manuscript.check.on_document.find { |finding| numbers_pages?(finding) }&.mend
    mend && mend.steps.first.last.map { |one| Norvel::Edits::SetMatters::Matter.new(**one) }
  end

  # What was sent, else the matters as they are, with a body where headings tell of one, and a row to spare.
  def matter_rows
    return sent_rows << blank_row if params[:matter_at] || @sent_matters
    rows = matters.read.map { |one|
      Row.new(NAMES[one.name], one.paragraph, one.format, one.start, one.shown_first, one.begins)
    }
    return rows << asked_row if asked_begin && rows.none? { |row| row.paragraph == asked_begin.id }
    return rows << blank_row unless rows.size == 1 && (body = suggested_row)
    [rows.first.dup.tap { |row| row.name = NAMES["front"] }, body, back_row].compact
  end

  # Places where a matter may begin: the begin of the text, its headings, and where sections begin.
  def matter_places
    @matter_places ||= begin
      begins = document.sections.each_index.filter_map { |number|
        document.paragraphs.find { |one| one.section == number + 1 && one.container.nil? }
      }
      list = [document.paragraphs.first, asked_begin, *matters.headings, *begins].compact.uniq
        .sort_by { |one| document.position(one.id) }
      list.map { |one| [one.id, place_of_matter(one)] }
    end
  end

  # The first paragraph of a sheet that a matter may begin with; nil where it goes on from the sheet before.
  def matter_begin(sheet)
    first = sheet.paragraphs.find { |one| !one.blank? } or return
    first if first.container.nil? && pages.sheet_of(first.id).equal?(sheet) && sheet.page > 1
  end

  # The paragraph that was pointed at on a sheet.
  def asked_begin
    id = whole(:begin)
    @asked_begin ||= document.paragraph(id) if id.positive? && document.include?(id)
  end

  # The matters that a form says, Edits::SetMatters::Matter. Raises Refused.
  def sent_matters
    @sent_matters ||= matter_fields.filter_map { |at, format, start, first, begins, place|
      next if at.to_s.empty?
      paragraph = document.paragraph(at.to_i)
      Norvel::Edits::SetMatters::Matter.new(paragraph: paragraph.id, start: matter_start(start),
        format: FORMATS.key?(format) ? format : "decimal", shown_first: first != "no",
        begins: BEGINS.key?(begins) ? begins : "next_page", place: (place if PLACES.key?(place)))
    }.sort_by { |matter| document.position(matter.paragraph) }.uniq(&:paragraph)
  end

  # The edit that a form asks for. Raises Refused.
  def matters_edit
    Norvel::Edits::SetMatters.new(sent_matters)
  end

  # "i–ii, then 1–74"
  def labels_words(result)
    result.labels.join(", then ")
  end

  private

  def matter_fields
    names = %i[matter_at matter_format matter_start matter_first matter_begins matter_place]
    lists = names.map { |name| Array(params[name]).first(MOST).map(&:to_s) }
    lists.first.each_index.map { |place| lists.map { |list| list[place] } }
  end

  def matter_start(text)
    return if text.to_s.strip.empty?
    number = text[/\A\s*(\d{1,6})\s*\z/, 1] or raise Norvel::Refused, "“#{text}” is no page number: type it like 1."
    number.to_i
  end

  def sent_rows
    names = (sent_matters.size == 1) ? ["Body"] : NAMES.values
    sent_matters.each_with_index.map do |one, place|
      Row.new(names[place] || names.last, one.paragraph, one.format, one.start, one.shown_first, one.begins, nil,
        one.place)
    end
  end

  def suggested_row
    chapter = matters.first_chapter or return
    Row.new("Body", nil, "decimal", 1, true, "next_page",
      "The first chapter seems to be “#{cut(chapter.text.strip, 40)}”: choose it where the body begins.")
  end

  # Where the back matter seems to begin, which most leave with the body.
  def back_row
    parts = Norvel::Structure::Parts.new(document).list
    part = parts.find { |one| %w[references appendices].include?(one.name) && one.heading }
    return unless part
    Row.new(NAMES["back"], nil, "decimal", nil, true, "next_page",
      "Where it has page numbers of its own, it seems to begin at “#{cut(part.heading.text.strip, 40)}”.")
  end

  def asked_row
    Row.new("Begun there", asked_begin.id, "decimal", 1, true, "next_page")
  end

  def blank_row
    Row.new("One more", nil, "decimal", 1, true, "next_page")
  end

  def place_of_matter(paragraph)
    return "the first page" if paragraph.equal?(document.paragraphs.first)
    text = paragraph.text.strip
    text.empty? ? "section #{paragraph.section}" : cut(text, 44)
  end
end
