# frozen_string_literal: true

# ISO/IEC 29500-1 17.7.4.6: a paragraph and a character style that name each other are one to people.
RSpec.describe "linked styles" do
  def linked(id, name, other, type: "paragraph", rpr: "<w:b/>")
    style(id, name, type:, rpr:).sub("<w:qFormat/>", %(<w:link w:val="#{other}"/><w:qFormat/>))
  end

  let(:styles) do
    linked("Key", "Key Term", "KeyChar") + linked("KeyChar", "Key Term Char", "Key", type: "character") +
      linked("Other", "Other", "OtherChar", rpr: "") + linked("OtherChar", "Other Char", "Other", type: "character",
        rpr: "<w:i/>")
  end
  let(:document) do
    docx(p(r("Text"), '<w:pStyle w:val="Key"/>') + p(r("A ") + r("word", '<w:rStyle w:val="KeyChar"/>')), styles:)
  end

  it "knows the twin of a style, and that a one-sided link is none" do
    expect(document.styles.twin(document.styles["Key"]).id).to eq "KeyChar"
    one_sided = document.with(styles: document.styles.put(document.styles["KeyChar"].with(link: nil)))
    expect(one_sided.styles.twin(one_sided.styles["Key"])).to be_nil
  end

  it "changes letters of both, and lines of the paragraph style alone" do
    after = reread(Norvel::Edits::ChangeStyle.new("Key", {size: 9.0, space_after: 4.0}).apply(document).after)
    expect(after.styles["Key"].paragraph[:space_after]).to eq 4.0
    expect(%w[Key KeyChar].map { |id| after.styles[id].run[:size] }).to eq [9.0, 9.0]
    expect(after.styles["KeyChar"].paragraph).to be_empty
  end

  it "changes both from the character style too, and lets both inherit again" do
    after = Norvel::Edits::ChangeStyle.new("KeyChar", {bold: nil}).apply(document).after
    expect(%w[Key KeyChar].map { |id| after.styles[id].run.key?(:bold) }).to eq [false, false]
  end

  it "renames both" do
    after = Norvel::Edits::RenameStyle.new("Key", "Term").apply(document).after
    expect(%w[Key KeyChar].map { |id| after.styles[id].name }).to eq ["Term", "Term Char"]
  end

  it "deletes both, and words go where the text goes" do
    plain = Norvel::Edits::DeleteStyles.new(["Key"]).apply(document).after
    expect([plain.styles["KeyChar"], plain.paragraphs[1].runs.map(&:style_id)]).to eq [nil, [nil, nil]]
    merged = Norvel::Edits::MergeStyles.new("Key", "Other").apply(document).after
    expect([merged.paragraphs[0].style_id, merged.paragraphs[1].runs[1].style_id]).to eq %w[Other OtherChar]
    expect(reread(merged).styles.twin(merged.styles["Other"]).id).to eq "OtherChar"
  end

  it "refuses lines for a character style" do
    expect { Norvel::Edits::ChangeStyle.new("KeyChar", {space_after: 4.0}).apply(document) }
      .to raise_error(Norvel::Refused, /belongs to paragraphs/)
    expect { Norvel::Edits::DefineStyle.new("New", type: "character", values: {align: "center"}).apply(document) }
      .to raise_error(Norvel::Refused, /letters only/)
    expect { Norvel::Edits::DefineStyle.new("New", type: "character", based_on: "Key").apply(document) }
      .to raise_error(Norvel::Refused, /paragraph style/)
  end

  it "makes a character style" do
    after = Norvel::Edits::DefineStyle.new("Ship Name", type: "character", values: {italic: true}).apply(document).after
    expect(reread(after).styles["ShipName"].to_h.slice(:name, :type, :custom))
      .to eq(name: "Ship Name", type: "character", custom: true)
  end
end

RSpec.describe "places, sleeping styles and fonts in the file" do
  let(:latent) do
    '<w:latentStyles w:defUIPriority="99"><w:lsdException w:name="Body Text" w:uiPriority="42" w:unhideWhenUsed="1"/>' \
      "</w:latentStyles>"
  end
  let(:document) do
    docx(p(r("x"), '<w:pStyle w:val="B"/>'), defaults: latent, styles: style("A", "Alpha") + style("B", "Beta") +
      style("C", "Gamma"))
  end

  def names(document) = document.styles.ordered("paragraph").map(&:name)

  it "orders styles by their place, then by name (17.7.4.19)" do
    expect(names(document)).to eq %w[Alpha Beta Gamma Normal]
    placed = Norvel::Edits::PlaceStyle.new("C", before: "A").apply(document).after
    expect(names(reread(placed))).to eq %w[Gamma Alpha Beta Normal]
    expect(names(Norvel::Edits::PlaceStyle.new("C", before: nil).apply(placed).after)).to eq %w[Alpha Beta Normal Gamma]
    expect { Norvel::Edits::PlaceStyle.new("A", before: "Nowhere").apply(document) }
      .to raise_error(Norvel::Refused, /one kind/)
  end

  # 17.7.4.5: what the list says of a style that the file does not define holds once it does; the list itself stays.
  it "wakes a built-in style as the list of sleeping ones says" do
    xml = part(written(Norvel::Edits::DefineStyle.new("Body Text").apply(document).after), "word/styles.xml")
    expect(xml[%r{w:styleId="BodyText".*?</w:style>}m])
      .to include('<w:uiPriority w:val="42"/><w:unhideWhenUsed w:val="1"/>')
    expect(xml).to include latent
  end

  # 17.8.3: the class of a font helps a reader that lacks it.
  it "tells the font table of a new font, where there is a table" do
    table = '<w:fonts xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:font w:name="Arial"/>' \
      "</w:fonts>"
    bytes = package(p(r("x")))
    rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
      %(<Relationship Id="rId8" Type="#{Demo::Package::R}/fontTable" Target="fontTable.xml"/></Relationships>))
    document = Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels,
      "word/fontTable.xml" => table), name: "x")
    changed = Norvel::Edits::ChangeStyle.new("Normal", {font: "Courier New"}).apply(document).after
    expect(part(written(changed), "word/fontTable.xml"))
      .to include('<w:font w:name="Arial"/><w:font w:name="Courier New"><w:charset w:val="00"/><w:family ' \
      'w:val="modern"/><w:pitch w:val="fixed"/></w:font>')
    known = Norvel::Edits::ChangeStyle.new("Normal", {font: "Arial"}).apply(document).after
    expect(part(written(known), "word/fontTable.xml")).to eq table
  end
end
