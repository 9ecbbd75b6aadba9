# frozen_string_literal: true

# Files that are damaged, that are something else, or that were made to do harm: a sentence each, soon.
RSpec.describe "An OpenDocument file that is none" do
  def read(bytes, name = "x.odt") = Norvel::Formats.read(bytes, name:)

  def fails(bytes, sentence, name = "x.odt")
    expect { read(bytes, name) }.to raise_error(Norvel::UnreadableFile, sentence)
  end

  def pack(entries, type = Norvel::Formats::Odt::TYPE) = Norvel::Formats::Archive.build(entries,
    first: ["mimetype", type])

  def packed(content, **files) = pack({"content.xml" => content, "META-INF/manifest.xml" => "<m/>", **files})

  let(:whole) { OpenDocument.new("<text:p>words</text:p>") }

  it "may be a spreadsheet, slides, a master document or a drawing" do
    {"spreadsheet" => /spreadsheet/, "presentation" => /slides/, "text-master" => /master document/,
     "graphics" => /drawing/, "spreadsheet-template" => /spreadsheet/, "weather" => /no text document/}
      .each do |kind, sentence|
      fails(pack({"content.xml" => "<a/>"}, "application/vnd.oasis.opendocument.#{kind}"), sentence)
    end
  end

  it "may be a spreadsheet under a wrong mark" do
    fails(packed(%(<office:document-content #{OpenDocument::SPACES}><office:body><office:spreadsheet/></office:body>) +
      %(</office:document-content>)), /spreadsheet/)
  end

  it "may have no content, or no body" do
    fails(pack({"META-INF/manifest.xml" => "<m/>"}), /content is missing/)
    fails(packed(%(<office:document-content #{OpenDocument::SPACES}/>)), /no body/)
    fails(packed(""), /not well-formed/)
  end

  it "may be locked with a password (ISO/IEC 26300-3 3.4)" do
    manifest = %(<manifest:manifest #{OpenDocument::SPACES}><manifest:file-entry manifest:full-path="content.xml">) +
      %(<manifest:encryption-data/></manifest:file-entry></manifest:manifest>)
    fails(pack({"content.xml" => "cipher", "META-INF/manifest.xml" => manifest}), /protected by a password/)
    fails(pack({"encrypted-package" => "cipher"}), /protected by a password/)
  end

  it "may declare entities of its own, be cut off, or not be well-formed" do
    bomb = %(<!DOCTYPE a [<!ENTITY x "ha"><!ENTITY y "&x;&x;">]>) +
      %(<office:document-content #{OpenDocument::SPACES}>&y;</office:document-content>)
    fails(packed(bomb), /entities/)
    fails(whole.bytes[0, 900], /cut off|damaged/)
    fails(packed("<office:document-content><a>"), /not well-formed/)
    fails(whole.flat.sub("</office:text>", ""), /not well-formed/, "x.fodt")
  end

  it "may be nested deeper than any text" do
    fails(OpenDocument.new(("<text:section>" * 400) + ("</text:section>" * 400)).bytes, /nested/)
  end

  it "may be another format under this name" do
    fails("{\\rtf1 words}", /rich text/)
    fails("%PDF-1.7", /PDF/)
    expect(read(docx(p(r("a docx"))).source.bytes).format).to eq "docx"
  end

  it "may be one XML file of something else" do
    fails(%(<?xml version="1.0"?><package xmlns="http://schemas.microsoft.com/office/2006/xmlPackage"/>),
      /single XML file/)
    fails(%(<?xml version="1.0"?><office:document #{OpenDocument::SPACES} ) +
      %(office:mimetype="application/vnd.oasis.opendocument.spreadsheet"><office:body/></office:document>),
      /spreadsheet/, "x.fodt")
  end

  it "may be one file of more text than a document has" do
    stub_const("Norvel::Formats::Container::XML_PART", 10_000)
    fails(whole.flat.sub("words", "words " * 3_000), /more than a document needs/, "x.fodt")
  end

  it "may hold pictures of any size in one file" do
    picture = ["x" * 11_000_000].pack("m0")
    body = "<text:p><draw:frame><draw:image><office:binary-data>#{picture}</office:binary-data></draw:image>" \
      "</draw:frame>words</text:p>"
    document = read(OpenDocument.new(body).flat, "x.fodt")
    expect([document.paragraphs.first.text, document.source.read("pictures/1").size]).to eq ["words", 11_000_000]
  end

  it "may count what no text has: cells, rows, spaces, levels, numbers" do
    body = '<table:table><table:table-column table:number-columns-repeated="999999999"/><table:table-row ' \
      'table:number-rows-repeated="999999999"><table:table-cell table:number-columns-repeated="999999999" ' \
      'table:number-columns-spanned="-4"><text:p>a</text:p></table:table-cell></table:table-row></table:table>' \
      '<text:h text:outline-level="99999999999">b</text:h><text:list text:continue-list="nothing"><text:list-item ' \
      'text:start-value="99999999999999"><text:p>c</text:p></text:list-item></text:list>'
    document = read(OpenDocument.new(body).bytes)
    expect(document.paragraphs.size).to be < 70_000
    expect(document.markers).to be_a Hash
    expect(document.paragraphs.last.text).to eq "c"
  end

  it "may hold more paragraphs than any text" do
    stub_const("Norvel::Document::MOST_PARAGRAPHS", 50)
    fails(OpenDocument.new("<text:p>a</text:p>" * 60).bytes, /more than any text needs/)
    expect { docx(p(r("a")) * 60) }.to raise_error(Norvel::UnreadableFile, /more than any text needs/)
  end

  it "may have a thousand lists that go on from one another, and styles in a circle of a thousand" do
    lists = (1..1000).map do |n|
      %(<text:list xml:id="l#{n}" text:continue-list="l#{n - 1}"><text:list-item text:start-value="#{n}"><text:p ) +
        %(text:style-name="s#{n}">a</text:p></text:list-item></text:list>)
    end
    styles = (1..1000).map do |n|
      %(<style:style style:name="s#{n}" style:family="paragraph" style:parent-style-name="s#{(n % 1000) + 1}"/>)
    end
    document = read(OpenDocument.new(lists.join, styles: styles.join).bytes)
    expect([document.paragraphs.size, document.styles.chain(document.styles["s7"]).size]).to eq [1000, 100]
    expect(document.paragraphs.map { |one| document.look(one) }.uniq.size).to be <= 1000
  end

  it "may be without styles, list of files, or information of itself" do
    bare = packed(%(<office:document-content #{OpenDocument::SPACES}><office:body><office:text><text:p ) +
      %(text:style-name="Missing">words</text:p></office:text></office:body></office:document-content>))
    document = read(bare)
    expect([document.paragraphs.map(&:text), document.sections.size]).to eq [["words"], 1]
    expect(Norvel::Seal.of(read(Norvel::Formats.write(document).bytes))).to eq Norvel::Seal.of(document)
    expect { Norvel::Formats.write(Norvel::Edits::DefineStyle.new("New").change(document)) }
      .to raise_error(Norvel::Unwritable, /no part for styles/)
  end

  it "may hold what is no name and no number where those belong" do
    automatic = '<style:style style:name="P1" style:family="paragraph" style:parent-style-name="P1" ' \
      'style:master-page-name="none" style:list-style-name="none"><style:paragraph-properties ' \
      'style:page-number="many" fo:margin-left="1e9cm"/></style:style>'
    body = '<text:p text:style-name="P1">a</text:p><text:list text:style-name="none"><text:list-item><text:p ' \
      'text:style-name="P1">b</text:p></text:list-item></text:list><text:note/><text:p><text:note><text:note-body/>' \
      "</text:note><text:bookmark/><office:annotation/><draw:frame/></text:p>"
    document = read(OpenDocument.new(body, automatic:).bytes)
    expect(document.paragraphs.map(&:text)).to eq ["a", "b", ""]
    expect { Norvel::Formats.write(document, as: "docx") }.not_to raise_error
  end

  it "is refused or read whatever byte of it is another" do
    bytes = whole.bytes
    dice = Random.new(7)
    faults = Array.new(60) {
      odd = bytes.dup
      odd.setbyte(dice.rand(odd.bytesize), dice.rand(256))
      begin
        read(odd) && nil
      rescue Norvel::UnreadableFile
        nil
      rescue => error
        "#{error.class}: #{error.message[0, 80]}"
      end
    }
    expect(faults.compact).to be_empty
  end

  it "with mixed elements in odd places is read, and written again" do
    pieces = %w[text:p text:h text:list text:list-item text:span text:note text:note-body text:section table:table
      table:table-row table:table-cell draw:frame draw:text-box office:annotation text:a text:s text:tab text:bookmark
      text:page-number text:index-body]
    faults = (1..60).filter_map { |seed|
      dice = Random.new(seed)
      tree = lambda do |depth|
        return "word " if depth.zero? || dice.rand < 0.2
        name = pieces[dice.rand(pieces.size)]
        "<#{name}>#{Array.new(1 + dice.rand(3)) { tree[depth - 1] }.join}</#{name}>"
      end
      begin
        document = read(OpenDocument.new(Array.new(6) { tree[5] }.join).bytes)
        %w[odt docx html text].each { |name| Norvel::Formats.write(document, as: name) }
        nil
      rescue Norvel::UnreadableFile
        nil
      rescue => error
        "#{seed} #{error.class}: #{error.message[0, 90]} #{error.backtrace.first.to_s[/norvel.*/]}"
      end
    }
    expect(faults).to be_empty
  end
end
