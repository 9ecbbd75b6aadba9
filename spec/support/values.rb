# frozen_string_literal: true

# Documents made of values, as no file says them: what layout, guide and edits are told by a reader of any format. The
# conventions are those of one format, since every document has some.
#   made(p("Sources", style: "Heading1") + p(r("bold", bold: true) + r(" and plain"), align: "center"),
#     styles: style("Heading1", "Heading 1", outline_level: 1, size: 16.0))
module Values
  FORMAT = Norvel::Formats["docx"]
  PAGE = {width: 595.3, height: 841.9, margin_top: 72.0, margin_bottom: 72.0, margin_left: 72.0, margin_right: 72.0,
          header: 36.0, footer: 36.0, columns: 1, gutter: 0.0, mirrored: false, starts: "next_page",
          number_format: "decimal", title_page: false}.freeze
  INFO = {title: nil, author: nil, subject: nil, language: nil, keywords: nil}.freeze

  # [A run]: its letters, a character style, what it stands in (Link, Field), what is set on it by hand.
  def r(text, style: nil, within: nil, **direct)
    [Norvel::Document::Run.new(text, style, set(**direct), nil, nil, within)]
  end

  # [An object among letters].
  def object(object)
    [Norvel::Document::Run.new(Norvel::Document::Run::OBJECT, nil, set, nil, [object].freeze)]
  end

  # [The raised mark of a note].
  def note(id)
    mark = Norvel::Document::NoteMark.new(of: "footnote", note: id&.to_s)
    [Norvel::Document::Run.new(Norvel::Document::Run::NOTE, nil, set(position: "super"), nil, [mark].freeze)]
  end

  # [What a field shows].
  def field(computes, cached, id: 1, **direct)
    r(cached, within: [Norvel::Document::Field.new(id:, computes:, cached:)], **direct)
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

  # A paragraph that ends a section with this page.
  Ending = Struct.new(:paragraph, :page)

  # [A blank paragraph that ends a section]; page: over PAGE
  def ending(page: {}, **direct)
    [Ending.new(p("", **direct).first.with(holds: :section_break), page)]
  end

  # A list of these levels, {level => ListLevel}: that of the id 1.
  def numbering(levels)
    Norvel::Document::Numbering.new({1 => Norvel::Document::Numbering::Definition.new(levels)},
      {1 => Norvel::Document::Numbering::List.new(1)})
  end

  # A table among paragraphs, its columns so many points wide. borders: of every cell; more: of Document::Table
  Cells = Struct.new(:rows, :wide, :borders, :more)
  Row = Struct.new(:cells, :more)

  # A row of a table; more: of Document::Row.
  def row(cells, **more)
    Row.new(cells.map { |cell| cell.is_a?(String) ? p(cell) : cell }, more)
  end

  # [A table]: rows, or the cells of each; a cell is its paragraphs or its words.
  def table(rows, wide: 120.0, borders: {}, **more)
    [Cells.new(rows.map { |cells| cells.is_a?(Row) ? cells : row(cells) }, wide, borders, more)]
  end

  # [A footnote]
  def footnote(id, text)
    [Norvel::Document::Story.new(kind: "footnote", id: id.to_s, paragraphs: p(note(nil) + r(" #{text}", size: 9.0)))]
  end

  # defaults: what the document sets for all text; page: of its section, over PAGE; footer: its paragraphs
  def made(blocks, styles: [], defaults: {}, page: {}, footnotes: [], footer: nil, **fields)
    foot = footer && Norvel::Document::Story.new(kind: "footer", id: "foot", section: 1, which: "default",
      paragraphs: footer)
    pages = [*blocks.grep(Ending).map(&:page), page]
    pages[0] = {heads: {footer: {default: foot.id}}, **pages[0]} if foot
    Norvel::Document.new(format: FORMAT.name, name: "made", conventions: FORMAT.conventions, info: INFO, source: nil,
      paragraphs: with_ids(blocks), tables: tables_in(blocks), stories: beside_text([*footnotes, foot].compact),
      styles: style_sheet_of(styles, defaults), numbering: Norvel::Document::Numbering.new,
      sections: pages.map { |one| Norvel::Document::Section.new(**PAGE, **one) }.freeze, page_styles: [].freeze,
      settings: Norvel::Document::Settings.new, **fields)
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

  # Paragraphs in reading order with the numbers of their sections, those in cells with that of their cell.
  def with_ids(blocks)
    cells = 0
    told = blocks.slice_after(Ending).each.with_index(1).flat_map do |part, section|
      part.flat_map { |block| paragraphs_of(block) { cells += 1 } }.map { |paragraph| paragraph.with(section:) }
    end
    told.each.with_index(1).map { |paragraph, id| paragraph.with(id:, source: id - 1) }.freeze
  end

  def paragraphs_of(block)
    case block
    when Cells then block.rows.flat_map(&:cells).flat_map { |inside| in_cell(inside, yield) }
    when Ending then [block.paragraph]
    else [block]
    end
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
        width = {rule: "exact", value: table.wide}
        told = row.cells.map { Norvel::Document::Cell.new(id: cells += 1, width:, borders: table.borders) }
        Norvel::Document::Row.new(cells: told, **row.more)
      }
      Norvel::Document::Table.new(id:, rows:, grid: [table.wide] * table.rows.first.cells.size,
        **table.more)
    }.freeze
  end

  def beside_text(stories)
    stories.each.with_index(1).map { |story, number|
      story.with(paragraphs: Norvel::Document::Story.apart(with_ids(story.paragraphs), number))
    }.freeze
  end
end
