# frozen_string_literal: true

# Text in markup: what its readers understand, what it looks like dressed, and what is written of it again.
RSpec.describe Norvel::Markup do
  def markdown(source) = Norvel::Formats::Markdown::Reader.text(source)

  def page(source) = Norvel::Formats::Html::Reader.page(source)

  def plain(source) = Norvel::Formats::PlainText::Reader.text(source)

  def roles(text) = text.blocks.map { |block| [block.role, block.text] }

  def dress(text, template = "ravelmouth-report")
    Norvel::Formats.read(Norvel::Formats.dress(text, Norvel::Formats::Template.find(template), name: "text").bytes,
      name: "text")
  end

  def write(document, as) = Norvel::Formats.write(document, as:)

  let(:gauge) { markdown(Demo::Gauge.new.bytes.dup.force_encoding("UTF-8")) }

  describe "Markdown" do
    it "has front matter" do
      expect(gauge.info).to eq(title: "The tide gauge at the old pier",
        subtitle: "A report to the Harbour Authority of Ravelmouth", author: "Mirre Tolland", date: "October 2026",
        language: "en-GB")
    end

    it "has front matter that is none, too" do
      expect(roles(markdown("---\n- a\n---\n\nwords"))).to eq [["body", "words"]]
      expect(markdown("---\ntitle: !ruby/object:Object {}\n---\n\nwords").info).to eq({})
    end

    it "has headings, lists in lists, quotations, code, tables, links and notes" do
      expect(gauge.blocks.map(&:role).tally)
        .to eq("heading_1" => 4, "heading_2" => 2, "body" => 5, "list_item" => 8, "table" => 1, "code" => 2,
          "quote" => 1)
      expect(gauge.blocks.filter_map(&:place).map { |place| [place.ordered, place.level] })
        .to eq [[true, 0], [true, 0], [true, 0], [false, 1], [false, 1], [false, 0], [false, 0], [false, 0]]
      expect(gauge.notes.values.map { |blocks| blocks.map(&:text) })
        .to eq [["Two times in three; three centimetres nearly always."],
          ["The winter survey of that year has the only drawing of the mark."]]
    end

    it "keeps quotes, dashes and dots as they were typed" do
      expect(roles(markdown("\"so\" -- it's ... << a >> --- b"))).to eq [["body", "\"so\" -- it's ... << a >> --- b"]]
    end

    it "passes over what is script" do
      expect(roles(markdown("a\n\n<script>alert(1)</script>\n\n[b](javascript:alert(1))")))
        .to eq [["body", "a"], ["body", "b"]]
      expect(markdown("[b](javascript:alert(1))").blocks.first.pieces.first.link).to be_nil
    end
  end

  describe "a web page" do
    it "has structure and emphasis by meaning, classes and looks dropped" do
      text = page('<html lang="de"><head><title>T</title><style>p{}</style></head><body><h2 class="x">Head</h2><p ' \
        'style="color:red">a <b>b</b> <i>c<sub>2</sub></i></p><div>d<p>e</p></div></body></html>')
      expect(roles(text)).to eq [["heading_2", "Head"], ["body", "a b c2"], ["body", "d"], ["body", "e"]]
      expect(text.info).to eq(title: "T", language: "de")
      expect(text.blocks[1].pieces.map(&:marks))
        .to eq [{}, {bold: true}, {}, {italic: true}, {italic: true, position: "sub"}]
    end

    it "has tables in tables, lists that start elsewhere, terms, and images that came along" do
      image = ["\x89PNG\r\n\x1A\n".b + "\0\0\0\rIHDR".b + [40, 20].pack("NN")].pack("m0")
      text = page(%(<ol start="4"><li>a</li></ol><dl><dt>t</dt><dd>d</dd></dl><table><tr><th>h</th></tr><tr><td>) +
        %(<table><tr><td>in</td></tr></table></td></tr></table><img alt="A" src="data:image/png;base64,#{image}">))
      expect(text.blocks.first.place.start).to eq 4
      expect(text.blocks[3].rows.last.first.blocks.first.role).to eq "table"
      expect(dress(text).pictures.map { |one| [one.description, one.width] }).to eq [["A", 30.0]]
    end

    it "nested without end is refused in a sentence" do
      expect { page("<div>" * 5_000) }.to raise_error(Norvel::UnreadableFile, /nested deeper/)
    end
  end

  describe "plain text" do
    it "has paragraphs by blank lines, with lines that were broken by hand joined" do
      expect(roles(plain("The first line of it is broken by hand, since\nthe page of the machine was no wider than " \
        "this\none.\n\nAnother.")))
        .to eq [["body", "The first line of it is broken by hand, since the page of the machine was no wider than " \
        "this one."], ["body", "Another."]]
    end

    it "has a paragraph a line where there are no blank ones" do
      expect(roles(plain("one\ntwo\nthree"))).to eq [["body", "one"], ["body", "two"], ["body", "three"]]
    end

    it "has titles that are underlined, and lists that are typed" do
      text = plain("Report\n======\n\nPart\n----\n\n- a\n- b goes\n  on\n\n1. one\n2. two\n\n3) three\n\n7. alone in " \
        "its place")
      expect(roles(text)).to eq [["heading_1", "Report"], ["heading_2", "Part"], ["list_item", "a"],
        ["list_item", "b goes on"], ["list_item", "one"], ["list_item", "two"], ["list_item", "three"],
        ["list_item", "alone in its place"]]
      expect(text.blocks.filter_map(&:place).map { |place| [place.ordered, place.key] })
        .to eq [[false, 1], [false, 1], [true, 2], [true, 2], [true, 2], [true, 3]]
    end

    it "is what its words say where nothing else does" do
      prose = "The eastern quay was measured again after the breach of the outer bank, which the accounts confirm. " \
        "The second wheel is described in few words when the dues were doubled."
      text = Norvel::Formats["text"]
        .read(["Chapter 1. The estuary", "", prose, "", "1.1 Dues after the breach", "", prose, "",
          "Figure 1. The well of the gauge", "", prose].join("\n"))
      expect(text.blocks.map(&:role)).to eq %w[heading_1 body heading_2 body caption body]
    end

    it "may be in encodings of its time" do
      format = Norvel::Formats["text"]
      expect(["\xEF\xBB\xBFTür".b, "\xFF\xFE".b + "Tür".encode("UTF-16LE").b, "T\xFCr".b]
        .map { |bytes| format.read(bytes).blocks.first.text }).to eq ["Tür"] * 3
      expect { format.read("\0\0\0\0abc".b) }.to raise_error(Norvel::UnreadableFile, /no text/)
      expect { format.read(" \n ") }.to raise_error(Norvel::UnreadableFile, /no words/)
    end
  end

  describe "dressed in a template" do
    %w[ravelmouth-report ravelmouth-thesis short-notice].each do |template|
      it "stands in the styles of #{template}, every word of it" do
        document = dress(gauge, template)
        words = gauge.info.values_at(:title, :subtitle, :author, :date).join(" ").split + gauge.words
        expect(document.everything.reject { |one|
          Norvel::Document::Story.id?(one.id) &&
                  document.story_of(one.id).head?
        }.flat_map { |one| one.text.split }.tally).to eq words.tally
        expect(document.paragraphs.map { |one| document.style_name(one) }).to include("Heading 1", "Heading 2")
        expect(document.paragraphs.map { |one| document.look(one)[:outline_level] }.uniq).to contain_exactly(0, 1, 2)
      end
    end

    it "has its lists, its table with a head, its notes and its emphasis" do
      document = dress(gauge)
      expect(document.markers.values).to eq ["1.", "2.", "3.", "–", "–", "•", "•", "•"]
      expect([document.tables.first.header_rows, document.tables.first.rows.size]).to eq [1, 4]
      expect(Norvel::Seal.of(document).counts).to include(note_mark: 2, link: 1)
      emphasised = document.paragraphs.flat_map do |one|
        one.runs.select { |run| document.run_look(run, one)[:italic] }.map(&:text)
      end
      expect(emphasised).to include("two centimetres", "dry")
    end

    it "has the pages of the template, its heads and feet" do
      template = Norvel::Formats::Template.find("ravelmouth-thesis")
      document = dress(gauge, "ravelmouth-thesis")
      expect(document.sections.first.to_h.slice(:width, :margin_left))
        .to eq template.sections.last.to_h.slice(:width, :margin_left)
      expect(document.stories.count(&:head?)).to eq template.stories.count(&:head?)
    end

    it "may be dressed in an .odt" do
      template = Norvel::Formats.read(Norvel::Formats.write(Norvel::Formats::Template.find("ravelmouth-report"),
        as: "odt").bytes, name: "t.odt")
      document = Norvel::Formats.read(Norvel::Formats.dress(gauge, template, name: "x").bytes, name: "x")
      expect([document.format, document.style_name(document.paragraphs[5])]).to eq ["odt", "Text body"]
    end
  end

  describe "written again" do
    let(:document) { dress(gauge) }

    it "is the Markdown that it was" do
      again = markdown(write(document, "markdown").bytes)
      expect(again.blocks.map(&:role).tally)
        .to eq("heading_1" => 1, "heading_2" => 4, "heading_3" => 2, "body" => 8, "list_item" => 8, "table" => 1,
          "code" => 2, "quote" => 1)
      expect(again.blocks.flat_map(&:pieces).filter_map(&:link)).to eq ["https://ravelmouth.example/survey"]
    end

    it "has no link that a browser would run, in any format" do
      document = dress(Norvel::Markup::Text.new(blocks: [Norvel::Markup::Block.new(role: "body", pieces: [
        Norvel::Markup::Piece.new(text: "run", link: "javascript:alert(1)"),
        Norvel::Markup::Piece.new(text: "go", link: "https://a.example")
      ])]))
      %w[markdown html].each { |format|
        expect(write(document, format).bytes)
          .to satisfy { |text| text.include?("https://a.example") && !text.include?("javascript:") }
      }
    end

    it "has no sign in its words read as markup" do
      odd = ["# no heading", "* no list", "1. no number", "a_b_c *d* [e](f) `g` <h> |i| ~j~ \\k", "> no quotation",
        "- no list", "+ no list", "&amp; no sign"]
      document = docx(odd.map { |text| p(r(text)) }.join)
      expect(roles(markdown(write(document, "markdown").bytes))).to eq(odd.map { |text| ["body", text] })
    end

    it "is a page of the elements that mean the same" do
      html = write(document, "html").bytes
      expect(html).to include('<html lang="en-GB">', "<h1>The tide gauge at the old pier</h1>",
        '<th scope="col">Month</th>', 'role="doc-noteref"', 'role="doc-endnotes"', "<blockquote>", "<pre><code>06:00")
      again = page(html)
      expect(again.blocks.map(&:role).tally).to eq(markdown(write(document, "markdown").bytes).blocks.map(&:role).tally)
    end

    it "is words alone" do
      expect(write(document, "text").bytes)
        .to include("What was asked\n==============", "What was moved\n--------------",
          "1. The old well was drawn and dried.", "[1] Two times in three")
    end

    it "tells what is left behind" do
      carried = write(thesis, "markdown").carried.to_h
      expect(carried[:not_carried].map { |one| [one[:what], one[:count]] })
        .to eq [["running heads and feet", 1], ["images, whose files can't be in a text", 10]]
    end

    it "keeps every letter of documents mixed by chance" do
      (1..8).each do |seed|
        [Mixed.new(seed).document, MixedOpen.new(seed).document].each do |mixed|
          %w[html text].each { |name| expect { write(mixed, name) }.not_to raise_error }
        end
      end
    end
  end

  it "is known by a file's name, unless its bytes are a document" do
    odt = OpenDocument.new("<text:p>a</text:p>").bytes
    expect([Norvel::Formats.markup("# a", "x.md")&.name, Norvel::Formats.markup("<p>a", "x.HTM")&.name,
      Norvel::Formats.markup(odt, "x.md"), Norvel::Formats.markup("a", "x.docx")]).to eq ["markdown", "html", nil, nil]
  end

  # A shelf tells the same before a text is dressed and after: notes stand beside the text in both.
  it "counts the words of the text as the document does that is made of it" do
    text = Norvel::Formats.markup("# Head", "a.md")
      .read("# Head\n\n1. one two\n2. three\n\n> quote *here*\n\nText and `code x`.[^1]\n\n[^1]: A note here.\n")
    pattern = Norvel::Formats::Template.find(Norvel::Formats::Template.shipped.keys.first)
    document = Norvel::Formats.read(Norvel::Formats.dress(text, pattern, name: "a.md").bytes, name: "a.docx")
    expect([text.words(beside: false).size, text.words.size])
      .to eq [document.word_count, document.everything.sum(&:word_count)]
  end
end
