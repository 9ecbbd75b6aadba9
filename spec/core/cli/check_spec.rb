# frozen_string_literal: true

require "csv"

# One file or many held against a guide, and the forms in which that is told (docs/command-line.md).
RSpec.describe Norvel::CLI::Check do
  around { |example| Dir.mktmpdir { |folder| Dir.chdir(folder) { example.run } } }

  before do
    good, bad = text(24), text(18, 18)
    {"good.docx" => written(good), "bad.docx" => written(bad), "broken.docx" => "no package"}
      .each { |name, bytes| File.binwrite(name, bytes) }
    File.write("g.yml", "norvel_guide: 1\nname: G\nedition: 3\nroles: {body: {size: 12pt, cite: \"2.1\"}}\n" \
      "exceptions: [{rule: clean.*, because: by letter, by: A. Keeper, on: 2026-05-03}]\n")
  end

  # A document of body text, a paragraph of each size in half points.
  def text(*sizes)
    line = "The keeper of the gate wrote the hour and the height of the tide in the book, and he signed it."
    docx(sizes.map { |size| p(r(line, %(<w:sz w:val="#{size}"/>)), '<w:pStyle w:val="B"/>') }.join,
      styles: style("B", "Body Text"))
  end

  def run(*arguments)
    status = Norvel::CLI.run(["check", *arguments], out: out = StringIO.new, err: err = StringIO.new)
    [status, out.string, err.string]
  end

  it "answers each of several files, names one that can't be read, and ends with 2" do
    status, out, err = run("good.docx", "broken.docx", "bad.docx", "--guide", "g.yml", "--json")
    files = JSON.parse(out)["files"]
    expect([status, files.map { |one| one["file"] }]).to eq [2, %w[good.docx broken.docx bad.docx]]
    expect(files.map { |one| one["meets"] }).to eq [true, nil, false]
    expect(files[1]["error"]).to match(/\w/)
    expect(err).to match(/\Anorvel: .*broken.docx.*\n\z/)
    expect(run("good.docx", "--guide", "g.yml").first).to eq 0
    expect(run("broken.docx", "--guide", "g.yml", "--json").first(2)).to eq [2, ""]
  end

  it "answers the same in processes as one by one, in order" do
    14.times { |n| FileUtils.cp((n.even? ? "good.docx" : "bad.docx"), "f#{n}.docx") }
    names = (0..13).map { |n| "f#{n}.docx" }
    status, out, = run(*names, "--guide", "g.yml", "--json")
    files = JSON.parse(out)["files"]
    alone = names.first(2).map { |name| JSON.parse(run(name, "--guide", "g.yml", "--json")[1]) }
    expect([status, files.map { |one| one["file"] }]).to eq [1, names]
    expect(files.first(2).map { |one| one.except("file") }).to eq alone
  end

  it "lists exceptions and what was not checked, in the JSON and in the text" do
    _, out, = run("bad.docx", "--guide", "g.yml", "--json")
    told = JSON.parse(out)
    expect(told["exceptions"]).to eq [{"rule" => "clean.*", "because" => "by letter", "by" => "A. Keeper",
                                       "on" => "2026-05-03", "indexes" => [], "count" => 0}]
    expect(told["unchecked"]).to eq []
    expect(run("bad.docx", "--guide", "g.yml")[1])
      .to match(/^  granted\tclean.\*\t0 ×\tby letter\tA. Keeper, 2026-05-03$/)
  end

  it "counts only what is new beside a baseline, wherever paragraphs moved" do
    File.write("before.json", run("bad.docx", "--guide", "g.yml", "--json")[1])
    expect(run("bad.docx", "--guide", "g.yml", "--baseline", "before.json").first).to eq 0
    File.binwrite("bad.docx", written(text(24, 18, 18, 18)))
    status, out, = run("bad.docx", "--guide", "g.yml", "--baseline", "before.json", "--json")
    told = JSON.parse(out)
    expect([status, told["new"], told["findings"].map { |one| one["new"] }]).to eq [1, 1, [false, false, true]]
    File.write("no.json", "[]")
    expect(run("bad.docx", "--baseline", "no.json").values_at(0, 2))
      .to match [2, /no.json is not the JSON of an earlier check/]
  end

  # Sources: RFC 4180, by Ruby's csv; well-formed XML and HTML, by Nokogiri.
  it "writes tables, test suites and pages of all files, whole" do
    run("good.docx", "bad.docx", "broken.docx", "--guide", "g.yml", "--csv", "o.csv", "--junit", "o.xml", "--html",
      "o.html")
    rows = CSV.read("o.csv", headers: true)
    expect(rows.map { |row| row.to_h.values_at("file", "rule", "found") })
      .to include(["bad.docx", "role.body.size", "9 pt"], ["broken.docx", nil, nil])
    expect(rows.find { |row| row["file"] == "broken.docx" }["error"]).to match(/\w/)
    suites = Nokogiri::XML(File.read("o.xml"), &:strict).xpath("//testsuite")
    expect(suites.map { |one| one.attributes.values_at("name", "failures", "errors").map(&:value) })
      .to eq [%w[good.docx 0 0], %w[bad.docx 1 0], %w[broken.docx 0 1]]
    expect(suites[1].at_xpath("testcase[@name='role.body.size']/failure").text).to include "expected 12 pt, found 9 pt"
    page = Nokogiri::HTML5(File.read("o.html"), max_errors: 10)
    expect([page.errors, page.at("h1").text]).to eq [[], "3 files held against G, edition 3"]
    expect(page.css("tbody tr").first.text).to include "good.docx"
    expect(page.text).to include("role.body.size", "2.1", "by letter")
    expect(Dir["*.part"]).to eq []
  end

  # Source of the digest: sha256sum of GNU coreutils.
  it "writes the report of one as a page or as JSON, with the seal, and nothing for a form that it does not know" do
    report = lambda do |*arguments|
      status = Norvel::CLI.run(["report", *arguments], out: StringIO.new, err: err = StringIO.new)
      [status, err.string]
    end
    expect(report["bad.docx", "--guide", "g.yml", "--output", "o.json"]).to eq [0, ""]
    told = JSON.parse(File.read("o.json"))
    expect(told.slice("guide", "meets", "words")).to eq "guide" => "G", "meets" => false, "words" => 42
    expect(told["findings"].map { |one| one["rule"] }).to eq %w[role.body.size role.body.size]
    expect(told["seal"]["file_digest"]).to eq "sha256:#{`sha256sum bad.docx`[/\h{64}/]}"
    expect(report["bad.docx", "--guide", "g.yml", "--output", "o.html"].first).to eq 0
    page = Nokogiri::HTML5(File.read("o.html"), max_errors: 10)
    expect([page.errors, page.text]).to match [[], include(told["seal"]["text_digest"], "role.body.size")]
    expect(report["bad.docx", "--guide", "g.yml", "--output", "o.pdf"].first).to eq 0
    expect(`pdfinfo o.pdf`).to match(/^Title:\s+Report on bad\.docx\n.*^Tagged:\s+yes/m)
    expect(`pdftotext -raw o.pdf -`.gsub(/\s/, "")).to include("role.body.size", told["seal"]["text_digest"])
    expect(report["bad.docx", "--output", "o.txt"]).to match [2, /ends in .html, .pdf or .json/]
    expect(report["broken.docx", "--output", "b.json"].first).to eq 2
    expect(Dir["*.{txt,part}"] + Dir["b.*"]).to eq []
  end
end
