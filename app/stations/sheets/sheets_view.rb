# frozen_string_literal: true

# The laid-out pages: the wall of all of them, one at size, and why each ended.
module SheetsView
  BLOCK = 48 # sheets of the wall that are sent together
  PAGES_LATE = "Pages are still being worked out, so nothing was done yet. Do it once more in a moment."
  ZOOMS = {"1" => "small", "2" => "middle", "3" => "large"}.freeze
  # Why a page ended, in words; nil where it is simply full.
  REASONS = {
    page_break: "a page break stands there", column_break: "a column break stands there",
    section_break: "a new section begins after it", page_break_before: "what follows begins on a new page",
    keep_with_next: "what follows keeps with its next paragraph", keep_together: "what follows is kept together",
    widow_control: "no line of a paragraph may stand alone", end: "the text ends"
  }.freeze
  # Under a page: a sign for why it ended, as strokes in 16 by 10.
  SIGNS = {
    page_break: "M3 8l5-6 5 6", column_break: "M3 8l5-6 5 6", section_break: "M3 8l5-6 5 6",
    page_break_before: "M3 8l5-6 5 6",
    keep_with_next: "M3 2h10M8 2v7", keep_together: "M3 2h10M3 8h10M8 2v6", widow_control: "M3 3h10M3 7h5"
  }.freeze
  KEYS = {"ended by a break" => :page_break, "kept with what follows" => :keep_with_next,
          "kept together" => :keep_together, "no line alone" => :widow_control}.freeze

  # A spread: the sheets that lie side by side, a gap where there is none on a side.
  Spread = Struct.new(:left, :right) do
    def sheets
      [left, right].compact
    end
  end

  def sheets_words
    return no_pages ? "not worked out" : "being worked out" unless pages
    blank = pages.sheets.count { |sheet| empty?(sheet) }
    [counted(pages.sheets.size, "sheet"), ("#{blank} blank" if blank.positive?)].compact.join(" · ")
  end

  # Is there nothing to read on it?
  def empty?(sheet)
    Norvel::Structure::EmptyPages.blank?(sheet)
  end

  def spreads
    @spreads ||= pages.sheets.each_with_object([]) do |sheet, list|
      if sheet.side == "right" && list.last && list.last.right.nil? && list.last.left
        list.last.right = sheet
      else
        list << ((sheet.side == "right") ? Spread.new(nil, sheet) : Spread.new(sheet, nil))
      end
    end
  end

  # Spreads in blocks of so many sheets.
  def wall_blocks
    @wall_blocks ||= spreads.each_slice(BLOCK / 2).to_a
  end

  def zoom
    ZOOMS.key?(params[:zoom]) ? params[:zoom] : "1"
  end

  # "Section 2 · i–xii" where a section begins on a sheet, nil elsewhere.
  def band_words(sheet)
    return unless sheet.opens || sheet.page == 1
    run = pages.sheets.drop(sheet.page - 1).take_while { |other| other.section == sheet.section }
    labels = [run.first.label, run.last.label].uniq.join("–")
    name = (document.sections.size == 1) ? "The text" : "Section #{sheet.section}"
    "#{name} · #{labels}"
  end

  def label_words(sheet)
    sheet.label.empty? ? "sheet #{sheet.page}" : "page #{sheet.label}"
  end

  # What a sheet is, for those who can't see it.
  def sheet_words(sheet)
    found = worst_on(sheet)
    reason = REASONS[sheet.ended_by]
    ["#{label_words(sheet).capitalize}, sheet #{sheet.page}", ("blank" if sheet.blank),
      reason && "ended because #{reason}", found && "#{found} findings"].compact.join(", ")
  end

  # Findings about pages on each sheet, {page => [Finding, …]}.
  def findings_by_sheet
    @findings_by_sheet ||= manuscript.check.on_document
      .select { |one| one.rule.start_with?("pagination.") && one.paragraph }.group_by { |one| page_of(one) }
  end

  # A finding on a blank page is about that page, whichever paragraph it began with.
  def page_of(finding)
    (finding.rule == "pagination.blank_page") ? finding.cause.last : last_page_of(finding)
  end

  def last_page_of(finding)
    list = pages.sheets_of(finding.paragraph)
    (finding.rule == "pagination.widow") ? list.last&.page : list.first&.page
  end

  def findings_on(sheet)
    findings_by_sheet.fetch(sheet.page, [])
  end

  def worst_on(sheet)
    findings_on(sheet).map(&:severity).min_by { |severity| Norvel::Guide::Check::SEVERITIES.index(severity) }
  end

  # Where in the paper's margin the marks of other findings stand: ticks as one path a severity.
  def ticks_on(sheet)
    seen = {}
    found = Hash.new { |all, severity| all[severity] = +"" }
    sheet.each_line do |line|
      id = line.block.paragraph.id
      next if line.block.beside? || seen[id]
      seen[id] = true
      worst = worst_at(id) or next
      tall = [line.height.round, 6].max
      found[worst] << "M#{(section_width(sheet) - 16).round} #{line.top.round}h10v#{tall}h-10z"
    end
    found
  end

  def worst_at(id)
    severities = (manuscript.check.on(id) || []).map(&:severity)
    %w[must should].find { |severity| severities.include?(severity) }
  end

  def section_of_sheet(sheet)
    document.sections[sheet.section - 1] || document.sections.last
  end

  # The paper of a sheet, as the box that its drawing is seen in.
  def sheet_box(sheet, whose)
    section = whose.sections[sheet.section - 1] || whose.sections.last
    "0 0 #{section.width.round} #{section.height.round}"
  end

  def section_width(sheet)
    section_of_sheet(sheet).width
  end

  # The height of a finding's mark on its sheet, points from the top.
  def mark_top(finding, sheet)
    return sheet.frame.bottom - 10 if %w[pagination.stranded_heading pagination.orphan].include?(finding.rule)
    sheet.frame.top + 10
  end

  # Why a page ended, as a sentence with the paragraph that asks.
  def ended_words(sheet)
    return "It is blank, so that the next section begins on its side." if sheet.blank
    return "It is full." if sheet.ended_by == :full
    "Ended here: #{REASONS.fetch(sheet.ended_by)}."
  end

  # What of the page is left empty at its foot, where that is a line or more.
  def short_words(sheet)
    "#{spoken_mm(sheet.spare)} are left." unless sheet.blank || sheet.spare < 8
  end

  # The paragraph that asked for a page's end.
  def asker_of(sheet)
    block = sheet.asker or return
    paragraph = block.is_a?(Norvel::Layout::TextBlock) ? block.paragraph : first_in(block)
    paragraph if paragraph && document.include?(paragraph.id) && !paragraph.blank?
  end

  def first_in(table)
    cells = table.rows.flat_map(&:cells)
    cells.flat_map { |cell| cell.flow.blocks }.grep(Norvel::Layout::TextBlock).first&.paragraph
  end

  # Figures of the whole: {words => figure}.
  def pages_figures
    sheets = pages.sheets
    short = sheets.count { |sheet| SIGNS.key?(sheet.ended_by) && !sheet.blank }
    {"Sheets" => sheets.size, "Blank" => sheets.count { |sheet| empty?(sheet) },
     "Ended before they were full" => short,
     "With estimated line ends" => sheets.count { |sheet| pages.estimated?(sheet) }}
  end

  # The sheet that a person asks for, by its label, by “sheet 12”, else by words on it; [sheet, paragraph].
  def sheet_for(asked)
    asked = asked.to_s.strip
    return if asked.empty?
    labelled = pages.labelled(asked).reject(&:blank).first and return [labelled, nil]
    number = asked[/\Asheet\s+(\d+)\z/i, 1] and return [pages.sheets[number.to_i - 1], nil]
    wanted = asked.downcase
    paragraph = document.paragraphs.find { |one| one.text.downcase.include?(wanted) } or return
    [pages.sheet_of(paragraph.id), paragraph]
  end

  # What is set on pages needs them: waits until they are worked out. Where they take too long, or can't be, nothing
  # that was typed is lost.
  def wait_for_pages
    return if @pages ||= Desk.pages_now(manuscript)
    message = no_pages ? "Pages can't be worked out, so nothing was done: #{no_pages}" : PAGES_LATE
    redirect to(path_to("sheets")), 303 if request.get?
    halt 422, lost_page(message)
  end

  def chosen_sheet(number)
    sheet = (pages.sheets[number.to_i - 1] if number.to_i.positive?)
    sheet or raise Norvel::Refused, "There is no sheet #{number}: the document has #{pages.sheets.size}."
  end

  def finding_key(finding)
    Digest::SHA256.hexdigest([finding.rule, finding.cause, finding.paragraph].inspect)[0, 12]
  end
end
