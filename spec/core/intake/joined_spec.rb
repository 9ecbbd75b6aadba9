# frozen_string_literal: true

require "open3"

# A text in the place of a template's, and chapters behind each other. What a package must keep: unique ids,
# relationships that lead somewhere (ISO/IEC 29500-2 6.5, 29500-1 17.13.6, 20.4.2.5).
RSpec.describe Norvel::Intake::Joined do
  def style(id, name, letters = "")
    %(<w:style w:type="paragraph" w:styleId="#{id}"><w:name w:val="#{name}"/><w:rPr>#{letters}</w:rPr></w:style>)
  end

  let(:template) do
    numbers = '<w:pgNumType w:fmt="lowerRoman"/>'
    front = p(r("College of Ravelmouth"), '<w:pStyle w:val="Cover"/>') +
      %(<w:sdt><w:sdtPr><w:id w:val="7"/><w:alias w:val="Author"/></w:sdtPr><w:sdtContent>) +
      %(#{p(r("Your name"))}</w:sdtContent></w:sdt>) +
      p(r("A declaration") + note(1), sheet(numbers))
    body = p(r("Introduction"), '<w:pStyle w:val="H1"/>') + p(r("Write here.") + note(2)) + table([%w[a b]]) +
      p(r("still here"), sheet('<w:pgNumType w:start="1"/>'))
    docx(front + body + p(r("References"), '<w:pStyle w:val="H1"/>') + p(r("Add them here.")) + section,
      styles: style("H1", "heading 1", "<w:b/>") + style("Cover", "Cover"),
      footnotes: footnote(1, "signed") + footnote(2, "of the sample"))
  end
  let(:chapter) do
    lists = %(<w:abstractNum w:abstractNumId="0"><w:lvl w:ilvl="0"><w:start w:val="1"/><w:numFmt w:val="decimal"/>) +
      '<w:lvlText w:val="%1)"/></w:lvl></w:abstractNum><w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num>'
    in_list = '<w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr>'
    mark = %(<w:bookmarkStart w:id="0" w:name="mill"/>#{r("The mill")}<w:bookmarkEnd w:id="0"/>)
    body = p(mark, '<w:pStyle w:val="Titel1"/>') + p(r("It was dry.") + note(1) + image(1)) + p(r("one"), in_list) +
      p(r("two"), in_list) + table([%w[year toll], %w[1871 3]]) + p(r("wide"), sheet("", across: true)) +
      p('<w:fldSimple w:instr=" REF mill \h "><w:r><w:t>The mill</w:t></w:r></w:fldSimple>') + section(footer: false)
    bytes = package(body, footnotes: footnote(1, "a register"), image: "\x89PNG\r\n\x1A\n".b,
      styles: style("Titel1", "heading 1", "<w:i/>"))
    Norvel::Formats.read(with_lists(bytes, lists), name: "chapter.docx")
  end

  # A file of the standard's strict kind: its namespaces and relationships, the ends of lines for their sides.
  def strict(document)
    container = document.source
    kinds = %w[wordprocessingml drawingml officeDocument].join("|")
    changed = container.names.grep(/\.(?:xml|rels)\z/).to_h do |name|
      place = %r{http://schemas\.openxmlformats\.org/(#{kinds})/2006/}
      text = container.read(name).gsub(place, 'http://purl.oclc.org/ooxml/\\1/')
      [name, text.sub("<w:document ", '<w:document w:conformance="strict" ')]
    end
    Norvel::Formats.read(Norvel::Formats::Archive.write(container, changed), name: document.name)
  end

  def sheet(numbers, across: false)
    size = across ? 'w:w="16838" w:h="11906" w:orient="landscape"' : 'w:w="11906" w:h="16838"'
    %(<w:sectPr><w:pgSz #{size}/><w:pgMar w:top="1440" w:right="1440" w:bottom="1440" w:left="1440" w:header="708" ) +
      %(w:footer="708" w:gutter="0"/>#{numbers}</w:sectPr>)
  end

  def at(document, text) = document.paragraphs.find { |one| one.text == text }

  # Ids that two have, and relationships that lead nowhere.
  def faults(document)
    container = Norvel::Formats::Container.new(written(document))
    main = Nokogiri::XML(container.read("word/document.xml"))
    ids = %w[bookmarkStart docPr].flat_map do |name|
      found = main.xpath("//*[local-name()='#{name}']/@*[local-name()='id']").map(&:value)
      found.tally.select { |_, count| count > 1 }.keys
    end
    ids + container.names.grep(/\.rels\z/).flat_map { |path| nowhere(container, path) }
  end

  def nowhere(container, path)
    inside = Nokogiri::XML(container.read(path)).root.element_children.reject { |one| one["TargetMode"] }
    folder = "/#{File.dirname(path, 2)}"
    inside.map { |one| File.expand_path(one["Target"], folder).delete_prefix("/") }
      .reject { |target| container.include?(target) }
  end

  let(:place) { {from: at(template, "Introduction"), till: at(template, "References")} }

  # Looks and markers; headings may count on.
  def shown(document, paragraphs)
    paragraphs.map do |one|
      look, marker = document.look(one), document.markers[one.id]
      [look.values.except(:list, :list_id, :list_level), look[:outline_level].positive? ? marker.nil? : marker]
    end
  end

  let(:whole) do
    described_class.new(template, [chapter], **place).document
  end

  it "puts a text where the template has its own, between what stands before and after" do
    expect(whole.paragraphs.map(&:text).map { |text| text.delete(Norvel::Document::Run::NOTE) }).to match(
      ["College of Ravelmouth", "Your name", "A declaration", "The mill", a_string_starting_with("It was dry."), "one",
        "two", "year", "toll", "1871", "3", "wide", "The mill", "References", "Add them here."]
    )
    expect(faults(whole)).to eq []
  end

  it "has the template's styles, numbers its own lists, and keeps notes and images apart" do
    head = whole.paragraphs[3]
    expect([whole.style_of(head).name, whole.style_of(head).id, whole.letter_look(head)[:bold]])
      .to eq ["Heading 1", "H1", true]
    expect(whole.markers.values_at(at(whole, "one").id, at(whole, "two").id)).to eq %w[1) 2)]
    notes = whole.stories.select(&:note?).map { |story| story.paragraphs.map(&:text).join.strip }
    expect(notes).to eq ["signed", "a register"]
    expect(whole.pictures.map(&:path).compact.size).to eq 1
    field = whole.paragraphs[12].runs.flat_map(&:within).first
    expect(field.computes.bookmark).to eq "mill"
  end

  it "keeps what the template has around them: controls, sections, the count of pages" do
    expect(written(whole).then { |bytes| part(bytes, "word/document.xml") }).to include('<w:alias w:val="Author"/>')
    expect(whole.sections.map { |one| [one.landscape?, one.number_start, one.number_format] })
      .to eq [[false, nil, "lower_roman"], [true, 1, "decimal"], [false, nil, "decimal"], [false, nil, "decimal"]]
  end

  it "keeps a last section that lies across, where others stand before it" do
    turned = docx(p(r("up"), sheet("")) + p(r("wide")) + table([%w[a b]]) + sheet("", across: true))
    joined = described_class.new(template, [turned, chapter], **place).document
    expect(joined.sections.map(&:landscape?)).to eq [false, false, true, true, false, false]
    expect(joined.paragraphs.find { |one| one.text == "wide" }.section).to eq 3
  end

  it "keeps a text across that is so from begin to end, in both formats" do
    turned = docx(p(r("wide")) + sheet("", across: true))
    joined = described_class.new(template, [turned], **place).document
    expect(joined.sections.map { |one| [one.landscape?, one.number_start] })
      .to eq [[false, nil], [true, 1], [false, nil]]
    open = [template, turned].map { |one| Norvel::Formats.read(Norvel::Formats.write(one, as: "odt").bytes, name: "x") }
    edges = place.transform_values { |one| at(open[0], one.text) }
    across = described_class.new(open[0], [open[1]], **edges).document
    expect(%w[wide References].map { |text| across.section_of(at(across, text)).landscape? }).to eq [true, false]
  end

  # Source: python3-odf of Debian 12 reads the file; ISO/IEC 26300-1 13.1: a control is named by its id.
  it "takes the forms of an .odt along, so that each control in the text has its own" do
    space = 'xmlns:form="urn:oasis:names:tc:opendocument:xmlns:form:1.0"'
    texts = %w[Gauge Berth].map do |label|
      OpenDocument.new(%(<office:forms><form:form #{space} form:name="F"><form:text xml:id="c1" form:id="c1" ) +
        %(form:current-value="#{label}"/></form:form></office:forms><text:p>#{label} <draw:control ) +
        %(text:anchor-type="as-char" svg:width="4cm" svg:height="1cm" draw:control="c1"/></text:p>)).document
    end
    plain = OpenDocument.new("<text:p>Begin</text:p>").document
    [[texts[0], texts[1]], [plain, *texts]].each do |base, *others|
      joined = described_class.new(base, others).document
      Dir.mktmpdir do |folder|
        File.binwrite("#{folder}/j.odt", joined.source.bytes)
        told, = Open3.capture2("/usr/bin/python3", "-c", <<~PYTHON, "#{folder}/j.odt")
          import sys
          from odf.opendocument import load
          from odf import form, draw
          text = load(sys.argv[1])
          fields = {one.getAttribute("id"): one.getAttribute("currentvalue") for one in text.getElementsByType(form.Text)}
          print([fields[one.getAttribute("control")] for one in text.getElementsByType(draw.Control)])
        PYTHON
        expect(told.strip).to eq "['Gauge', 'Berth']"
      end
    end
  end

  it "turns the sheets where a text behind another stands on sheets that lie otherwise" do
    wide, upright = [true, false].map { |across| docx(p(r(across ? "wide" : "up")) + sheet("", across:)) }
    [[wide, upright], [upright, wide]].each do |base, text|
      joined = described_class.new(base, [text, text]).document
      way = text.sections.first.landscape?
      expect(joined.paragraphs.map { |one| joined.section_of(one).landscape? }).to eq [!way, way, way]
      odt = [base, text].map { |one| Norvel::Formats.read(Norvel::Formats.write(one, as: "odt").bytes, name: "x.odt") }
      open = described_class.new(odt[0], [odt[1]]).document
      expect(open.paragraphs.map { |one| open.section_of(one).landscape? }).to eq [!way, way]
    end
  end

  it "stands behind each other, each on a new page, with places and lists of their own" do
    joined = described_class.new(chapter, [chapter, chapter], apart: true).document
    expect(joined.paragraphs.count { |one| one.text == "The mill" }).to eq 6
    heads = joined.paragraphs.select { |one| one.text == "The mill" && one.style_id }
    expect(heads.map { |one| joined.look(one)[:page_break_before] }).to eq [false, true, true]
    expect(joined.markers.values_at(*joined.paragraphs.select { |one| one.text == "two" }.map(&:id))).to eq ["2)"] * 3
    fields = joined.paragraphs.flat_map { |one| one.runs.flat_map(&:within) }
    places = fields.filter_map { |one| one.computes&.bookmark }
    expect([places.uniq.size, faults(joined)]).to eq [3, []]
  end

  it "joins files of the strict kind and of the other, as the other" do
    expect(strict(chapter).paragraphs.map(&:text)).to eq chapter.paragraphs.map(&:text)
    made = [[template, strict(chapter)], [strict(template), chapter], [template, chapter]].map do |base, text|
      from, till = described_class.place_in(base)
      described_class.new(base, [text], from:, till:).document
    end
    expect(made.map { |one| one.paragraphs.map(&:text) }.uniq.size).to eq 1
    expect(made.map { |one| one.pictures.size }.uniq).to eq [chapter.pictures.size]
    made.each do |one|
      parts = one.source.names.grep(/\.(?:xml|rels)\z/).map { |name| one.source.read(name) }
      expect(parts.join).not_to include("purl.oclc.org", "conformance")
    end
  end

  describe "of OpenDocument texts" do
    let(:styles) { %(<style:style style:name="Head" style:family="paragraph" style:display-name="Chapter head"/>) }
    let(:base) do
      begins = %(<style:style style:name="P1" style:family="paragraph" style:parent-style-name="Head" ) +
        %(style:master-page-name="Standard"><style:paragraph-properties style:page-number="1"/></style:style>)
      OpenDocument.new(%(<text:p>Title</text:p><text:section text:name="s"><text:h text:style-name="P1" ) +
        %(text:outline-level="1">Introduction</text:h><text:p>Here.</text:p></text:section><text:p>End</text:p>),
        styles:, automatic: begins).document
    end
    let(:text) do
      set = %(<style:style style:name="P1" style:family="paragraph"><style:text-properties fo:font-weight="bold"/>) +
        %(</style:style><style:style style:name="P2" style:family="paragraph" style:master-page-name="Wide"/>)
      wide = OpenDocument::LAYOUT.sub("pm1", "pm2").sub("21cm", "29.7cm").sub(/height="29.7cm"/, 'height="21cm"')
      note = %(<text:note text:id="n1" text:note-class="footnote"><text:note-citation>1</text:note-citation>) +
        %(<text:note-body><text:p>A register.</text:p></text:note-body></text:note>)
      drawn = %(<draw:frame draw:name="f" text:anchor-type="as-char" svg:width="1cm" svg:height="1cm"><draw:image ) +
        %(xlink:href="Pictures/a.png"/></draw:frame>)
      OpenDocument.new(%(<text:h text:style-name="Head" text:outline-level="1"><text:bookmark text:name="s"/>Mills) +
        %(</text:h><text:p text:style-name="P1">Dry#{note}#{drawn}</text:p><text:p text:style-name="P2">Wide</text:p>),
        styles:, automatic: set, pages: OpenDocument::LAYOUT + wide, files: {"Pictures/a.png" => "png"},
        masters: OpenDocument::MASTER + OpenDocument::MASTER.sub("Standard", "Wide").sub("pm1", "pm2")).document
    end

    it "puts one where the other has its own, with pages, notes and files" do
      joined = described_class.new(base, [text, text], from: at(base, "Introduction"), till: at(base, "End")).document
      signs = Norvel::Document::Run::NOTE + Norvel::Document::Run::OBJECT
      expect(joined.paragraphs.map { |one| one.text.delete(signs) })
        .to eq ["Title", *%w[Mills Dry Wide] * 2, "End"]
      expect(joined.sections.map { |one| [one.landscape?, one.number_start] }.first(3))
        .to eq [[false, nil], [false, 1], [true, nil]]
      expect(joined.section_of(at(joined, "End")).landscape?).to be false
      dry = joined.paragraphs.select { |one| one.text.start_with?("Dry") }
      expect(dry.map { |one| joined.letter_look(one)[:bold] }).to eq [true, true]
      paths = joined.pictures.map(&:path)
      expect([joined.stories.count(&:note?), paths.uniq.size, paths.map { |path| joined.source.read(path) }.uniq])
        .to eq [2, 2, ["png"]]
    end

    it "takes along what was changed in a text, and says of each file what it is" do
      changed = %(<text:tracked-changes><text:changed-region text:id="ct1"><text:insertion><office:change-info>) +
        %(<dc:creator>M</dc:creator><dc:date>2026-01-01T00:00:00</dc:date></office:change-info></text:insertion>) +
        %(</text:changed-region></text:tracked-changes><text:p>It <text:change-start text:change-id="ct1"/>rose) +
        %(<text:change-end text:change-id="ct1"/>.</text:p>)
      tracked = OpenDocument.new(changed).document
      content = ->(one) { Nokogiri::XML(Norvel::Formats::Container.new(written(one)).read("content.xml")) }
      joined = content[described_class.new(tracked, [tracked]).document]
      regions = joined.xpath("//*[local-name()='changed-region']/@*[local-name()='id']").map(&:value)
      expect(regions.uniq.size).to eq 2
      expect(joined.xpath("//*[local-name()='change-start']/@*[local-name()='change-id']").map(&:value)).to eq regions
      listed = Norvel::Formats::Container.new(written(described_class.new(base, [text]).document))
      expect(listed.read("META-INF/manifest.xml")).to include('full-path="Pictures/a.png"')
    end

    it "takes texts in a file of one XML as the package that says the same" do
      flat = Norvel::Formats.read(OpenDocument.new("<text:p>one</text:p><text:p>two</text:p>").flat, name: "one.fodt")
      joined = described_class.new(flat, [text], from: flat.paragraphs[1]).document
      expect([joined.format, joined.paragraphs.map(&:text)]).to eq ["odt", ["one", *text.paragraphs.map(&:text)]]
    end

    it "refuses a place within a list" do
      list = OpenDocument.new("<text:list><text:list-item><text:p>one</text:p></text:list-item>" \
        "<text:list-item><text:p>two</text:p></text:list-item></text:list>").document
      expect { described_class.new(list, [text], from: at(list, "two")).document }
        .to raise_error(Norvel::Refused, /within a list/)
    end

    it "loses no word and no look of texts mixed by chance" do
      SomeOf.seeds(1..9).each do |seed|
        base, text = MixedOpen.new(seed).document, MixedOpen.new(seed + 100).document
        joined = described_class.new(base, [text]).document
        text = Norvel::Edits::ApplyTemplate.new(base, numbering: true).apply(text).after
        behind = joined.paragraphs.drop(base.paragraphs.size)
        looks = [[joined, behind], [text, text.paragraphs]].map do |document, paragraphs|
          paragraphs.map { |one| outside_lists(document, one) }
        end
        expect(looks[0]).to eq looks[1]
      end
    end

    # The look of what is in no list; of lists of a style that both have, the base says the look.
    def outside_lists(document, one)
      listed = document.cascade.list_of(one) && document.look(one)[:outline_level].zero?
      look = document.look(one).values.except(:list, :list_id, :list_level)
      [listed ? document.numbering.numbers(document)[one.id] : look,
        one.runs.map { |run| document.run_look(run, one).values }]
    end
  end

  it "takes in a text of another format, and plain words" do
    odt = Norvel::Formats.read(Norvel::Formats.write(chapter, as: "odt").bytes, name: "chapter.odt")
    plain = Norvel::Formats.read("# Tides\n\nThey rise[^1].\n\n[^1]: Twice.\n", name: "tides.md")
    joined = described_class.new(template, [odt, plain], **place).document
    expect(joined.paragraphs.map(&:text)).to include("two", "Tides").and end_with("References", "Add them here.")
    expect([faults(joined), joined.stories.count(&:note?)]).to eq [[], 3]
  end

  it "refuses what has no place" do
    expect { described_class.new(template, []) }.to raise_error(Norvel::Refused, /no text/)
    expect { described_class.new(template, [chapter], from: template.paragraphs.find(&:container)) }
      .to raise_error(Norvel::Refused, /within a table/)
    wrong = {from: place[:till], till: place[:from]}
    expect { described_class.new(template, [chapter], **wrong) }.to raise_error(Norvel::Refused, /stands before/)
  end

  it "loses no word and no look of documents mixed by chance" do
    SomeOf.seeds(1..9).each do |seed|
      base, text = Mixed.new(seed).document, Mixed.new(seed + 100).document
      joined = described_class.new(base, [text]).document
      text = Norvel::Edits::ApplyTemplate.new(base, numbering: true).apply(text).after
      behind = joined.paragraphs.drop(base.paragraphs.size)
      expect(shown(joined, behind)).to eq shown(text, text.paragraphs)
      expect(faults(joined)).to eq []
    end
  end
end
