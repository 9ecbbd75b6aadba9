# frozen_string_literal: true

require "open3"

# Shapes with their lines and fills, and what is drawn around boxes of text: of drawings (ISO/IEC 29500-1 20.1), of the
# older kind (ISO/IEC 29500-4 19.1), of OpenDocument (ISO/IEC 26300-1 10.3).
RSpec.describe "shapes" do
  spaces = {wp: "http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing",
            a: "http://schemas.openxmlformats.org/drawingml/2006/main", v: "urn:schemas-microsoft-com:vml",
            wps: "http://schemas.microsoft.com/office/word/2010/wordprocessingShape"}
    .map { |prefix, uri| %(xmlns:#{prefix}="#{uri}") }.join(" ")
  solid = ->(hex) { %(<a:solidFill><a:srgbClr val="#{hex}"/></a:solidFill>) }

  # A shape of 90 by 60 points in the line.
  define_method(:shape) do |form, set = "", text: "", style: "", flip: ""|
    said = text.empty? ? ' descr="A form"' : ""
    %(<w:r><w:drawing #{spaces}><wp:inline><wp:extent cx="1143000" cy="762000"/><wp:docPr id="1" name="S"#{said}/>) +
      %(<a:graphic><a:graphicData><wps:wsp><wps:spPr><a:xfrm #{flip}/><a:prstGeom prst="#{form}"/>#{set}</wps:spPr>) +
      %(#{style}#{text}</wps:wsp></a:graphicData></a:graphic></wp:inline></w:drawing></w:r>)
  end

  define_method(:older) { |content| %(<w:r><w:pict #{spaces}>#{content}</w:pict></w:r>) }

  def read(content) = docx(p(content)).paragraphs[0].runs.flat_map(&:objects).first&.shape

  def told(shape) = shape && [shape.kind, shape.fill, shape.line, shape.weight]

  box = "<wps:txbx><w:txbxContent><w:p><w:r><w:t>In the box</w:t></w:r></w:p></w:txbxContent></wps:txbx>"
  style = '<wps:style><a:lnRef idx="2"><a:schemeClr val="none"/></a:lnRef><a:fillRef idx="0"/></wps:style>'

  it "are read with their fill and their line" do
    line = %(<a:ln w="25400">#{solid["204060"]}</a:ln>)
    expect(told(read(shape("rect", solid["DDEEFF"] + line)))).to eq ["rectangle", "#ddeeff", "#204060", 2.0]
    expect(told(read(shape("ellipse", "<a:noFill/>#{line}")))).to eq ["ellipse", nil, "#204060", 2.0]
    expect(told(read(shape("roundRect", solid["DDEEFF"])))).to eq ["rounded", "#ddeeff", nil, 0.75]
    expect(read(shape("line", line, flip: 'flipV="1"'))).to have_attributes kind: "line", rises: true, fill: nil
    expect(told(read(shape("rect", style:)))).to eq ["rectangle", nil, nil, 0.75]
    expect(read(shape("cloud", solid["DDEEFF"]))).to be_nil
  end

  it "are polygons by their names, from one format to the other" do
    kinds = %w[triangle rtTriangle diamond parallelogram hexagon homePlate chevron rightArrow leftArrow upArrow
      downArrow]
    document = docx(kinds.map { |one| p(shape(one, solid["DDEEFF"])) }.join)
    seen = ->(one) { one.pictures.map { |picture| picture.image.shape.kind } }
    expect(seen[document]).to eq Norvel::Document::Shape::POLYGONS.keys.values_at(0, 1, 2, 3, 4, 5, 6, 7, 8, 10, 9)
    opened = Norvel::Formats.read(Norvel::Formats.write(document, as: "odt").bytes, name: "a")
    again = Norvel::Formats.read(Norvel::Formats.write(opened, as: "docx").bytes, name: "a")
    expect([seen[opened], seen[again]]).to eq [seen[document]] * 2
    expect(read(shape("triangle", solid["DDEEFF"], flip: 'flipV="1"'))).to be_nil
    expect(read(shape("hexagon", solid["DDEEFF"]).sub('prst="hexagon"/>', 'prst="hexagon"><a:avLst><a:gd/></a:avLst>' \
      "</a:prstGeom>"))).to be_nil
  end

  it "are lines with the heads of arrows at the ends that they say, from one format to the other" do
    line = "<a:ln>#{solid["204060"]}<a:tailEnd type=\"triangle\"/></a:ln>"
    arrow = read(shape("straightConnector1", line))
    expect(arrow.head_corners(100.0, 0.0)).to eq [[[100.0, 0.0], [97.0, -1.5], [97.0, 1.5]]]
    flips = ["", 'flipV="1"', 'flipH="1"', 'flipH="1" flipV="1"']
    document = docx(flips.map { |flip| p(shape("straightConnector1", line, flip:)) }.join)
    course = ->(one) { one.pictures.map { |picture| [picture.image.shape.rises, picture.image.shape.heads] } }
    said = [[false, ["end"]], [true, ["end"]], [true, ["start"]], [false, ["start"]]]
    opened = Norvel::Formats.read((odt = Norvel::Formats.write(document, as: "odt")).bytes, name: "a")
    again = Norvel::Formats.read((docx = Norvel::Formats.write(opened, as: "docx")).bytes, name: "a")
    expect([document, opened, again].map(&course)).to eq [said] * 3
    expect([odt, docx].map { |one| one.carried.not_carried }).to eq [[], []]
  end

  # As ISO/IEC 26300-1 10.3.3 tells lines: from one point to another, in any direction.
  it "are lines of OpenDocument whose heads stand where they end" do
    style = '<style:style style:name="g" style:family="graphic"><style:graphic-properties draw:stroke="solid" ' \
      'draw:marker-start="" draw:marker-end="Arrow"/></style:style>'
    read = lambda do |x1, y1, x2, y2|
      line = %(<draw:line draw:style-name="g" text:anchor-type="as-char" svg:x1="#{x1}pt" svg:y1="#{y1}pt" ) +
        %(svg:x2="#{x2}pt" svg:y2="#{y2}pt"/>)
      OpenDocument.new("<text:p>#{line}</text:p>", automatic: style).document.paragraphs[0].images[0].shape
    end
    tips = [[0, 0, 50, 20], [0, 20, 50, 0], [50, 20, 0, 0], [50, 0, 0, 20], [0, 20, 0, 0]].map { |x1, y1, x2, y2|
      read[x1, y1, x2, y2].head_corners((x1 - x2).abs.to_f, (y1 - y2).abs.to_f).map(&:first)
    }
    expect(tips).to eq [[[50.0, 20.0]], [[50.0, 0.0]], [[0.0, 0.0]], [[0.0, 20.0]], [[0.0, 0.0]]]
  end

  it "have corners within their box" do
    Norvel::Document::Shape::POLYGONS.each_key do |kind|
      corners = Norvel::Document::Shape.new(kind:).corners(90.0, 60.0)
      expect([corners.map(&:first).minmax, corners.map(&:last).minmax]).to eq([[0, 90.0], [0, 60.0]]), kind
    end
  end

  describe "in a group (20.1.2.2.20)" do
    moved = ->(x, y, wide, high, inner = "") {
      %(<a:xfrm><a:off x="#{x}" y="#{y}"/><a:ext cx="#{wide}" cy="#{high}"/>#{inner}</a:xfrm>)
    }
    units = ->(wide, high) { %(<a:chOff x="0" y="0"/><a:chExt cx="#{wide}" cy="#{high}"/>) }
    member = ->(form, *place) {
      %(<wps:wsp><wps:spPr>#{moved[*place]}<a:prstGeom prst="#{form}"/>#{solid["DDEEFF"]}</wps:spPr></wps:wsp>)
    }
    held = ->(frame, inside) {
      %(<g:grpSp xmlns:g="urn:x"><g:grpSpPr>#{frame}</g:grpSpPr>#{inside}</g:grpSp>)
    }

    define_method(:group) do |inside|
      frame = moved[0, 0, 4_000_000, 2_000_000, units[400, 200]]
      %(<w:r><w:drawing #{spaces}><wp:inline><wp:extent cx="4000000" cy="2000000"/><wp:docPr id="1" descr="G"/>) +
        %(<a:graphic><a:graphicData><g:wgp xmlns:g="urn:x"><g:grpSpPr>#{frame}</g:grpSpPr>#{inside}</g:wgp>) +
        "</a:graphicData></a:graphic></wp:inline></w:drawing></w:r>"
    end

    inner = held[moved[0, 100, 200, 100, units[20, 10]], member["ellipse", 10, 0, 10, 10]]
    whole = member["rect", 0, 0, 200, 80] + inner

    it "are one drawing, each at its place, in a group within it too" do
      found = read(group(whole))
      expect(found.parts.map { |one, *place| [one.kind, *place] })
        .to eq [["rectangle", 0.0, 0.0, 0.5, 0.4], ["ellipse", 0.25, 0.5, 0.25, 0.5]]
      document = docx(p(group(whole)) + p(r("After")))
      saved = document.replace([document.paragraphs[0].with(style_id: "X")])
      again = Norvel::Snapshot.load(Norvel::Snapshot.dump(saved, document), document)
      expect(again.paragraphs[0].images[0].shape).to eq found
      expect(Norvel::Pdf.write(document).carried.not_carried).to eq []
      lost = Norvel::Formats.write(document, as: "odt").carried.not_carried
      expect(lost.map { |one| [one.what, one.count] }).to eq [["drawings", 1]]
    end

    it "are none where one of them has no name here, turns, or stands nowhere" do
      odd = [member["cloud", 0, 0, 10, 10], member["rect", 0, 0, 10, 10].sub("<a:xfrm>", '<a:xfrm rot="5400000">'),
        "<wps:wsp><wps:spPr/></wps:wsp>", held["", member["rect", 0, 0, 10, 10]], "<g:pic xmlns:g='urn:x'/>"]
      expect(odd.map { |one| read(group(whole + one)) }.uniq).to eq [nil]
    end
  end

  it "are lighter and darker than a colour as they say (20.1.2.3.20)" do
    half = '<a:solidFill><a:srgbClr val="204060"/></a:solidFill>'
    darker = '<a:solidFill><a:sysClr lastClr="808080"><a:lumMod val="50000"/></a:sysClr></a:solidFill>'
    expect([half, darker].map { |set| read(shape("rect", set)).fill }).to eq %w[#204060 #404040]
  end

  it "are read of the older kind, whose ground is white and whose line is black where nothing is said" do
    expect(told(read(older('<v:rect style="width:50pt;height:20pt" alt="A form"/>'))))
      .to eq ["rectangle", "#ffffff", "#000000", 0.75]
    plain = 'fillcolor="#ffeecc" stroked="f" strokeweight="2pt"'
    expect(told(read(older(%(<v:rect style="width:50pt;height:20pt" alt="A form" #{plain}/>)))))
      .to eq ["rectangle", "#ffeecc", nil, 2.0]
  end

  it "are read of OpenDocument by their graphic style" do
    set = lambda do |said|
      %(<style:style style:name="g" style:family="graphic"><style:graphic-properties #{said}/></style:style>)
    end
    frame = '<draw:frame draw:style-name="g" text:anchor-type="as-char" svg:width="90pt" svg:height="60pt">' \
      "<draw:text-box><text:p>In the box</text:p></draw:text-box></draw:frame>"
    form = '<draw:custom-shape draw:style-name="g" text:anchor-type="as-char" svg:width="90pt" svg:height="60pt">' \
      '<draw:enhanced-geometry draw:type="ellipse"/></draw:custom-shape>'
    read = ->(inside, said) {
      document = OpenDocument.new("<text:p>#{inside}</text:p>", automatic: set[said]).document
      told(document.paragraphs[0].runs.flat_map(&:objects).first.shape)
    }
    expect(read[frame, 'fo:border="1pt solid #204060" fo:background-color="#ffffcc"'])
      .to eq ["rectangle", "#ffffcc", "#204060", 1.0]
    expect(read[frame, 'fo:border="none"']).to be_nil
    expect(read[form, 'draw:fill="solid" draw:fill-color="#ddeeff" draw:stroke="solid" svg:stroke-color="#204060"'])
      .to eq ["ellipse", "#ddeeff", "#204060", 0.25]
  end

  it "go from one format into the other and back" do
    line = %(<a:ln w="25400">#{solid["204060"]}</a:ln>)
    forms = [shape("rect", solid["DDEEFF"] + line), shape("ellipse", "<a:noFill/>#{line}"),
      shape("roundRect", solid["DDEEFF"] + "<a:ln><a:noFill/></a:ln>"), shape("line", line, flip: 'flipV="1"'),
      shape("rect", solid["FFFFCC"] + line, text: box)]
    document = docx(forms.map { |one| p(one) }.join)
    seen = ->(one) {
      one.paragraphs.flat_map { |paragraph| paragraph.runs.flat_map(&:objects).map(&:shape) }
        .map { |shape| [*told(shape).first(3), (shape.weight.round(1) if shape.line), shape.rises] }
    }
    opened = Norvel::Formats.read((written = Norvel::Formats.write(document, as: "odt")).bytes, name: "a")
    expect([seen[opened], written.carried.not_carried]).to eq [seen[document], []]
    again = Norvel::Formats.read((written = Norvel::Formats.write(opened, as: "docx")).bytes, name: "a")
    expect([seen[again], written.carried.not_carried]).to eq [seen[document], []]
    expect(again.pictures.map(&:description)).to eq ["A form"] * 4
  end

  # 20.179 fo:clip: lengths off an image as large as its pixels make it, 96 to an inch or as it says.
  it "and images of OpenDocument are cut as their style says" do
    png = Demo::Picture.png
    width, height = png.b.byteslice(16, 8).unpack("NN").map { |pixels| pixels * 0.75 }
    clipped = ->(clip, bytes = png) {
      automatic = %(<style:style style:name="g" style:family="graphic"><style:graphic-properties fo:clip="#{clip}"/>) +
        "</style:style>"
      frame = '<text:p><draw:frame draw:style-name="g" text:anchor-type="as-char" svg:width="90pt" svg:height="60pt">' \
        '<draw:image xlink:href="Pictures/1.png"/></draw:frame></text:p>'
      document = OpenDocument.new(frame, automatic:, files: {"Pictures/1.png" => bytes}).document
      document.paragraphs[0].images[0].crop&.map { |part| part.round(3) }
    }
    expect(clipped["rect(0cm, #{width / 4}pt, #{height / 2}pt, 0cm)"]).to eq [0.0, 0.0, 0.25, 0.5]
    expect([clipped["rect(0cm, 0cm, 0cm, 0cm)"], clipped["auto"], clipped["rect(1cm)"]]).to eq [nil, nil, nil]
    expect(clipped["rect(1cm, 1cm, 1cm, 1cm)", "no image"]).to be_nil
    fine = png.b.sub("IDAT", "pHYs".b + [11_811, 11_811, 1].pack("NNC") + "IDAT") # 300 to an inch
    expect(clipped["rect(0cm, #{width / 16}pt, 0cm, 0cm)", fine]).to eq [0.0, 0.0, 0.195, 0.0]
  end

  describe "on pages" do
    let(:document) do
      docx(p(r("Before ") + shape("rect", solid["FFFFCC"], text: box)) +
        p(shape("ellipse", solid["DDEEFF"]) + shape("line", "<a:ln>#{solid["204060"]}</a:ln>")) + p(r("After it.")))
    end

    it "hold their words in the line, on the sheet too" do
      lines = Norvel::Layout.of(document).sheets[0].lines
      expect(lines.map { |line| line.text.strip }.reject(&:empty?)).to eq ["Before", "In the box", "After it."]
      around = lines.first.spans.find(&:object)
      inside = lines.find { |line| line.text.include?("In the box") }
      expect(inside.left).to be_within(0.01).of(around.x + 7.2)
      expect(inside.top).to be_within(0.01).of(lines.first.baseline - around.object.height)
    end

    it "are drawn in the PDF, and boxes read after the paragraph that they stand at" do
      written = Norvel::Pdf.write(document)
      expect(written.carried.not_carried).to eq []
      Dir.mktmpdir do |folder|
        File.binwrite("#{folder}/o.pdf", written.bytes)
        told, = Open3.capture2e("pdfinfo", "-struct-text", "#{folder}/o.pdf")
        expect(told.scan(/"([A-Z][^"]+?) *"/).flatten).to eq ["Before", "In the box", "After it."]
        drawn, = Open3.capture2e("pdftocairo", "-svg", "#{folder}/o.pdf", "-")
        hues = drawn.scan(/fill[=:]"? ?rgb\(([^)]+)\)/).flatten.map { |said| said.scan(/[\d.]+/).map(&:to_f) }.uniq
        expect(hues.map { |hue| hue.map(&:round) }).to include([100, 100, 80], [87, 93, 100])
      end
    end
  end
end
