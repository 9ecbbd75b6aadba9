# frozen_string_literal: true

# The set-up of pages where it is seen: on one sheet, by dragging its edges or by typing values.
module SetupView
  # Of a form: what is set, in its order.
  FIELDS = %i[margin_top margin_bottom margin_left margin_right header footer columns].freeze
  PAPERS = %w[A4 A5 B5 Letter Legal A3].freeze
  WAYS = {"upright" => "upright", "lying" => "on its long side"}.freeze
  BOUND = {margin_left: "Inside", margin_right: "Outside"}.freeze
  NEAR = 2 # sheets that are shown on each side of this one

  # An edge that can be dragged: the value it is, where it stands, does it run upright, which way it grows.
  Edge = Struct.new(:name, :at, :upright, :way)

  def setup_label(name)
    (document.settings.mirrored && BOUND[name]) || Norvel::Document::PageStyle::LABELS[name]
  end

  def setup_value(section, name)
    sent = params.dig(:of_page, name.to_s) and return sent
    (name == :columns) ? section.columns.to_s : length_words(section[name])
  end

  # Where a set-up holds: {"section" => "section 2", …}
  def setup_scopes(sheet)
    style = page_style_of(sheet)
    many = document.sections.size > 1
    {"section" => (many ? "section #{sheet.section}" : "the document"),
     "style" => (style && "all in #{style.name}" if many), "document" => ("the whole document" if many)}.compact
  end

  def page_style_of(sheet)
    document.page_styles.find { |style| style.worn_by?(section_of_sheet(sheet)) }
  end

  # Edges of the text on a sheet, and of its head and foot.
  def setup_edges(sheet)
    section, frame = section_of_sheet(sheet), sheet.frame
    left, right = flipped?(sheet) ? %i[margin_right margin_left] : %i[margin_left margin_right]
    [Edge.new(left, frame.left, true, 1), Edge.new(right, frame.right, true, -1),
      Edge.new(:margin_top, section.margin_top, false, 1),
      Edge.new(:margin_bottom, section.height - section.margin_bottom, false, -1),
      Edge.new(:header, section.header, false, 1), Edge.new(:footer, section.height - section.footer, false, -1)]
  end

  # Are inside and outside the other way round on it?
  def flipped?(sheet)
    document.settings.mirrored && sheet.side == "left"
  end

  # Papers to choose from, with that of the section among them.
  def papers(section)
    own = paper_of(section)
    [*PAPERS, *(own unless PAPERS.include?(own))]
  end

  def paper_of(section)
    Norvel::PaperSizes.name_of(*[section.width, section.height].minmax, 1.0) || "as it is"
  end

  # A table on the sheet that could have a sheet on its long side: one of its paragraphs.
  def table_to_turn(sheet)
    sheet.paragraphs.find { |paragraph| Norvel::Edits::TurnPage.possible?(document, paragraph) }
  end

  # The edit that the form asks for. Raises Refused.
  def setup_edit(sheet)
    return Norvel::Edits::TurnPage.new(whole(:turn)) if params[:turn]
    section = section_of_sheet(sheet)
    values = {**typed_setup(section), **sent_paper(section)}
    mirrored = params[:mirrored] == "yes"
    edits = [(scoped(sheet, values) if values.any?),
      (Norvel::Edits::MirrorMargins.new(mirrored) unless mirrored == document.settings.mirrored)].compact
    raise Norvel::Refused, "The pages are set up so already." if edits.empty?
    (edits.size == 1) ? edits.first : Norvel::Edits::Several.new(edits)
  end

  # Sheets around this one, as they are and as they would be.
  def setup_sheets(sheet, whose)
    sheets = Norvel::Layout.pages(whose).sheets
    sheets[[sheet.page - 1 - NEAR, 0].max, (2 * NEAR) + 1] || sheets.last(1)
  end

  private

  def typed_setup(section)
    (params[:of_page] || {}).filter_map { |name, text|
      name = name.to_sym
      next if !FIELDS.include?(name) || text.strip.empty? || text.strip == plain_setup(section, name)
      [name, (name == :columns) ? typed_columns(text) : typed_length(text)]
    }.to_h
  end

  def plain_setup(section, name)
    (name == :columns) ? section.columns.to_s : length_words(section[name])
  end

  # The sheet that is asked for, where it is another.
  def sent_paper(section)
    across, along = [section.width, section.height].minmax
    across, along = Norvel::PaperSizes[params[:paper]] if PAPERS.include?(params[:paper]) && params[:paper] !=
      paper_of(section)
    lies = WAYS.key?(params[:lies]) ? params[:lies] == "lying" : section.landscape?
    width, height = lies ? [along, across] : [across, along]
    ([width, height] == [section.width, section.height]) ? {} : {width:, height:}
  end

  def scoped(sheet, values)
    style = page_style_of(sheet)
    return Norvel::Edits::ChangePageStyle.new(style.name, values) if params[:scope] == "style" && style
    sections = (params[:scope] == "document") ? (1..document.sections.size).to_a : [sheet.section]
    Norvel::Edits::SetPage.new(sections, values)
  end
end
