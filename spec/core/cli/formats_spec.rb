# frozen_string_literal: true

require "open3"

# The command line on every format: docs/command-line.md is the contract.
RSpec.describe Norvel::CLI do
  let(:folder) { Dir.mktmpdir }
  let(:minutes) { file("minutes.odt", Demo::Minutes.new.bytes) }
  let(:gauge) { file("gauge.md", Demo::Gauge.new.bytes) }

  def file(name, bytes) = File.join(folder, name).tap { |path| File.binwrite(path, bytes) }

  def out(name) = File.join(folder, name)

  def norvel(*arguments)
    out, err = StringIO.new, StringIO.new
    status = described_class.run(arguments, out:, err:)
    [status, out.string, err.string]
  end

  def read(path) = Norvel::Formats.read_file(path)

  it "does to an .odt what it does to a .docx" do
    expect(norvel("survey", minutes).first).to eq 0
    expect(JSON.parse(norvel("inspect", minutes, "--json")[1]).values_at("format", "sections")
      .then { |format, sections| [format, sections.size] }).to eq ["odt", 1]
    expect(norvel("check", minutes, "--guide", "ravelmouth-house").first).to eq 1
    {clear: ["--keep", "emphasis"], set: ["--value", "line_spacing=1.5", "--on", "body"],
     mend: ["--guide", "ravelmouth-house"], apply: ["--template", "ravelmouth-report"]}.each do |command, options|
      status, _, error = norvel(command.to_s, minutes, *options, "--output", out("#{command}.odt"))
      expect([status, error]).to eq [0, ""]
      unless command == :mend
        expect(Norvel::Seal.of(read(out("#{command}.odt"))).words)
          .to eq(Norvel::Seal.of(read(minutes)).words)
      end
    end
    expect(JSON.parse(norvel("check", out("mend.odt"), "--guide", "ravelmouth-house", "--json")[1])["counts"]["must"])
      .to be < 20
  end

  it "converts between all formats, and tells what was not carried as JSON" do
    %w[docx fodt ott md html txt].each do |ending|
      status, said, = norvel("convert", minutes, out("x.#{ending}"), "--json")
      data = JSON.parse(said)
      expect([status, data["from"], data["to"], data["words_unchanged"]])
        .to eq [0, "odt", Norvel::Formats.for_path("x.#{ending}").name, true]
      expect(data["carried"].keys).to eq %w[approximate not_carried]
    end
    expect(Norvel::Formats::Container.new(File.binread(out("x.ott"))).read("mimetype"))
      .to eq Norvel::Formats::Odt::TEMPLATE_TYPE
    expect(Norvel::Seal.of(read(out("x.docx"))).words).to eq Norvel::Seal.of(read(minutes)).words
  end

  it "dresses a text in a template" do
    status, said, = norvel("convert", gauge, out("gauge.docx"), "--template", "ravelmouth-thesis")
    expect([status, said]).to eq [0, "everything was carried\n"]
    document = read(out("gauge.docx"))
    expect(document.paragraphs.map { |one| document.style_name(one) })
      .to include("Title", "Heading 1", "Body Text", "Block Quote")
    norvel("convert", gauge, out("gauge.odt"), "--template", out("gauge.docx"))
    expect(read(out("gauge.odt")).format).to eq "odt"
  end

  it "dresses a document in a template of another format" do
    norvel("convert", Norvel::Formats::Template.shipped["ravelmouth-report"], out("report.ott"))
    status, = norvel("apply", file("notice.docx", Demo::Notice.new.bytes), "--template", out("report.ott"), "--output",
      out("notice.docx"))
    expect(status).to eq 0
    expect(read(out("notice.docx")).styles.by_id.values.map(&:name)).to include("Heading 1", "Body Text")
    expect(norvel("convert", minutes, out("m.docx"), "--template", "ravelmouth-report").first).to eq 0
    expect(read(out("m.docx")).styles.named("Body Text")).not_to be_nil
  end

  it "says what is wrong in a line, and leaves nothing half-written" do
    {["convert", file("empty.md", " "), out("a.docx")] => /no words/,
     ["convert", gauge, out("a.xyz")] => /can't write “.xyz”/,
     ["convert", file("x.odt", "nothing"), out("a.docx")] => /not a .docx, .odt or .fodt/,
     ["convert", gauge, out("a.docx"), "--template", "none"] => /no file none/,
     ["inspect", file("locked.odt",
       Norvel::Formats::Archive.build({"encrypted-package" => "x"},
         first: ["mimetype", Norvel::Formats::Odt::TYPE]))] => /password/}.each do |arguments, sentence|
      status, _, error = norvel(*arguments)
      expect(status).to eq 2
      expect(error).to match(sentence).and match(/\A[^\n]*\n\z/)
    end
    expect(Dir.children(folder).grep(/\Aa\.|part/)).to be_empty
  end

  # Speed is held by benchmarks/formats.rb; that the process is whole, by this.
  it "runs alone" do
    _, status = Open3.capture2e(File.expand_path("../../../bin/norvel", __dir__), "convert", gauge, out("alone.odt"),
      "--template", "short-notice")
    expect(status).to be_success
  end
end
