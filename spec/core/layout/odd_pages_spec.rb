# frozen_string_literal: true

# Pages and fields as strangers write them: read, said in a sentence, set, written, never lost.
RSpec.describe "odd pages" do
  def sect(inside) = "<w:sectPr>#{inside}</w:sectPr>"

  def divided(*sections)
    last = sections.pop
    docx(sections.each_with_index.map { |inside, n| p(r("Part #{n + 1}"), sect(inside)) }.join + p(r("The end.")) +
      sect(last))
  end

  def again(document) = Norvel::Formats.read(Norvel::Formats.write(document).bytes, name: document.name)

  # Everything that Sheets asks of a document, and an edit of each kind that is not refused; each is written.
  def bear(document)
    Norvel::Layout.of(document)
    Norvel::Guide::Check.new(Norvel::Guide.find("ravelmouth-thesis"), document).findings
    Norvel::Structure::Parts.new(document).list
    lists = Norvel::Structure::ContentsLists.new(document)
    lists.lists.each { |list| lists.compared(list) }
    edits(document).filter_map { |edit| made(document, edit) }.each do |now|
      expect(Norvel::Layout.of(again(now)).sheets.size).to eq Norvel::Layout.of(now).sheets.size
    end
  end

  def edits(document)
    last = document.sections.size
    matter = Norvel::Edits::SetMatters::Matter
    [Norvel::Edits::SetRunning.new([1], {"header" => Norvel::Running::Line.new(left: "{page}", right: "x")}),
      Norvel::Edits::SetRunning.new([last], {"footer" => Norvel::Running::Line.new}, which: "even"),
      Norvel::Edits::SetRunning.new((1..last).to_a, {"footer" => Norvel::Running::Line.new(middle: "{page}")},
        which: "first", each: true),
      Norvel::Edits::SetMatters.new([matter.new(paragraph: document.paragraphs[0].id, format: "upper_roman",
        start: 3)]), Norvel::Edits::JoinSections.new(last), Norvel::Edits::SetPage.new([last], {margin_left: 90.0}),
      Norvel::Edits::MirrorMargins.new(true), Norvel::Edits::BeginChapters.new([document.paragraphs.last.id]),
      *(0..2).map { |number| Norvel::Edits::RefreshContents.new(number) }]
  end

  def made(document, edit)
    edit.apply(document).after
  rescue Norvel::Refused => refusal
    expect(refusal.message).to end_with(".").or include("field")
    nil
  end

  it "of sections that say nothing of their pages, or the absurd" do
    bear(divided("", "<w:pgSz/><w:pgMar/>", '<w:type w:val="oddPage"/>'))
    bear(divided('<w:pgSz w:w="2000" w:h="3000"/><w:pgMar w:left="1800" w:right="1800" w:top="1700" w:bottom="1700"/>',
      '<w:pgSz w:w="0" w:h="-5"/>', '<w:cols w:num="40"/>'))
    bear(divided('<w:pgMar w:left="-900" w:right="nothing" w:top="-1440" w:header="99999" w:footer="-20"/>',
      '<w:type w:val="sideways"/><w:titlePg w:val="0"/>'))
  end

  it "of numbers that begin at nothing, or far out" do
    %w[0 99999 -3 many].each do |start|
      document = divided(%(<w:pgNumType w:start="#{start}"/>), %(<w:pgNumType w:fmt="lowerRoman" w:start="#{start}"/>),
        '<w:pgNumType w:fmt="upperLetter" w:start="60"/>')
      bear(document)
      expect(again(Norvel::Edits::SetPage.new([1], {margin_left: 99.0}).apply(document).after)
        .sections.map(&:number_start)).to eq document.sections.map(&:number_start)
    end
  end

  it "of heads whose parts are missing, named twice, or of another kind" do
    bear(divided('<w:headerReference w:type="default" r:id="rId77"/>',
      '<w:footerReference w:type="first" r:id="rId1"/><w:titlePg/>', '<w:headerReference w:type="upside" r:id=""/>'))
    foot = '<w:footerReference w:type="default" r:id="rId3"/>'
    document = docx(p(r("One"), sect(foot * 2)) + p(r("Two")) + sect(foot), footer: p(r("f")))
    bear(document)
    now = Norvel::Edits::SetRunning.new([2], {"footer" => Norvel::Running::Line.new(left: "new")}).apply(document).after
    expect(again(now).then { |read| (1..2).map { |number| read.head(number, "footer").text } }).to eq %w[f new]
  end

  def mark(type) = %(<w:r><w:fldChar w:fldCharType="#{type}"/></w:r>)

  def told(instruction) = "#{mark("begin")}<w:r><w:instrText> #{instruction} </w:instrText></w:r>#{mark("separate")}"

  it "of contents fields of other makes, and fields that never close or close twice" do
    heading = p(r("One"), '<w:outlineLvl w:val="0"/>') + p(r("Words of the text."))
    entry = told("TOC \\t \"Odd,1\" \\b mark \\h") + told('HYPERLINK \\l "_x"') + r("1\tOne\t") + told("PAGEREF _x") +
      r("9") + mark("end") * 3
    bear(docx(p(entry) + heading))
    bear(docx(p(told("TOC \\o") + r("One\t9")) + heading + p(mark("end") * 2)))
    bear(docx(p(mark("end") + told("TOC")) + p(told("TOC \\c Figure") + r("x")) +
      p(r("y") + mark("separate") + mark("end")) + heading))
    bear(docx(p(mark("begin") + mark("begin") + mark("end")) + p(told("SEQ") + mark("end")) +
      p(told("REF") + mark("end")) + p(told("PAGEREF nowhere \\p") + r("3") + mark("end")) + heading))
  end

  it "of captions whose sequences are odd" do
    styles = '<w:style w:type="paragraph" w:styleId="Caption"><w:name w:val="caption"/></w:style>'
    caption = ->(inside) { p(inside, '<w:pStyle w:val="Caption"/>') }
    odd = ["SEQ", 'SEQ "My Figure" \\r 99999999999', "SEQ Figure \\r", "SEQ Figure \\s 99", "SEQ Figure \\* Roman \\c"]
    document = docx(odd.map { |one| caption[r("Figure ") + told(one) + r("7") + mark("end") + r(". A")] }.join +
      caption[r("Figure 8")] + caption[r("Table")], styles:)
    bear(document)
    [Norvel::Edits::RefreshNumbers.new, Norvel::Edits::CountCaptions.new(document.paragraphs.map(&:id)),
      Norvel::Edits::RenumberCaptions.new(by_chapter: false)].each { |edit| (now = made(document, edit)) && again(now) }
  end

  it "of .odt masters that are missing, hand over to themselves, or have heads that are hidden" do
    master = ->(name, more, inside =
      "") {
      %(<style:master-page style:name="#{name}" ) +
        %(style:page-layout-name="pm1"#{more}>#{inside}</style:master-page>)
    }
    head = '<style:header style:display="false"><text:p>hidden</text:p></style:header><style:footer><text:p>' \
      "<text:page-number/></text:p></style:footer>"
    begins = ->(name) {
      %(<style:style style:name="P#{name}" style:family="paragraph" ) +
        %(style:parent-style-name="Standard" style:master-page-name="#{name}"><style:paragraph-properties ) +
        %(style:page-number="0"/></style:style>)
    }
    names = %w[Standard Loop Gone Ring]
    file = OpenDocument.new(names.map { |name| %(<text:p text:style-name="P#{name}">#{name} text</text:p>) }.join,
      automatic: names.map(&begins).join,
      masters: master["Standard", "", head] + master["Loop", ' style:next-style-name="Loop"', head] +
      master["Ring", ' style:next-style-name="Nowhere"'] + %(<style:master-page style:name="Bare"/>))
    bear(file.document)
    bare = OpenDocument.new("<text:p>one</text:p>", masters: "", pages: "").document
    bear(bare)
    expect(again(Norvel::Edits::SetPage.new([1], {margin_left: 99.0}).apply(bare).after).sections.first.margin_left)
      .to eq 99.0
    bear(OpenDocument.new("<text:p>one</text:p>", masters: '<style:master-page style:name="Standard"/>').document)
  end
end
