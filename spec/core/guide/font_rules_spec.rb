# frozen_string_literal: true

# Fonts that the file holds. Source: ISO/IEC 29500-1 17.8.3.3 (embedRegular); ODF 1.3 part 3, 19.527
# (svg:font-face-src).
RSpec.describe Norvel::Guide::Rules::FontRules do
  guide = Norvel::Guide.new("norvel_guide: 1\nname: G\nfonts: {embedded: require}\n")

  def found(document, guide)
    Norvel::Guide::Check.new(guide, document).findings.map { |one| [one.rule, one.found, one.paragraph, one.severity] }
  end

  let(:bytes) do
    package(p(r("Set in the base font.")) + p(r("In another", '<w:rFonts w:ascii="Caladea" w:hAnsi="Caladea"/>')) +
      p(r("Again.", '<w:rFonts w:ascii="Caladea" w:hAnsi="Caladea"/>')), defaults: defaults("Carlito", 22))
  end

  def with_table(fonts)
    rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
      %(<Relationship Id="rId9" Type="#{Demo::Package::R}/fontTable" Target="fontTable.xml"/></Relationships>))
    table = fonts.map { |name, face| %(<w:font w:name="#{name}"><w:family w:val="roman"/>#{face}</w:font>) }.join
    spaces = %(xmlns:w="#{Demo::Package::W}" xmlns:r="#{Demo::Package::R}")
    repackage(bytes, "word/_rels/document.xml.rels" => rels,
      "word/fontTable.xml" => "<w:fonts #{spaces}>#{table}</w:fonts>")
  end

  it "tells each font that is not in the file once, where it stands first" do
    expect(found(Norvel::Formats.read(bytes, name: "a.docx"), guide))
      .to eq [["fonts.embedded", "Carlito", 1, "must"], ["fonts.embedded", "Caladea", 2, "must"]]
  end

  it "knows a font whose face is in a .docx, and that the table alone holds none" do
    held = with_table("Carlito" => '<w:embedRegular r:id="rId20"/>', "Caladea" => "")
    document = Norvel::Formats.read(held, name: "a.docx")
    expect(document.settings.embedded_fonts).to eq ["Carlito"]
    expect(found(document, guide).map { |one| one[1] }).to eq ["Caladea"]
    expect(reread(document).settings).to eq document.settings
  end

  it "knows it in an .odt" do
    faces = %(<style:font-face style:name="G1" svg:font-family="'Gentium Basic'"><svg:font-face-src>) +
      %(<svg:font-face-uri xlink:href="Fonts/g.ttf"/></svg:font-face-src></style:font-face>)
    body = '<text:p text:style-name="P1">In Gentium.</text:p>'
    automatic = '<style:style style:name="P1" style:family="paragraph"><style:text-properties style:font-name="G1"/>' \
      "</style:style>"
    made = OpenDocument.new(body, automatic:).bytes
    content = part(made, "content.xml").sub("</office:font-face-decls>") { "#{faces}#{_1}" }
    document = Norvel::Formats.read(repackage(made, "content.xml" => content), name: "a.odt")
    expect([document.settings.embedded_fonts, found(document, guide)]).to eq [["Gentium Basic"], []]
  end

  it "stays in a saved document" do
    document = Norvel::Formats.read(with_table("Carlito" => '<w:embedBold r:id="rId20"/>'), name: "a.docx")
    again = Norvel::Snapshot.load(Norvel::Snapshot.dump(document, document), document)
    expect(again.settings).to eq document.settings
  end
end
