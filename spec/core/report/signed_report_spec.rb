# frozen_string_literal: true

require "open3"

# The page that a supervisor signs, as data, as HTML and as a PDF that poppler reads.
RSpec.describe Norvel::Report::SignedReport do
  running = "The keeper of the gate wrote the hour and the height of the tide in the book, and he signed it. " * 3
  guide = Norvel::Guide.new(<<~YAML)
    norvel_guide: 1
    name: House
    edition: 3
    page: {margins: {left: 38mm}, cite: "2.1"}
    clean: {double_spaces: must}
    exceptions: [{rule: clean.double_space, where: {words: quoted}, because: "as the source has it", by: "A. Reader"}]
  YAML

  let(:document) do
    lines = [p(r("Tides & gates", "<w:b/>")), p(r(running)), p(r("One  and two. #{running}")), p(r("It  is quoted.")),
      p(r("Elsewhere", '<w:rFonts w:ascii="Courier New" w:hAnsi="Courier New"/>'))]
    docx(lines.join, defaults: defaults("Calibri", 22)).tap { |made| Norvel::Layout.of(made) }
  end
  let(:check) { Norvel::Guide::Check.new(guide, document) }
  let(:mended) { Norvel::Edits::SingleSpaces.new([3]).apply(document).after.tap { |made| Norvel::Layout.of(made) } }
  let(:made) do
    Norvel::Report::SignedReport::Made.new(title: "Mend all", kinds: ["Double spaces in 1 paragraph"],
      on: Date.new(2026, 11, 30))
  end

  def report(check = self.check, **more)
    Norvel::Report::SignedReport.new(check, file: "tides.docx", on: Date.new(2026, 12, 1), **more)
  end

  it "tells what is asked, met, left and granted, with page and line" do
    data = report.to_h
    expect(data).to include(guide: "House", edition: "3", on: "2026-12-01", meets: false,
      counts: {"must" => 2, "should" => 0, "advice" => 0})
    expect(data[:topics].map { |one| one.values_at(:topic, :asked, :met, :open) })
      .to eq [["Page", 1, 0, 1], ["Cleanliness", 1, 0, 1]]
    expect(data[:left].map { |one| one.values_at(:rule, :cite, :count, :places) }).to match_array [
      ["page.margin.left", "2.1", 1, ["page 1"]], ["clean.double_space", nil, 1, ["page 1, line 5"]]
    ]
    expect(data[:exceptions].map { |one| one.values_at(:because, :by, :count) })
      .to eq [["as the source has it", "A. Reader", 1]]
  end

  it "counts rules as the shelf does, and calls nothing met that could not be checked" do
    stated = Norvel::Guide.new("norvel_guide: 1\nname: T\ntables: {borders: all}\nclean: {double_spaces: must}\n")
    cell = "<w:tr><w:tc>#{p(r("One  cell"))}</w:tc></w:tr>"
    ruled = docx(%(<w:tbl><w:tblPr><w:tblStyle w:val="Grid"/></w:tblPr>#{cell}</w:tbl>) + p(r("The end.")))
    check = Norvel::Guide::Check.new(stated, ruled)
    expect([check.rules_asked, check.rules_met]).to eq [%w[clean.double_space tables.borders], []]
    expect(report(check).to_h[:topics].map { |one| one.values_at(:topic, :asked, :met, :broken) })
      .to eq [["Captions, tables, lists", 1, 0, 0], ["Cleanliness", 1, 0, 1]]
  end

  it "tells where it is beside the text" do
    noted = docx(p(r("The gate.") + note(1)), footnotes: footnote(1, "See  the book."))
    left = report(Norvel::Guide::Check.new(guide, noted)).to_h[:left]
    expect(left.find { |one| one[:rule] == "clean.double_space" }[:places]).to eq ["in the footnotes"]
  end

  it "tells pages with their labels, and fonts with what they are measured in" do
    expect(report.to_h[:pages]).to eq(count: 1, labels: ["1"], size: "A4")
    expect(report.to_h[:fonts].map { |one| one.values_at(:font, :set_in) })
      .to eq [%w[Calibri Carlito], ["Courier New", "Liberation Mono"]]
    expect(report.to_h[:fonts].sum { |one| one[:share] }).to be_within(0.001).of(1)
  end

  it "proves the words, part by part, and tells what was changed" do
    data = report(Norvel::Guide::Check.new(guide, mended), first: document, changes: [made]).to_h
    expect(data[:seal]).to include(words_unchanged: true, white_space: [{name: "double spaces", before: 2, after: 1}])
    expect(data[:changes]).to eq [{title: "Mend all", kinds: ["Double spaces in 1 paragraph"], on: "2026-11-30"}]
    expect(JSON.parse(JSON.generate(data))["seal"]["parts"].first).to include("name" => "text", "same" => true)
  end

  describe Norvel::Report::SignedPage do
    let(:page) { described_class.new(report(changes: [made, made]).to_h) }

    it "says it in sentences, escaped, with a place to sign" do
      expect(page.text).to include("<h1>Report on tides.docx</h1>", "1 December 2026",
        "Held against House, edition 3: of 2 rules 0 are met and 2 are not.", "as the source has it",
        "2 changes, 30 November 2026.", "Name and signature", "The words are those of the file that came.")
      named = described_class.new({**report.to_h, title: "Tides <&> gates", author: "I. A."})
      expect(named.text).to include("Report on Tides &lt;&amp;&gt; gates", "The file tides.docx, by I. A.")
    end

    it "says so where the document could not be checked" do
      unjudged = Norvel::Guide::Unjudged.new(guide, document, RuntimeError.new("a fault"))
      page = described_class.new(report(unjudged).to_h).text
      expect(page).to include("could not be held against House", "Name and signature")
      expect(page).not_to include("Nothing is open")
    end

    it "is a tagged PDF" do
      Dir.mktmpdir do |folder|
        File.binwrite("#{folder}/o.pdf", page.pdf)
        expect(Open3.capture2e("pdfinfo", "#{folder}/o.pdf").first).to match(/^Tagged:\s+yes/)
        text = Open3.capture2e("pdftotext", "-layout", "#{folder}/o.pdf", "-").first
        expect(text).to match(/Cleanliness\s+1\s+0\s+1\s+1/).and include("page 1, line 5", "Name and signature")
      end
    end

    it "brings the style whose digest its policy names" do
      style = page.text[%r{<style>(.*)</style>}m, 1]
      expect(Norvel::Report::Paper::DIGEST).to eq "'sha256-#{[Digest::SHA256.digest(style)].pack("m0")}'"
    end
  end
end
