# frozen_string_literal: true

require "open3"

# A PDF for an archive. Source: ISO 19005-2 6.1.3 (identifier), 6.2.3 (output intent), 6.6.2 (XMP), 6.6.4 (what it says
# of its version), clause numbers from memory; ICC.1:2001-04 7.2 (header), IEC 61966-2-1 (the curve of sRGB).
RSpec.describe "a PDF for an archive" do
  let(:document) do
    made = docx(p(r("Tides & gates"), '<w:pStyle w:val="Heading1"/>') + p(r("Low water.")),
      styles: style("Heading1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>'))
    Norvel::Edits::Describe.new(title: "Tides <&> gates", author: "I. A.", subject: "Mills", keywords: "tide, mill",
      language: "en-GB").apply(made).after
  end
  let(:bytes) { Norvel::Pdf.write(document, archive: true).bytes }

  def objects
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", bytes)
      expect(Open3.capture2e("qpdf", "--check", "#{folder}/o.pdf").last).to be_success
      out, = Open3.capture2e("qpdf", "--json=2", "--json-stream-data=inline", "--decode-level=generalized",
        "#{folder}/o.pdf")
      JSON.parse(out).fetch("qpdf")[1]
    end
  end

  def at(all, reference) = all.fetch("obj:#{reference}").then { |one| one["value"] || one["stream"] }

  it "says so in its metadata, which says the same as its information" do
    all = objects
    root = at(all, all["trailer"]["value"]["/Root"])
    xml = at(all, root["/Metadata"])["data"].unpack1("m0").force_encoding("UTF-8")
    told = Nokogiri::XML(xml) { |config| config.strict }.remove_namespaces!
    expect(%w[part conformance].map { |name| told.xpath("//Description/#{name}").map(&:text) })
      .to eq [%w[1 2], %w[U]] # of PDF/UA and of PDF/A
    expect(told.at_xpath("//schemas//prefix").text).to eq "pdfuaid"
    info = at(all, all["trailer"]["value"]["/Info"]).transform_values { |text| text.delete_prefix("u:") }
    expect(info).to include("/Title" => "Tides <&> gates", "/Author" => "I. A.", "/Keywords" => "tide, mill")
    expect(%w[title creator description].map { |name| told.at_xpath("//#{name}//li").text } +
      %w[Keywords CreatorTool Producer].map { |name| told.at_xpath("//#{name}").text })
      .to eq info.values_at("/Title", "/Author", "/Subject", "/Keywords", "/Creator", "/Producer")
  end

  it "says what its colours mean, and has an identifier that is the same for the same document" do
    all = objects
    intent = at(all, all["trailer"]["value"]["/Root"])["/OutputIntents"].first
    intent = at(all, intent) if intent.is_a?(String)
    expect(intent).to include("/S" => "/GTS_PDFA1", "/OutputConditionIdentifier" => "u:sRGB")
    expect(at(all, intent["/DestOutputProfile"])["data"].unpack1("m0")).to eq Norvel::Pdf::ColourProfile.bytes
    expect(all["trailer"]["value"]["/ID"].uniq.size).to eq 1
    expect(Norvel::Pdf.write(document.with, archive: true).bytes).to eq bytes
    expect(Norvel::Pdf.write(document).bytes).not_to include("GTS_PDFA1".b)
  end

  it "has a profile of the kind that its head says, whose curve is that of sRGB" do
    profile = Norvel::Pdf::ColourProfile.bytes
    expect([profile.unpack1("N"), profile[8, 4].unpack1("N"), profile[12, 12], profile[36, 4]])
      .to eq [profile.bytesize, 0x02400000, "mntrRGB XYZ ", "acsp"]
    table = Array.new(profile[128, 4].unpack1("N")) { |n| profile[132 + (12 * n), 12].unpack("a4NN") }
    expect(table.map(&:first)).to match_array %w[desc cprt wtpt rXYZ gXYZ bXYZ rTRC gTRC bTRC]
    expect(table.map { |_, from, size| [from % 4, from + size <= profile.bytesize] }.uniq).to eq [[0, true]]
    _, from, = table.assoc("gTRC")
    curve = profile[from + 12, 2048].unpack("n*")
    # #808080 is 0.21586 of white (published-values: relative luminance).
    expect(curve[(128 / 255.0 * 1023).round] / 65_535.0).to be_within(0.0005).of(0.21586)
    sums = %w[rXYZ gXYZ bXYZ].map { |name| profile[table.assoc(name)[1] + 8, 12].unpack("N3").map { |n| n / 65_536.0 } }
    sums.transpose.map(&:sum).zip([0.9642, 1.0, 0.8249]) { |sum, white| expect(sum).to be_within(0.0005).of(white) }
  end

  it "is written by the command line where it is asked for, and for a PDF alone" do
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/a.docx", written(document))
      run = lambda do |*arguments|
        Norvel::CLI.run(["convert", "#{folder}/a.docx", *arguments], out: StringIO.new, err: err = StringIO.new)
          .then { |status| [status, err.string] }
      end
      expect(run["#{folder}/a.pdf", "--pdfa"]).to eq [0, ""]
      expect(File.binread("#{folder}/a.pdf")).to include("GTS_PDFA1".b)
      expect(run["#{folder}/a.odt", "--pdfa"]).to match [2, /--pdfa is for an output that ends in .pdf/]
      expect(File.exist?("#{folder}/a.odt")).to be false
    end
  end
end
