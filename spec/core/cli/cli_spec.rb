# frozen_string_literal: true

require "open3"

RSpec.describe Norvel::CLI do
  let(:folder) { Dir.mktmpdir }
  let(:file) { File.join(folder, "thesis.docx").tap { |path| File.binwrite(path, Demo::Thesis.new.bytes) } }
  let(:output) { File.join(folder, "out.docx") }

  def norvel(*arguments)
    out, err = StringIO.new, StringIO.new
    status = described_class.run(arguments, out:, err:)
    [status, out.string, err.string]
  end

  it "inspects: sections, styles, paragraphs, runs, other parts, by the names of the contract" do
    status, out, = norvel("inspect", file, "--json")
    data = JSON.parse(out)
    expect(status).to eq 0
    expect(data.keys).to eq %w[file format sections styles paragraphs other_parts]
    expect(data["sections"][0].keys)
      .to eq %w[section starts width_pt height_pt margin_top_pt margin_bottom_pt margin_left_pt margin_right_pt
        number_format number_start columns]
    expect(data["styles"][0].keys).to eq %w[name type based_on next used]
    paragraph = data["paragraphs"].find { |p| p["direct"].include?("align") && p["runs"].any? }
    expect(paragraph.keys).to eq %w[index part section style text blank effective direct runs]
    expect(paragraph["effective"].keys)
      .to match_array %w[align indent_left_pt indent_right_pt first_line_pt space_before_pt space_after_pt line_spacing
        contextual_spacing widow_control keep_with_next keep_together page_break_before outline_level list shading]
    expect(paragraph["runs"][0].keys).to eq %w[text character_style effective direct]
    expect(paragraph["runs"][0]["effective"].keys)
      .to match_array %w[font size_pt bold italic underline strike caps small_caps color highlight letter_spacing_pt
        position]
    expect(data["other_parts"].map { |part| part["part"] }.uniq).to match_array %w[footnote footer]
    expect(data["paragraphs"].map { |p| p["index"] }).to eq (1..data["paragraphs"].size).to_a
  end

  it "checks a file against itself where no guide is named: all is advice" do
    status, out, = norvel("check", file, "--json")
    data = JSON.parse(out)
    expect([status, data["meets"], data["guide"], data["counts"].values_at("must", "should")])
      .to eq [0, true, nil, [0, 0]]
    expect(data["findings"].map { |finding| finding["rule"][/\A\w+/] }.uniq)
      .to match_array %w[accessible clean consistent headings]
    expect(data["findings"].find { |finding| finding["rule"] == "consistent.heading_looks" }
      .values_at("expected", "found")).to eq ["14 pt", "13.5 pt"]
  end

  it "inspects one paragraph" do
    _, out, = norvel("inspect", file, "--json", "--paragraph", "7")
    expect(JSON.parse(out)["paragraphs"].map { |p| [p["index"], p["text"]] }).to eq [[7, Demo::Thesis::TITLE]]
  end

  it "checks one file or many, and tells by its status" do
    status, out, = norvel("check", file, "--guide", "ravelmouth-thesis", "--json")
    data = JSON.parse(out)
    expect([status, data["meets"], data["guide"]]).to eq [1, false, "Ravelmouth Graduate Office, thesis format"]
    expect(data["findings"][0].keys).to eq %w[rule severity index page section message expected found cite mend]
    expect(data["counts"]["must"]).to eq(data["findings"].count { |f| f["severity"] == "must" })
    _, many, = norvel("check", file, file, "--guide", "ravelmouth-thesis", "--json")
    expect(JSON.parse(many)["files"].size).to eq 2
    easy = File.join(folder, "easy.yml").tap do |path|
      File.write(path, "norvel_guide: 1\nname: Easy\npage: {size: A4}")
    end
    expect(norvel("check", file, "--guide", easy).first).to eq 0
  end

  it "mends, clears, converts; the words are the same" do
    status, out, = norvel("mend", file, "--guide", "ravelmouth-thesis", "--output", output, "--json")
    data = JSON.parse(out)
    expect([status, data["words_unchanged"], data["text_digest_before"]]).to eq [0, true, data["text_digest_after"]]
    expect(data.keys).to eq %w[mended left words_unchanged text_digest_before text_digest_after whitespace_removed]
    expect(norvel("clear", file, "--output", output, "--keep", "emphasis").first).to eq 0
    cleared = Norvel::Formats.read_file(output)
    expect(cleared.paragraphs.map { |p| p.direct.keys }.flatten.uniq).to eq []
    expect(cleared.paragraphs.flat_map(&:runs).flat_map { |run| run.direct.keys }.uniq)
      .to match_array %i[italic italic_complex position]
    expect(norvel("convert", file, output).first).to eq 0
    expect(Norvel::Seal.of(Norvel::Formats.read_file(output))).to eq Norvel::Seal.of(Norvel::Formats.read_file(file))
  end

  it "lists guides" do
    expect(norvel("guides")[1]).to include("ravelmouth-house\tRavelmouth Harbour Authority, house format")
  end

  {
    "no such file" => ["inspect", "/nowhere/x.docx"],
    "a folder" => ["inspect", "/"],
    "no such command" => ["frobnicate"],
    "no such option" => ["inspect", "x", "--loud"],
    "no file" => ["inspect"],
    "no guide" => ["check", __FILE__],
    "an unknown guide" => ["check", "x.docx", "--guide", "none"],
    "no document" => ["inspect", __FILE__],
    "no output" => ["clear", "x.docx"],
    "an unknown format" => ["convert", "x.docx", "y.xyz"],
    "a strange --keep" => ["clear", "x", "--output", "y.docx", "--keep", "all"]
  }.each do |name, arguments|
    it "exits 2 with one line for #{name}" do
      status, out, err = norvel(*arguments)
      expect([status, out, err.lines.size]).to eq [2, "", 1]
      expect(err).to start_with("norvel: ")
    end
  end

  it "leaves no half-written file" do
    expect(norvel("clear", file, "--output", "/nowhere/out.docx").first).to eq 2
    expect(Dir.children(folder)).to eq ["thesis.docx"]
  end

  it "runs as a program, without the web half" do
    root = File.expand_path("../../..", __dir__)
    out, status = Open3.capture2("#{root}/bin/norvel", "guides")
    expect([status.exitstatus, out]).to match [0, /ravelmouth/]
    loaded, = Open3.capture2e("ruby", "-e",
      'ARGV.replace(["guides"]); begin; load "bin/norvel"; rescue SystemExit; end; puts ' \
      "$LOADED_FEATURES.grep(/active_record|sinatra|puma/).size", chdir: root)
    expect(loaded.lines.last.to_i).to eq 0
  end
end
