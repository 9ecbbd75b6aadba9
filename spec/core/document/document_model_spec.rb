# frozen_string_literal: true

# The structure of a text beside its reading order: ISO/IEC 29500-1 17.4 (tables), 17.11 (notes), 17.16 (fields and
# links), 17.13 (bookmarks, comments), 17.10 (heads and feet), 20.4 (images).
RSpec.describe Norvel::Document do
  W = Demo::Package::W unless const_defined?(:W)

  def field(instruction, result)
    %(<w:r><w:fldChar w:fldCharType="begin"/></w:r>) +
      %(<w:r><w:instrText xml:space="preserve"> #{instruction} </w:instrText></w:r>) +
      %(<w:r><w:fldChar w:fldCharType="separate"/></w:r>#{r(result)}<w:r><w:fldChar w:fldCharType="end"/></w:r>)
  end

  def box(text)
    %(<w:r><w:drawing><wp:anchor><wp:extent cx="1270000" cy="635000"/><a:graphic><a:graphicData uri="u">) +
      %(<w:txbxContent>#{text}) +
      %(</w:txbxContent></a:graphicData></a:graphic></wp:anchor></w:drawing></w:r>)
  end

  def cell(inside, properties = "") = %(<w:tc><w:tcPr>#{properties}</w:tcPr>#{inside}</w:tc>)

  def outline(blocks)
    blocks.map do |block|
      next block.text if block.is_a?(Norvel::Document::Paragraph)
      block.rows.map { |row| row.cells.map { |inner| outline(inner.blocks) } }
    end
  end

  describe "blocks" do
    it "are paragraphs and tables in order, nested tables in their cells" do
      inner = "<w:tbl><w:tr>#{cell(p(r("inner")))}</w:tr></w:tbl>"
      table = "<w:tbl><w:tr>#{cell(p(r("a")) + inner +
        p(r("b")))}#{cell(p(r("c")))}</w:tr><w:tr>#{cell(p(r("d")))}#{cell(p(""))}</w:tr></w:tbl>"
      document = docx(p(r("before")) + table + p(r("after")))
      expect(outline(document.blocks)).to eq ["before", [[["a", [[["inner"]]], "b"], ["c"]], [["d"], [""]]], "after"]
      expect(document.paragraphs.map(&:text)).to eq %w[before a inner b c d] + ["", "after"]
    end

    it "leave the text of a box to the box, which knows its place and size" do
      document = docx(p(r("x") + box(p(r("inside")) + p(r("more")))) + p(r("y")))
      anchored = document.paragraphs[0].boxes.first
      expect(outline(document.blocks)).to eq %w[x y]
      expect([anchored.width, anchored.height, anchored.floating]).to eq [100.0, 50.0, true]
      expect(Norvel::Document::Blocks.new(document.paragraphs, document.tables).in(anchored.id).map(&:text))
        .to eq %w[inside more]
    end

    it "follow edits of the reading order" do
      document = docx(p(r("one")) + "<w:tbl><w:tr>#{cell(p(r("two")) + p(r("three")))}</w:tr></w:tbl>" + p(r("four")))
      edited = [Norvel::Edits::DeleteParagraphs.new([2]), Norvel::Edits::AddParagraphs.text(1, "new")]
        .inject(document) { |now, edit| edit.change(now) }
      expect(outline(edited.blocks)).to eq ["one", "new", [[["three"]]], "four"]
      expect(outline(reread(edited).blocks)).to eq outline(edited.blocks)
    end

    it "say how a table is made" do
      properties = '<w:tblPr><w:tblStyle w:val="T"/><w:jc w:val="center"/><w:tblW w:w="2500" w:type="pct"/><w:tblInd ' \
        'w:w="200" w:type="dxa"/><w:tblLayout w:type="fixed"/><w:tblCaption w:val="Tides"/><w:tblDescription ' \
        'w:val="High and low"/></w:tblPr><w:tblGrid><w:gridCol w:w="2000"/><w:gridCol w:w="1000"/></w:tblGrid>'
      head = '<w:tr><w:trPr><w:cantSplit/><w:trHeight w:val="400" w:hRule="exact"/><w:tblHeader/></w:trPr>'
      first = cell(p(r("a")), '<w:tcW w:w="3000" w:type="dxa"/><w:gridSpan w:val="2"/><w:tcBorders><w:top ' \
        'w:val="single" w:sz="8" w:color="FF0000"/></w:tcBorders><w:shd w:val="clear" w:fill="EEEEEE"/><w:tcMar>' \
        '<w:left w:w="100" w:type="dxa"/></w:tcMar><w:vAlign w:val="center"/>')
      merged = ['<w:vMerge w:val="restart"/>', "<w:vMerge/>", "<w:vMerge/>"]
        .map { |merge| "<w:tr>#{cell(p(r("m")), merge)}#{cell(p(r("n")))}</w:tr>" }.join
      table = docx("<w:tbl>#{properties}#{head}#{first}</w:tr>#{merged}</w:tbl>").tables.first
      expect(table.to_h.slice(:style_id, :align, :width, :indent, :layout, :caption, :summary, :grid)).to eq(
        style_id: "T", align: "center", width: {rule: "percent", value: 50.0}, indent: 10.0, layout: "fixed",
        caption: "Tides", summary: "High and low", grid: [100.0, 50.0]
      )
      row = table.rows[0]
      expect([row.height, row.height_rule, row.header, row.may_split, table.header_rows])
        .to eq [20.0, "exact", true, false, 1]
      top = row.cells[0]
      expect([top.columns, top.width[:value], top.margins, top.shading, top.vertical_align,
        top.borders[:top].to_h.slice(:width, :color)]).to eq(
        [2, 150.0, {left: 5.0}, "#eeeeee", "center", {width: 1.0, color: "#ff0000"}]
      )
      expect(table.rows.drop(1).map { |other| [other.cells[0].rows, other.cells[0].continued] })
        .to eq [[3, false], [1, true], [1, true]]
    end
  end

  describe "what stands in a line" do
    it "is objects of its runs" do
      document = docx(p(r("See ") + note(2) + r("\tand\n") + image(7) +
        '<w:r><w:br w:type="page"/><w:softHyphen/><w:noBreakHyphen/><w:sym w:font="Symbol" w:char="F0B7"/></w:r>'),
        image: Demo::Picture.png, footnotes: footnote(2, "n"))
      pieces = document.paragraphs[0].runs.flat_map(&:pieces)
      expect(pieces.map { |piece| piece.is_a?(Norvel::Document::Separator) ? piece.name.to_sym : piece }).to match(
        ["See ", have_attributes(of: "footnote", note: "2"), :tab, "and", :line,
          have_attributes(id: 1, width: 320.0, height: 120.0, floating: false, path: "word/media/image1.png"),
          :page, :soft_hyphen, :no_break_hyphen, have_attributes(font: "Symbol", code: "F0B7")]
      )
      expect(document.note(pieces[1]).text).to eq " n"
    end

    it "knows fields by what they compute and their cached text, nested and over paragraphs" do
      toc = %(<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> TOC \\o "1-3" </w:instrText></w:r>) +
        '<w:r><w:fldChar w:fldCharType="separate"/></w:r>'
      document = docx(p(toc + r("One ") + field("PAGEREF a", "7")) +
        p(r("Two 9") + '<w:r><w:fldChar w:fldCharType="end"/></w:r>') +
        p('<w:fldSimple w:instr=" SEQ Figure "><w:r><w:t>3</w:t></w:r></w:fldSimple>') + p(r("after")))
      fields = document.paragraphs.flat_map do |one|
        one.runs.flat_map { |run| (run.objects + run.within).grep(Norvel::Document::Field) }
      end
      computed = Norvel::Document::Computed
      expect(fields.map { |one| [one.computes, one.cached] })
        .to eq [[computed::Contents.new(levels: 1..3), "One 7Two 9"], [computed::PageReference.new(bookmark: "a"), "7"],
          [computed::Sequence.new(name: "Figure"), "3"]]
      inside = document.paragraphs.map do |one|
        one.runs.flat_map(&:within).grep(Norvel::Document::FieldResult).map(&:field).uniq
      end
      expect(inside).to eq [[1, 2], [1], [], []]
    end

    it "says of a field that is nowhere closed that it has no result" do
      document = docx(p('<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> DATE </w:instrText></w:r>') +
        p(r("x")))
      expect(document.paragraphs[0].runs[0].objects.map { |one| [one.does, one.cached] }).to eq [["date", nil]]
    end

    it "knows links to addresses and to bookmarks, and where bookmarks and comments begin and end" do
      bytes = package(p('<w:bookmarkStart w:id="4" w:name="here"/>' + r("See ") +
        %(<w:hyperlink r:id="rId9" w:tooltip="Tide tables">#{r("the ")}#{r("table", "<w:b/>")}</w:hyperlink>) +
        '<w:bookmarkEnd w:id="4"/>' + %(<w:hyperlink w:anchor="here">#{r(" above")}</w:hyperlink>)))
      rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
        %(<Relationship Id="rId9" Type="#{Demo::Package::R}/hyperlink" ) +
          %(Target="https://ravelmouth.example/tides" TargetMode="External"/></Relationships>))
      paragraph = Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels), name: "x")
        .paragraphs[0]
      expect(paragraph.runs.map { |run| run.within.map { |link| link.address || link.bookmark } })
        .to eq [[], ["https://ravelmouth.example/tides"], ["https://ravelmouth.example/tides"], ["here"]]
      expect(paragraph.anchors.map { |anchor| [anchor.place, anchor.object.edge, anchor.object.name] })
        .to eq [[0, "start", "here"], [13, "end", nil]]
    end

    it "keeps anchors at their letters when the words around them change" do
      document = docx(p(r("The wall  ") + '<w:bookmarkStart w:id="1" w:name="b"/>' + r("was built") +
        '<w:bookmarkEnd w:id="1"/>' + r(" of stone")))
      single = Norvel::Edits::SingleSpaces.new([1])
        .change(document.replace([document.paragraphs[0]
        .with(runs: document.paragraphs[0].runs.map { |run| run.with(text: run.text.sub("of", "of ")) }.freeze)]))
      expect(single.paragraphs[0].anchors.map(&:place)).to eq [9, 18]
      later = Norvel::Edits::Retype.new(1, ["At first the wall  was built of stone"]).change(document)
      expect(later.paragraphs[0].anchors.map { |anchor| later.paragraphs[0].raw_text[anchor.place..][0, 4] })
        .to eq ["was ", " of "]
      expect(Norvel::Seal.of(later).same_objects?(Norvel::Seal.of(document))).to be true
    end

    it "knows equations and passes what it has no name for" do
      math = '<m:oMath xmlns:m="http://schemas.openxmlformats.org/officeDocument/2006/math"><m:r><m:t>h=2t</m:t>' \
        "</m:r></m:oMath>"
      paragraph = docx(p(r("where ") + math)).paragraphs[0]
      expect(paragraph.anchors.map { |anchor| [anchor.place, anchor.object.text, anchor.object.display] })
        .to eq [[6, "h=2t", false]]
    end
  end

  describe "sections" do
    let(:heads) do
      bytes = package(p(r("one"),
        '<w:sectPr><w:headerReference w:type="first" r:id="rId7"/><w:footerReference w:type="default" r:id="rId3"/>' \
        "<w:titlePg/></w:sectPr>") + p(r("two")) +
        '<w:sectPr><w:footerReference w:type="even" r:id="rId7"/></w:sectPr>', footer: p(r("foot")))
      rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
        %(<Relationship Id="rId7" Type="#{Demo::Package::R}/header" Target="header9.xml"/></Relationships>))
      Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels,
        "word/header9.xml" => %(<w:hdr xmlns:w="#{Demo::Package::W}">#{p(r("head"))}</w:hdr>)), name: "x")
    end

    it "have heads and feet of their own, or those of the section before" do
      expect(heads.sections.map(&:heads))
        .to eq [{header: {first: "word/header9.xml"}, footer: {default: "word/footer1.xml"}},
          {footer: {even: "word/header9.xml"}}]
      expect([heads.head(1, "footer")&.text, heads.head(2, "footer")&.text, heads.head(2, "header", "first")&.text,
        heads.head(2, "header")]).to eq ["foot", "foot", "head", nil]
    end

    it "say all that pages need" do
      section = docx(p(r("x")) +
        '<w:sectPr><w:footnotePr><w:numFmt w:val="lowerRoman"/><w:numRestart w:val="eachPage"/></w:footnotePr>' \
        '<w:pgSz w:w="11906" w:h="16838"/><w:pgBorders><w:top w:val="single" w:sz="4" w:space="24" w:color="auto"/>' \
        '</w:pgBorders><w:lnNumType w:countBy="5"/><w:cols w:num="2" w:equalWidth="0" w:sep="1"><w:col w:w="4000" ' \
        'w:space="400"/><w:col w:w="5000"/></w:cols><w:vAlign w:val="both"/><w:docGrid w:type="lines" ' \
        'w:linePitch="360"/></w:sectPr>').sections[0]
      expect(section.to_h.slice(:columns, :column_widths, :column_rule, :vertical_align, :line_grid)).to eq(
        columns: 2, column_widths: [[200.0, 20.0], [250.0, 0.0]], column_rule: true, vertical_align: "justify",
        line_grid: {type: "lines", pitch: 18.0, characters: nil}
      )
      expect([section.notes, section.page_borders[:top].to_h.slice(:width, :space), section.line_numbers[:every]])
        .to eq [{footnote: {format: "lower_roman", restart: "eachPage"}}, {width: 0.5, space: 24.0}, 5]
    end
  end

  describe "settings" do
    let(:part_of_settings) do
      %(<w:settings xmlns:w="#{Demo::Package::W}"><w:zoom w:percent="100"/><w:defaultTabStop w:val="851"/>) +
        '<w:evenAndOddHeaders/><w:compat><w:compatSetting w:name="compatibilityMode" w:uri="u" w:val="15"/>' \
        "</w:compat>" \
        "</w:settings>"
    end
    let(:document) do
      bytes = package(p(r("x")))
      rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
        %(<Relationship Id="rId9" Type="#{Demo::Package::R}/settings" Target="settings.xml"/></Relationships>))
      Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels,
        "word/settings.xml" => part_of_settings), name: "x")
    end

    it "are named values that are kept, saved, written and taken back" do
      expect(document.settings.to_h.slice(:even_and_odd, :mirrored, :default_tab_stop, :compatibility))
        .to eq(even_and_odd: true, mirrored: false, default_tab_stop: 42.55, compatibility: 15)
      now = document.with(settings: document.settings.with(mirrored: true, even_and_odd: false,
        default_tab_stop: 28.35))
      change = Norvel::Edits::Change.between(document, now, title: "t")
      expect(Norvel::Snapshot.load(Norvel::Snapshot.dump(now, document), document).settings).to eq now.settings
      expect(reread(now).settings).to eq now.settings
      expect(part(written(now), "word/settings.xml"))
        .to match(%r{<w:zoom w:percent="100"/><w:mirrorMargins/><w:defaultTabStop w:val="567"/><w:compat>})
      expect(change.take_back(now).settings).to eq document.settings
      expect(Norvel::Snapshot.take_back(Norvel::Snapshot.dump_change(change, document), now, document).settings)
        .to eq document.settings
    end
  end

  describe "the order of paragraphs" do
    let(:document) do
      docx((1..6).map { |n| p(r("p#{n}")) }.join +
        "<w:tbl><w:tr>#{cell(p(r("c1")) + p(r("c2")) + p(r("c3")))}</w:tr></w:tbl>" + p(r("last")))
    end

    def order(document) = document.paragraphs.map(&:text)

    it "is written when paragraphs are swapped" do
      list = document.paragraphs.dup
      list[0], list[4] = list[4], list[0]
      swapped = document.with(paragraphs: list.freeze)
      expect(order(reread(swapped))).to eq %w[p5 p2 p3 p4 p1 p6 c1 c2 c3 last]
      expect(part(written(swapped), "word/document.xml").scan("<w:tbl>").size).to eq 1
    end

    it "is written after any shuffling within a story, and taken back to the same bytes" do
      random = Random.new(7)
      40.times do
        text, cells = document.paragraphs.partition { |one| one.part == :body }
        first, last = text.shuffle(random:).each_slice(random.rand(1..6)).to_a.then do |slices|
          [slices.first, slices.drop(1).flatten]
        end
        shuffled = document.with(paragraphs: (first + [*cells.first(2).shuffle(random:), cells.last] + last).freeze)
        expect(order(reread(shuffled))).to eq order(shuffled)
        change = Norvel::Edits::Change.between(document, shuffled, title: "t")
        expect(written(change.take_back(shuffled))).to eq written(document)
      end
    end

    it "moves up and down past neighbours, with what is anchored, and not out of a cell or a section" do
      move = ->(ids, way) { Norvel::Edits::MoveParagraphs.new(ids, way).apply(document).after }
      expect(order(move.call([2, 3], "up"))).to eq %w[p2 p3 p1 p4 p5 p6 c1 c2 c3 last]
      expect(order(move.call([8], "up")).values_at(6, 7)).to eq %w[c2 c1]
      expect(order(reread(move.call([6], "down")))).to eq %w[p1 p2 p3 p4 p5 c1 c2 c3 last p6]
      expect { move.call([9], "up") }.to raise_error(Norvel::Refused, /needs it/)
      expect { move.call([1], "up") }.to raise_error(Norvel::Refused, /nothing above/)
      boxed = docx(p(r("x") + box(p(r("inside")))) + p(r("y")))
      expect(order(reread(Norvel::Edits::MoveParagraphs.new([1], "down").apply(boxed).after))).to eq %w[y x inside]
    end
  end
end
