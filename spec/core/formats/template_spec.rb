# frozen_string_literal: true

require "open3"

RSpec.describe Norvel::Formats::Template do
  let(:handbook) { Norvel::Formats.read(Demo::Handbook.new.bytes, name: "handbook.docx") }

  # The looks that text in the style of this name has, without the defaults that are alike everywhere.
  def looks(document, name)
    %i[paragraph run].map { |place| document.cascade.of_style(document.styles.named(name), place).to_json_hash(place) }
  end

  it "dresses a document so that its styles look as the template's" do
    described_class.shipped.each_key do |name|
      template = described_class.find(name)
      dressed = Norvel::Edits::ApplyTemplate.new(template, page: true).apply(handbook).after
      ["Body Text", "Heading 1", "Heading 2", "Title", "Caption"].each do |style|
        expect([name, style, looks(dressed, style)]).to eq [name, style, looks(template, style)]
      end
      again = reread(dressed)
      expect([again.sections[0].margin_left, again.paragraphs.map(&:text)])
        .to eq [template.sections[0].margin_left, handbook.paragraphs.map(&:text)]
    end
  end

  it "dresses in any and back, losing nothing" do
    changes = []
    document = described_class.shipped.keys.inject(handbook) do |now, name|
      Norvel::Edits::ApplyTemplate.new(described_class.find(name), page: true).apply(now)
        .tap { |change| changes << change }.after
    end
    changes.reverse_each { |change| document = change.take_back(document) }
    expect(written(document)).to eq written(handbook)
  end

  it "asks for what has no partner" do
    odd = docx(p(r("x"), '<w:pStyle w:val="Own"/>'), styles: style("Own", "Own Style"))
    edit = Norvel::Edits::ApplyTemplate.new(described_class.find("ravelmouth-report"))
    expect(edit.match(odd).unmatched.map(&:name)).to eq ["Own Style"]
    chosen = Norvel::Edits::ApplyTemplate.new(described_class.find("ravelmouth-report"), chosen: {"Own" => "Body Text"})
      .apply(odd).after
    expect([chosen.style_name(chosen.paragraphs[0]), chosen.look(chosen.paragraphs[0])[:space_after]])
      .to eq ["Body Text", 8.0]
  end

  it "gives the text of a style without a namesake to the template's style of its role" do
    own = docx(handbook_of_strangers,
      styles: style("Kapitel", "Kapitel", ppr: '<w:outlineLvl w:val="0"/>', rpr: '<w:b/><w:sz w:val="36"/>') +
      style("Fliess", "Fliesstext"))
    edit = Norvel::Edits::ApplyTemplate.new(described_class.find("ravelmouth-report"))
    expect(edit.match(own).roles.transform_values { |style, role| [style.name, role] })
      .to eq("Kapitel" => ["Heading 1", "heading_1"], "Fliess" => ["Body Text", "body"])
    dressed = edit.apply(own).after
    expect([dressed.style_name(dressed.paragraphs[0]), dressed.style_name(dressed.paragraphs[1])])
      .to eq ["Heading 1", "Body Text"]
    stays = Norvel::Edits::ApplyTemplate.new(described_class.find("ravelmouth-report"), chosen: {"Kapitel" => nil})
      .apply(own).after
    expect(stays.style_name(stays.paragraphs[0])).to eq "Kapitel"
  end

  def handbook_of_strangers
    (1..3).map { |n|
      p(r("Teil #{n}"), '<w:pStyle w:val="Kapitel"/>') +
        p(r(Demo::Prose.new(n).paragraph(60)), '<w:pStyle w:val="Fliess"/>') * 3
    }.join
  end

  it "leaves the document's own numbering where the template's is not asked for" do
    numbered = Norvel::Edits::NumberHeadings.new("roman").apply(handbook).after
    dressed = Norvel::Edits::ApplyTemplate.new(described_class.find("ravelmouth-thesis")).apply(numbered).after
    expect(dressed.markers.values.first(3)).to eq %w[I I.1 I.2]
  end

  it "brings list styles along with their levels" do
    with_list = Norvel::Edits::DefineListStyle.new("Steps", "letters").apply(described_class.find("ravelmouth-report"))
      .after
    along = reread(Norvel::Edits::ApplyTemplate.new(Norvel::Formats.read(described_class.bytes(with_list),
      name: "t.docx"), numbering: true).apply(handbook).after)
    list_id = along.styles.named("Steps", "numbering").paragraph[:list_id]
    expect([along.numbering.level(list_id, 1).text, along.numbering.definition_of(list_id).style_id])
      .to eq ["(%2)", along.styles.named("Steps").id]
  end

  it "brings the numbering of its headings along when asked" do
    numbered = Norvel::Edits::NumberHeadings.new("decimal").apply(described_class.find("ravelmouth-report")).after
    template = Norvel::Formats.read(described_class.bytes(numbered), name: "numbered.docx")
    plain = Norvel::Edits::ApplyTemplate.new(template).apply(handbook).after
    along = Norvel::Edits::ApplyTemplate.new(template, numbering: true).apply(handbook).after
    expect(plain.markers).to be_empty
    expect(reread(along).markers.values.first(3)).to eq %w[1 1.1 1.2]
    saved = Norvel::Snapshot.load(Norvel::Snapshot.dump(along, handbook), handbook)
    expect(saved.markers).to eq along.markers
  end

  it "takes some of its styles and leaves the others as they are" do
    template = described_class.find("ravelmouth-thesis")
    some = Norvel::Edits::ApplyTemplate.new(template, only: ["Heading 1", "Block Quote"]).apply(handbook).after
    expect(looks(some, "Heading 1")[0]).to include(align: "center")
    expect(some.styles.named("Block Quote").based_on).to eq "Normal"
    expect(some.styles["BodyText"]).to eq handbook.styles["BodyText"]
    expect(some.styles.named("Bibliography")).to be_nil
  end

  it "makes a template of a document: its styles, its page, a sample of each" do
    template = Norvel::Formats.read(described_class.bytes(handbook), name: "t.docx")
    expect(template.paragraphs.map { |paragraph| template.style_name(paragraph) })
      .to match_array handbook.styles.by_id.values.select(&:paragraph?).map(&:name)
    expect([template.sections.size, template.sections[0].width, template.styles.by_id])
      .to eq [1, handbook.sections[0].width, handbook.styles.by_id]
  end

  # A template is given to others: nothing that the document says goes with it.
  it "leaves text, notes, comments, images and names behind" do
    thesis = Norvel::Edits::Describe.new({title: "Salt and Timber", author: "I. Aldermoor"}).apply(self.thesis).after
    container = Norvel::Formats::Container.new(described_class.bytes(thesis))
    everything = container.names.map { |name| container.read(name) }.join
    expect(container.names).to match_array %w[[Content_Types].xml _rels/.rels word/_rels/document.xml.rels
      word/document.xml word/styles.xml word/footnotes.xml word/footer1.xml]
    expect(everything).not_to match(/Aldermoor|Salt and Timber|tide mill|estuary/i)
    template = Norvel::Formats.read(described_class.bytes(thesis), name: "t.docx")
    expect([template.stories.map(&:kind), template.pictures, template.info[:author]]).to eq [["footer"], [], nil]
    out, status = Open3.capture2e("/usr/bin/python3", "-c",
      "import docx,sys,io; print(len(docx.Document(io.BytesIO(sys.stdin.buffer.read())).styles))",
      stdin_data: described_class.bytes(thesis), binmode: true)
    expect([status.success?, out.to_i]).to eq [true, thesis.styles.by_id.size]
  end

  it "is applied by the command line" do
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/h.docx", Demo::Handbook.new.bytes)
      out = StringIO.new
      status = Norvel::CLI.run(["apply", "#{folder}/h.docx", "--template", "ravelmouth-report", "--output",
        "#{folder}/o.docx"], out:, err: StringIO.new)
      expect([status, out.string]).to match [0, /styles matched, \d+ added; 2483 words, unchanged/]
    end
  end
end
