# frozen_string_literal: true

# An .odt is written by changing the file that came: what nobody asked to change is as it was, byte by byte or element
# by element, and what is read again is what the document was.
RSpec.describe "Writing an OpenDocument text" do
  def style(name, family: "paragraph", parent: nil, lines: "", letters: "", more: "")
    parent = %( style:parent-style-name="#{parent}") if parent
    lines = "<style:paragraph-properties #{lines}/>" if family == "paragraph"
    %(<style:style style:name="#{name}" ) +
      %(style:family="#{family}"#{parent} #{more}>#{lines}<style:text-properties #{letters}/></style:style>)
  end

  def p(text, style = "Standard") = %(<text:p text:style-name="#{style}">#{text}</text:p>)

  def written(document) = Norvel::Formats.write(document).bytes

  def content(bytes) = Norvel::Formats::Container.new(bytes).read("content.xml").dup.force_encoding("UTF-8")

  def styles_of(bytes) = Norvel::Formats::Container.new(bytes).read("styles.xml").dup.force_encoding("UTF-8")

  def again(document) = Norvel::Formats.read(written(document), name: document.name)

  def apply(document, edit) = edit.apply(document).after

  let(:body_style) do
    style("Body", parent: "Standard", lines: 'fo:margin-bottom="6pt"', letters: 'fo:font-size="11pt"')
  end
  let(:heading) do
    style("Heading_20_1", parent: "Standard", more: 'style:display-name="Heading 1" style:default-outline-level="1"',
      letters: 'fo:font-weight="bold"')
  end
  let(:made) do
    OpenDocument.new(p("A title", "P1") + p('Plain <text:span text:style-name="T1">bold</text:span> words.', "P1") +
      p("More.", "Body"), styles: body_style + heading,
      automatic: style("P1", parent: "Body", lines: 'fo:text-align="center"', letters: 'fo:color="#c00000"') +
      style("T1", family: "text", letters: 'fo:font-weight="bold"'))
  end
  let(:document) { made.document }

  describe "the package (ISO/IEC 26300-3 3.3)" do
    it "begins with its mark, stored, at byte 38" do
      bytes = written(apply(document, Norvel::Edits::PutInStyle.new([1], "Heading_20_1", hand: :stays)))
      expect([bytes[30, 8], bytes[38, 39], bytes[8, 2].unpack1("v")]).to eq ["mimetype", Norvel::Formats::Odt::TYPE, 0]
    end

    it "keeps parts, elements and attributes that it does not know" do
      file = OpenDocument.new(p("<!-- a remark -->A <foo:bar xmlns:foo=\"urn:foo\" foo:x=\"1\"/>line", "P1") +
        p("Other"), automatic: style("P1", lines: 'fo:text-align="center" fo:hyphenation-ladder-count="2"'),
        files: {"Thumbnails/t.png" => "picture"})
      bytes = written(apply(file.document, Norvel::Edits::PutInStyle.new([2], "Standard", hand: :stays)
        .then { Norvel::Edits::Retype.new(2, "Another") }))
      expect(Norvel::Formats::Container.new(bytes).read("Thumbnails/t.png")).to eq "picture"
      expect(content(bytes)).to include('<foo:bar xmlns:foo="urn:foo" foo:x="1"/>', "<!-- a remark -->",
        'fo:hyphenation-ladder-count="2"')
    end

    it "is the same bytes for the same document" do
      changed = apply(document, Norvel::Edits::PutInStyle.new([1], "Heading_20_1", hand: :stays))
      expect(written(changed)).to eq written(changed)
    end

    it "leaves parts alone that nothing changed in" do
      bytes = written(apply(document, Norvel::Edits::PutInStyle.new([1], "Heading_20_1", hand: :stays)))
      expect(styles_of(bytes)).to eq styles_of(made.bytes)
    end
  end

  it "never changes an automatic style, since others share it" do
    bytes = written(apply(document, Norvel::Edits::ClearDirect.new([1])))
    expect(content(bytes)).to include('<style:style style:name="P1"', '<text:p text:style-name="Body">A title</text:p>',
      '<text:p text:style-name="P1">Plain')
  end

  it "takes an automatic style that says the same before it makes another" do
    retyped = apply(document, Norvel::Edits::Retype.new(2, "Plain bolder words."))
    expect(content(written(retyped)).scan('style:family="text"').size).to eq 1
  end

  it "makes a heading of a paragraph that is put in a heading's style, and takes it back" do
    changed = apply(document, Norvel::Edits::PutInStyle.new([1], "Heading_20_1"))
    expect(content(written(changed)))
      .to include '<text:h text:style-name="Heading_20_1" text:outline-level="1">A title</text:h>'
    back = apply(again(changed), Norvel::Edits::PutInStyle.new([1], "Body", hand: :stays))
    expect(content(written(back))).to include '<text:p text:style-name="Body">A title</text:p>'
  end

  it "makes headings where a style becomes one for them" do
    changed = apply(document, Norvel::Edits::ChangeStyle.new("Body", outline_level: 2))
    expect(content(written(changed)).scan("<text:h").size).to eq 3
  end

  it "keeps emphasis as spans when the rest is let go" do
    bytes = written(apply(document, Norvel::Edits::ClearDirect.new([2], keep_emphasis: true)))
    expect(content(bytes)).to include '<text:p text:style-name="Body">Plain <text:span ' \
      'text:style-name="T2">bold</text:span> words.</text:p>', '<style:text-properties fo:font-weight="bold"'
  end

  it "writes spaces so that they survive (6.1.2)" do
    changed = apply(document, Norvel::Edits::Retype.new(3, "  two  and\tthree "))
    expect(content(written(changed)))
      .to include '<text:s text:c="2"/>two<text:s text:c="2"/>and<text:tab/>three<text:s/>'
    expect(again(changed).paragraphs.last.text).to eq "  two  and\tthree "
  end

  it "keeps links, fields, notes and bookmarks where words around them change" do
    inside = 'See <text:a xlink:type="simple" xlink:href="https://ravelmouth.example/">the <text:span ' \
      'text:style-name="T1">page</text:span></text:a> <text:page-number ' \
      'text:select-page="current">4</text:page-number>' \
      '<text:bookmark text:name="here"/> and<text:note text:note-class="footnote">' \
      "<text:note-citation>1</text:note-citation><text:note-body><text:p>note</text:p></text:note-body>" \
      "</text:note> more"
    document = OpenDocument.new(p(inside), automatic: style("T1", family: "text", letters: 'fo:font-weight="bold"'))
      .document
    changed = apply(document,
      Norvel::Edits::Retype.new(1, document.paragraphs.first.raw_text.sub("See", "Look at").sub("more", "no more")))
    changed = apply(changed, Norvel::Edits::ClearDirect.new([1]))
    expect(Norvel::Seal.of(again(changed)).counts).to eq Norvel::Seal.of(document).counts
    expect(content(written(changed)))
      .to include '<text:a xlink:type="simple" xlink:href="https://ravelmouth.example/">the page</text:a>',
        '<text:page-number text:select-page="current">4</text:page-number><text:bookmark text:name="here"/>'
  end

  describe "styles" do
    it "are made, with their display names and levels" do
      changed = apply(document, Norvel::Edits::DefineStyle.new("Key point", based_on: "Body", values: {bold: true}))
      expect(styles_of(written(changed)))
        .to include('<style:style style:name="Key_20_point" style:family="paragraph" style:display-name="Key point" ' \
          'style:parent-style-name="Body"')
    end

    it "are renamed by their display names alone" do
      changed = apply(document, Norvel::Edits::RenameStyle.new("Body", "Running text"))
      expect(styles_of(written(changed)))
        .to include 'style:name="Body" style:family="paragraph" style:parent-style-name="Standard" ' \
        'style:display-name="Running text"'
      expect(again(changed).style_name(again(changed).paragraphs.last)).to eq "Running text"
    end

    it "are changed where they stand, with the words of the file kept for what stays" do
      changed = apply(document, Norvel::Edits::ChangeStyle.new("Body", space_after: 9.0, align: "justify"))
      expect(styles_of(written(changed))).to include 'fo:margin-bottom="9pt" fo:text-align="justify"'
    end

    it "are deleted with nothing pointing at them" do
      changed = apply(document, Norvel::Edits::DeleteStyles.new(["Body"]))
      bytes = written(changed)
      expect(styles_of(bytes)).not_to include 'style:name="Body"'
      expect(content(bytes).scan('text:style-name="Body"')).to be_empty
      expect(again(changed).paragraphs.map(&:style_id).uniq).to eq ["Standard"]
    end

    it "are merged and put on other bases" do
      merged = apply(apply(document, Norvel::Edits::DefineStyle.new("Other", based_on: "Standard")),
        Norvel::Edits::MergeStyles.new("Body", "Other"))
      expect(again(merged).paragraphs.map { |one| again(merged).style_name(one) }.uniq).to eq ["Other"]
      rebased = apply(document, Norvel::Edits::RebaseStyle.new("Body", "Heading_20_1"))
      expect(SameDocument.new(rebased, again(rebased)).differences).to be_empty
    end
  end

  describe "lists" do
    let(:listed) do
      changed = apply(document, Norvel::Edits::DefineListStyle.new("Steps", "numbers"))
      apply(changed, Norvel::Edits::PutInList.new([2, 3], changed.styles.named("Steps").paragraph[:list_id]))
    end

    it "are blocks that paragraphs are put in" do
      expect(content(written(listed)))
        .to match(Regexp.new('<text:list text:style-name="Steps"><text:list-item><text:p text:style-name="P1">Plain.*' \
          '</text:p></text:list-item><text:list-item><text:p text:style-name="Body">More.</text:p></text:list-item>' \
          "</text:list>"))
      expect(again(listed).markers.values).to eq %w[1. 2.]
    end

    it "are blocks that paragraphs are taken out of, with the rest counting on" do
      three = apply(apply(listed, Norvel::Edits::SplitParagraph.new(2, 6)), Norvel::Edits::PutInList.new([2], 0))
      file = again(three)
      expect(file.markers.values).to eq three.markers.values
      expect(content(written(three))).to include "<text:list"
    end

    it "start anew where they are told" do
      changed = apply(listed, Norvel::Edits::StartList.new(3, again: true, at: 5))
      expect(again(changed).markers.values).to eq ["1.", "5."]
    end

    it "number headings by the outline (16.34)" do
      headed = apply(document, Norvel::Edits::PutInStyle.new([1], "Heading_20_1", hand: :stays))
      changed = apply(headed, Norvel::Edits::NumberHeadings.new("decimal"))
      expect(styles_of(written(changed)))
        .to match(/<text:outline-style.*<text:outline-level-style text:level="1" style:num-format="1"/)
      expect(again(changed).markers.values).to eq changed.markers.values
    end
  end

  describe "pages" do
    it "are set in the layout of their master" do
      changed = apply(document, Norvel::Edits::SetPage.new([1], {margin_left: 72.0}))
      expect(styles_of(written(changed))).to include 'fo:margin-left="72pt"'
      expect(again(changed).sections.first.margin_left).to eq 72.0
    end

    it "of one section of several get a master of their own" do
      two = OpenDocument.new(p("a") + p("b", "P1") + p("c", "P2"),
        automatic: style("P1", parent: "Standard", more: 'style:master-page-name="Standard"') +
        style("P2", parent: "Standard", more: 'style:master-page-name="Standard"')).document
      changed = apply(two, Norvel::Edits::SetPage.new([2], {margin_left: 72.0}))
      expect(again(changed).sections.map { |one| one.margin_left.round }).to eq [85, 72, 85]
      expect(again(changed).page_styles.map(&:name)).to eq ["Standard", "Standard 2"]
    end

    it "begin with the next paragraph when the one they began with goes" do
      two = OpenDocument.new(p("a") + p("", "P1") + p("b"),
        automatic: style("P1", parent: "Standard", more: 'style:master-page-name="Standard"',
          lines: 'style:page-number="5"')).document
      changed = apply(two, Norvel::Edits::DeleteParagraphs.new([2]))
      expect(again(changed).sections.map(&:number_start)).to eq [nil, 5]
    end

    it "follow the set-up of the sections in them, and are named" do
      narrow = apply(document, Norvel::Edits::SetPage.new([1], {margin_left: 140.0}))
      expect(narrow.page_styles.map { |style| [style.name, style.margin_left] }).to eq [["Standard", 140.0]]
      changed = [Norvel::Edits::ChangePageStyle.new("Standard", {name: "Narrow"}),
        Norvel::Edits::ChangePageStyle.new("Narrow", {margin_left: 150.0})]
        .inject(narrow) { |now, edit| apply(now, edit) }
      expect(again(changed).page_styles.map(&:name)).to include "Narrow"
      expect(again(changed).sections.first.margin_left).to eq 150.0
    end
  end

  it "describes images, and takes descriptions away" do
    frame = '<draw:frame text:anchor-type="as-char"><draw:image xlink:href="Pictures/a.png"/></draw:frame>'
    document = OpenDocument.new(p("x#{frame}"), files: {"Pictures/a.png" => "png"}).document
    changed = apply(document, Norvel::Edits::DescribePictures.new({1 => "A gauge"}))
    expect(content(written(changed))).to include '<draw:image xlink:href="Pictures/a.png"/><svg:desc>A gauge</svg:desc>'
    expect(again(apply(again(changed), Norvel::Edits::DescribePictures.new({1 => ""}))).pictures.first.description)
      .to be_nil
  end

  it "keeps a field whole whose number grows where a place ends before it" do
    field = %(<text:sequence text:name="Table" text:formula="ooow:Table+1" style:num-format="1">)
    number = ->(n) { "#{field}#{n}</text:sequence>" }
    last = %(<text:p>Salt <text:bookmark-start text:name="b"/>here<text:bookmark-end text:name="b"/>) +
      "#{number[4]}</text:p>"
    counted = OpenDocument.new("<text:p>Tides #{number[1]}</text:p>" * 11 + last).document
    now = again(apply(counted, Norvel::Edits::RefreshNumbers.new))
    expect(now.paragraphs.last.runs.map(&:text)).to eq ["Salt here", "12"]
  end

  it "says title, author and language where the standard has them" do
    changed = apply(document, Norvel::Edits::Describe.new({title: "Tides", author: "Mirre", language: "de"}))
    expect(again(changed).info.values_at(:title, :author, :language)).to eq %w[Tides Mirre de]
  end

  it "gives templates without what the document says" do
    file = OpenDocument.new(p("secret words", "Body"), styles: body_style,
      meta: "<meta:initial-creator>Mirre</meta:initial-creator>", files: {"Pictures/a.png" => "png"})
    bytes = Norvel::Formats::Template.bytes(file.document)
    template = Norvel::Formats.read(bytes, name: "t.odt")
    expect(template.paragraphs.map(&:text))
      .to eq ["Standard: this paragraph shows the style.", "Body: this paragraph shows the style."]
    expect([template.info[:author], Norvel::Formats::Container.new(bytes).include?("Pictures/a.png")])
      .to eq [nil, false]
    expect(bytes).not_to include "secret"
  end

  it "is a template or a document as the output's name says" do
    expect(%w[x.ott x.odt].map { |name|
      Norvel::Formats::Container.new(Norvel::Formats.write_for(document, name).bytes)
          .read("mimetype")
    })
      .to eq [Norvel::Formats::Odt::TEMPLATE_TYPE, Norvel::Formats::Odt::TYPE]
  end

  describe "one file" do
    let(:picture) { ["\x89PNG picture".b].pack("m0") }
    let(:flat) do
      made.flat.sub("A title", %(A title<draw:frame><draw:image><office:binary-data>#{picture}</office:binary-data>) +
        %(</draw:image></draw:frame>))
    end

    it "keeps its pictures, whatever is changed" do
      document = Norvel::Formats.read(flat, name: "x.fodt")
      bytes = written(apply(document, Norvel::Edits::PutInStyle.new([3], "Heading_20_1", hand: :stays)))
      expect(bytes).to include picture.b
      expect(Norvel::Formats.read(bytes, name: "x").source.read("pictures/1")).to eq "\x89PNG picture".b
    end
  end

  describe "edits by chance" do
    it "are read again as they were made, and taken back to the same bytes" do
      differing = (1..12).flat_map do |seed|
        dice = Random.new(seed)
        document = MixedOpen.new(seed).document
        changed = ByChance.edits(document, dice, 4).inject(document) { |now, edit| ByChance.try(now, edit) }
        file = again(changed)
        told = [changed, file].map { |one| Norvel::Formats::Odt::Canonical.of(one) }
        back = Norvel::Snapshot.load(Norvel::Snapshot.dump(changed, document), document)
        [("#{seed} is written otherwise after a night" unless written(back) == written(changed)),
          *SameDocument.new(*told).differences.first(2).map { |text| "#{seed} #{text}" }].compact
      end
      expect(differing).to be_empty
    end
  end
end
