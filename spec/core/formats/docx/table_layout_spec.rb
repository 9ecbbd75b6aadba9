# frozen_string_literal: true

# ISO/IEC 29500-1 17.7.6 and 17.4.55: which conditional formats reach a cell.
RSpec.describe Norvel::Formats::Docx::TableLayout do
  let(:conditions) do
    %w[wholeTable band1Horz band2Horz band1Vert band2Vert firstRow lastRow firstCol lastCol nwCell neCell swCell seCell]
  end

  let(:styles) do
    inside = conditions.map { |name| %(<w:tblStylePr w:type="#{name}"><w:rPr><w:b/></w:rPr></w:tblStylePr>) }.join
    %(<w:style w:type="table" w:styleId="T"><w:name w:val="T"/>#{inside}</w:style>)
  end

  # The conditions of every cell of a table of 4 rows and 4 columns.
  def cells(look)
    cell = "<w:tc>#{p(r("x"))}</w:tc>"
    table = %(<w:tbl><w:tblPr><w:tblStyle w:val="T"/>#{look}</w:tblPr>#{"<w:tr>#{cell * 4}</w:tr>" * 4}</w:tbl>)
    docx(table, styles:).paragraphs.map { |paragraph| paragraph.table.conditions }.each_slice(4).to_a
  end

  it "goes by the bits of w:tblLook" do
    grid = cells('<w:tblLook w:val="04A0"/>')
    expect(grid[0][0]).to eq %w[wholeTable firstRow firstCol nwCell]
    expect(grid[0][1]).to eq %w[wholeTable firstRow]
    expect(grid[1][0]).to eq %w[wholeTable band1Horz firstCol]
    expect(grid[1][1]).to eq %w[wholeTable band1Horz]
    expect(grid[2][1]).to eq %w[wholeTable band2Horz]
    expect(grid[3][3]).to eq %w[wholeTable band1Horz]
  end

  it "goes by the attributes where they are there" do
    grid = cells('<w:tblLook w:firstRow="1" w:lastRow="1" w:firstColumn="0" w:lastColumn="1" w:noHBand="1" ' \
      'w:noVBand="0"/>')
    expect(grid[0][0]).to eq %w[wholeTable band1Vert firstRow]
    expect(grid[0][3]).to eq %w[wholeTable firstRow lastCol neCell]
    expect(grid[1][1]).to eq %w[wholeTable band2Vert]
    expect(grid[3][3]).to eq %w[wholeTable lastRow lastCol seCell]
  end

  it "has none without conditions in the style" do
    plain = %(<w:tbl><w:tr><w:tc>#{p(r("x"))}</w:tc></w:tr></w:tbl>)
    expect(docx(plain).paragraphs[0].table.conditions).to eq []
  end

  it "shares one place among cells that stand alike" do
    cell = "<w:tc>#{p(r("x"))}</w:tc>"
    document = docx(%(<w:tbl><w:tblPr><w:tblStyle w:val="T"/></w:tblPr>#{"<w:tr>#{cell * 4}</w:tr>" * 4}</w:tbl>),
      styles:)
    expect(document.paragraphs.map(&:table).uniq(&:object_id).size).to be < 10
  end
end
