# frozen_string_literal: true

require "cgi"

# Columns of unequal width (ISO/IEC 29500-1 17.6.3, ISO/IEC 26300-1 17.13): each line stands in the measure of its
# column, also of a paragraph that goes on in the next. Line ends: Chromium's, of each column's words in its measure.
RSpec.describe "columns of unequal width" do
  include ChromiumLines

  before(:all) { Browser.boot }

  columns = [[280.0, 20.0], [151.3, 0.0]]
  prose = Demo::Prose.new(3)
  texts = Array.new(24) { prose.paragraph(2..9) }

  define_method(:docx_in_columns) do |texts, widths: columns, &block|
    look = '<w:rFonts w:ascii="Times New Roman" w:hAnsi="Times New Roman"/><w:sz w:val="24"/>'
    lines = '<w:spacing w:after="400" w:line="400" w:lineRule="exact"/><w:widowControl w:val="0"/><w:jc w:val="left"/>'
    cols = widths.map { |width, gap| %(<w:col w:w="#{(width * 20).round}" w:space="#{(gap * 20).round}"/>) }.join
    body = texts.map { |text| p(r(text, look), lines) }
    docx((block ? block.call(body) : body).join + '<w:sectPr><w:pgSz w:w="11906" w:h="16838"/><w:pgMar ' \
      'w:top="1440" w:right="1440" w:bottom="1440" w:left="1440" w:header="0" w:footer="0" w:gutter="0"/>' +
      %(<w:cols w:num="9" w:equalWidth="0">#{cols}</w:cols></w:sectPr>))
  end

  # [[measure of the column, [words of a line, …]], …] of what of each paragraph stands in each column.
  def pieces(document)
    Norvel::Layout.of(document).sheets.flat_map do |sheet|
      sheet.bands.flat_map do |_, _, column|
        column.pieces.map do |piece|
          room = piece.block.lines[piece.from].room
          placed = (piece.from...piece.to).map { |line| Norvel::Layout::Placed.new(piece.block, line, 0, 0) }
          [room.round(1), placed.map(&:text)]
        end
      end
    end
  end

  it "hold lines of their own measure, which end as Chromium's do, also where a paragraph goes on in the next" do
    document = docx_in_columns(texts)
    found = pieces(document)
    expect(found.map(&:first).uniq).to match_array [280.0, 151.3]
    expect(found.size).to be > texts.size # some go on in the next
    found.group_by(&:first).each do |measure, list|
      whole = list.map { |_, lines| lines.join(" ").squeeze(" ").strip }
      theirs = chromium_ends(whole, face: "LiberationSerif-Regular.ttf", size: 12, measure:)
      ours = list.zip(whole).map do |(_, lines), text|
        lines.drop(1).inject([[], lines.first.strip.size]) { |(ends, at), line|
          [[*ends, text.index(line.strip, at)], at + 1 + line.strip.size]
        }.first
      end
      expect(ours).to eq theirs
    end
    expect(Norvel::Layout.of(document).estimates).to eq []
  end

  it "keep all words in their order, tables and breaks among them, and stand alike however they came to be" do
    document = docx_in_columns(texts) { |paragraphs|
      paragraphs.insert(5, table([["Low water", "2.1"], ["High water", "5.4"]]))
      paragraphs.insert(9, p('<w:r><w:br w:type="column"/></w:r>'))
    }
    said = Norvel::Layout.of(document).sheets.flat_map { |sheet| sheet.lines.map(&:text) }.join(" ").split
    expect(said).to eq document.paragraphs.map(&:text).join(" ").split
    changed = Norvel::Edits::Retype.new(3, "#{document.paragraph(3).raw_text} and a word").apply(document).after
    known = Norvel::Layout.of(changed, known: Norvel::Layout.of(document))
    lines = ->(pages) { pages.sheets.map { |sheet| sheet.lines.map { |line| [line.text, line.left, line.baseline] } } }
    expect(lines[known]).to eq lines[Norvel::Layout.of(changed.with)]
  end

  it "go along to the other format and back" do
    document = docx_in_columns(texts.first(3))
    odt = Norvel::Formats.read(Norvel::Formats.write(document, as: "odt").bytes, name: "a.odt")
    back = Norvel::Formats.read(Norvel::Formats.write(odt, as: "docx").bytes, name: "b.docx")
    [document, odt, back].each do |one|
      widths = one.sections.last.unequal_columns
      expect(widths.flatten.zip(columns.flatten).map { |is, was| (is - was).abs }).to all be < 0.6
    end
  end

  it "go along with the grid that lines stand on" do
    document = docx_in_columns(texts.first(2))
    section = document.sections.last.with(line_grid: {type: "lines", pitch: 18.0, characters: nil}.freeze)
    written = Norvel::Formats.write(document.with(sections: [section]), as: "odt")
    odt = Norvel::Formats.read(written.bytes, name: "a.odt")
    back = Norvel::Formats.read(Norvel::Formats.write(odt, as: "docx").bytes, name: "b.docx")
    expect([odt, back].map { |one| one.sections.last.line_grid }).to eq [section.line_grid] * 2
  end

  it "of any width that a file may tell are laid out" do
    [[[0.0, 0.0], [0.0, 0.0]], [[5000.0, 5000.0], [1.0, 0.0]], [[1.0, 400.0], [400.0, 0.0]]].each do |widths|
      expect(Norvel::Layout.of(docx_in_columns(texts.first(2), widths:)).sheets).not_to be_empty
    end
  end

  it "are alike again where their number is set" do
    document = docx_in_columns(texts.first(3))
    section = document.sections.last
    three = document.with(sections: [section.with(columns: 3)])
    again = reread(three).sections.last
    expect([again.columns, again.unequal_columns, section.columns]).to eq [3, nil, 2]
  end
end
