# frozen_string_literal: true

# ISO/IEC 29500-1 20.4.2.5: descr of wp:docPr. WCAG 2.2, 1.1.1: non-text content has an alternative in words.
RSpec.describe "images and what is said of them" do
  def drawing(attributes = "", inside = "")
    image(1).sub('<wp:docPr id="1" name="Picture 1"/>',
      %(<wp:docPr id="1" name="Picture 1"#{attributes}>#{inside}</wp:docPr>))
  end

  let(:decoration) do
    '<a:extLst><a:ext uri="x"><adec:decorative xmlns:adec="urn:example:decorative" val="1"/></a:ext></a:extLst>'
  end
  let(:document) do
    docx(p(drawing) + p(r("Text")) + p(drawing(' descr="A tide curve"')) + p(drawing("", decoration)) +
      p('<w:r><w:pict><v:shape xmlns:v="urn:schemas-microsoft-com:vml" alt="An old chart"/></w:pict></w:r>'),
      image: Demo::Picture.png)
  end

  def said(document) = document.pictures.map(&:description)

  it "reads descriptions, decoration, and where the bytes are" do
    expect(document.pictures.map { |picture|
      [picture.paragraph, picture.description, picture.decorative,
        picture.path]
    }).to eq [
      [1, nil, false, "word/media/image1.png"], [3, "A tide curve", false, "word/media/image1.png"],
      [4, nil, true, "word/media/image1.png"], [5, "An old chart", false, nil]
    ]
  end

  it "describes them, in the file too, and takes it back" do
    change = Norvel::Edits::DescribePictures.new({1 => " The mill \n at low water ", 4 => ""}).apply(document)
    expect([said(change.after), said(reread(change.after))])
      .to eq [["The mill at low water", "A tide curve", nil, nil]] * 2
    expect(change.title).to eq "Describe 2 images"
    expect(said(change.take_back(change.after))).to eq said(document)
    expect(said(Norvel::Snapshot.load(Norvel::Snapshot.dump(change.after, document), document)))
      .to eq said(change.after)
    expect(written(change.take_back(change.after))).to eq written(document)
  end

  it "marks as decoration what shows nothing, in the file too; what can't hold the mark says so" do
    shown = docx(p(image(1)) + p(image(2)), image: Demo::Picture.png)
    marked = Norvel::Edits::DescribePictures.new({1 => "A mill"}, decorative: {2 => true}).apply(shown)
    expect(marked.title).to eq "Describe image 1; Mark image 2 as decoration"
    expect([marked.after, reread(marked.after)].map { |one| one.pictures.map(&:decorative) }).to eq [[false, true]] * 2
    expect(written(marked.take_back(marked.after))).to eq written(shown)
    plain = Norvel::Edits::DescribePictures.new({}, decorative: {2 => false}).apply(reread(marked.after)).after
    expect(reread(plain).pictures.map(&:decorative)).to eq [false, false]
    odt = Norvel::Formats.write(marked.after, as: "odt")
    expect(odt.carried.not_carried.map { |one| [one.what, one.count] }).to eq [["marks of images as decoration", 1]]
    other = Norvel::Formats.read(odt.bytes, name: "a.odt")
    expect { Norvel::Edits::DescribePictures.new({}, decorative: {1 => true}).apply(other) }
      .to raise_error(Norvel::Refused, /can't mark an image as decoration/)
  end

  it "refuses what is no description" do
    expect { Norvel::Edits::DescribePictures.new({9 => "x"}).apply(document) }
      .to raise_error(Norvel::Refused, /Image 9 is not/)
    expect { Norvel::Edits::DescribePictures.new({1 => "x" * 3000}).apply(document) }
      .to raise_error(Norvel::Refused, /is text/)
  end

  it "finds those that have none and are no decoration" do
    guide = Norvel::Guide.new("norvel_guide: 1\nname: T\naccessible: {alt_text: require}")
    found = Norvel::Guide::Check.new(guide, document).findings
    expect(found.map { |finding| [finding.rule, finding.paragraph, finding.severity] })
      .to eq [["accessible.alt_text", 1, "must"]]
  end

  it "are announced by their descriptions, decoration not at all" do
    expect(Norvel::Survey::ReadAloud.new(document).lines.map { |line| [line.announced, line.text] })
      .to eq [["image, no description", ""], ["text", "Text"], ["image", "A tide curve"], ["image", "An old chart"]]
  end

  it "asks for none of a box of text, whose text is read" do
    box = '<w:r><w:drawing><wp:inline><wp:docPr id="7" name="Box"/><a:graphic><a:graphicData uri="u"><w:txbxContent>' \
      "<w:p><w:r><w:t>inside</w:t></w:r></w:p></w:txbxContent></a:graphicData></a:graphic></wp:inline>" \
      "</w:drawing></w:r>"
    expect(docx(p(box)).pictures).to be_empty
  end
end
