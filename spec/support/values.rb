# frozen_string_literal: true

# Documents made of values, as no file says them: what layout, guide and edits are told by a reader of any format. The
# conventions are those of one format, since every document has some.
#   made(p("Sources", style: "Heading1") + p(r("bold", bold: true) + r(" and plain"), align: "center"),
#     styles: style("Heading1", "heading 1", outline_level: 1, size: 16.0))
module Values
  FORMAT = Norvel::Formats["docx"]
  NOTHING = Norvel::Styles::PropertySet::EMPTY
  PAGE = {width: 595.3, height: 841.9, margin_top: 72.0, margin_bottom: 72.0, margin_left: 72.0, margin_right: 72.0,
          header: 36.0, footer: 36.0, columns: 1, gutter: 0.0, mirrored: false, starts: "next_page",
          number_format: "decimal", title_page: false}.freeze
  INFO = {title: nil, author: nil, subject: nil, language: nil, keywords: nil}.freeze

  # [A run]: its letters, a character style, what is set on it by hand.
  def r(text, style: nil, **direct)
    [Norvel::Document::Run.new(text, style, set(**direct))]
  end

  # [The raised mark of a note].
  def note(id)
    mark = Norvel::Document::NoteMark.new(of: "footnote", note: id&.to_s)
    [Norvel::Document::Run.new(Norvel::Document::Run::NOTE, nil, set(position: "super"), nil, [mark].freeze)]
  end

  # [A paragraph] of runs or of plain text. mark: what is set on its mark.
  def p(runs, style: nil, mark: {}, **direct)
    runs = runs.empty? ? [] : r(runs) if runs.is_a?(String)
    numbered = runs.each_with_index.map { |run, place| run.dup.tap { |one| one.source = place } }
    [Norvel::Document::Paragraph.new(nil, :body, 1, style, set(**direct), set(**mark), numbered.freeze)]
  end

  # [A style]; values: what it sets, on paragraphs or letters as the property table says.
  def style(id, name, based_on: nil, next_id: nil, type: "paragraph", default: false, **values)
    lines, letters = levels_of(values)
    [Norvel::Styles::Style.new(id:, name:, type:, based_on:, next_id:, default:, paragraph: lines, run: letters)]
  end

  # What a document sets for all text; size in half points, as Documents.defaults has it.
  def defaults(font, half_points)
    {font:, size: half_points / 2.0}
  end

  # A table among paragraphs: rows of cells, each its paragraphs or its words.
  Cells = Struct.new(:rows)
  WIDE = 120.0 # points, of every column

  # [A table]
  def table(rows)
    [Cells.new(rows.map { |row| row.map { |cell| cell.is_a?(String) ? p(cell) : cell } })]
  end

  # [A footnote]
  def footnote(id, text)
    [Norvel::Document::Story.new(kind: "footnote", id: id.to_s, paragraphs: p(note(nil) + r(" #{text}", size: 9.0)))]
  end

  # defaults: what the document sets for all text; page: of its section, over PAGE; footer: its paragraphs
  def made(blocks, styles: [], defaults: {}, page: {}, footnotes: [], footer: nil, **fields)
    foot = footer && Norvel::Document::Story.new(kind: "footer", id: "foot", section: 1, which: "default",
      paragraphs: footer)
    section = Norvel::Document::Section.new(**PAGE, heads: foot ? {footer: {default: foot.id}} : {}, **page)
    Norvel::Document.new(format: FORMAT.name, name: "made", conventions: FORMAT.conventions, info: INFO, source: nil,
      paragraphs: with_ids(blocks), tables: tables_in(blocks), stories: beside_text([*footnotes, *foot]),
      styles: style_sheet_of(styles, defaults), numbering: Norvel::Document::Numbering.new,
      sections: [section].freeze, page_styles: [].freeze, settings: Norvel::Document::Settings.new, **fields)
  end

  # The bytes of a file of it: a new one unless it came from one.
  def written(document)
    return super if document.source
    FORMAT.builder.call(document, Norvel::Formats::CarryReport.new)
  end

  private

  # [what is set on paragraphs, what is set on letters]
  def levels_of(values)
    values.partition { |slot, _| Norvel::Styles::Properties[slot].on == :paragraph }.map { |one| set(**one.to_h) }
  end

  def style_sheet_of(styles, defaults)
    styles = style("Normal", "Normal", default: true) + styles if styles.none?(&:default)
    lines, letters = levels_of(defaults)
    Norvel::Styles::StyleSheet.new(styles: styles.to_h { |one| [one.id, one] }, paragraph_defaults: lines,
      run_defaults: letters)
  end

  # Paragraphs in reading order, those in cells with the number of their cell.
  def with_ids(blocks)
    cells = 0
    blocks.flat_map { |block|
      next block unless block.is_a?(Cells)
      block.rows.flatten(1).flat_map { |inside| in_cell(inside, cells += 1) }
    }.each.with_index(1).map { |paragraph, id| paragraph.with(id:, source: id - 1) }.freeze
  end

  def in_cell(paragraphs, number)
    look = Norvel::Document::CellLook.new(nil, [])
    inside = paragraphs.map { |one| one.with(part: :table, container: number, table: look) }
    [*inside[0...-1], inside.last.with(holds: :last_in_cell)]
  end

  def tables_in(blocks)
    cells = 0
    blocks.grep(Cells).each.with_index(1).map { |table, id|
      rows = table.rows.map { |row|
        Norvel::Document::Row.new(cells: row.map {
          Norvel::Document::Cell.new(id: cells += 1,
            width: {rule: "exact", value: WIDE})
        })
      }
      Norvel::Document::Table.new(id:, rows:, grid: [WIDE] * table.rows.first.size)
    }.freeze
  end

  def beside_text(stories)
    stories.each.with_index(1).map { |story, number|
      story.with(paragraphs: Norvel::Document::Story.apart(with_ids(story.paragraphs), number))
    }.freeze
  end
end
