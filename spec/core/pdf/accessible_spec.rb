# frozen_string_literal: true

require "prawn"
require_relative "../../support/matterhorn"
require_relative "../../support/mixed"
require_relative "../../support/mixed_open"

# Conditions of the Matterhorn Protocol 1.1 (PDF Association) on PDF/UA-1 (ISO 14289-1), as published-values has them,
# judged on the file by qpdf's parser.
RSpec.describe "a PDF for everyone" do
  def judged(bytes)
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", bytes)
      Matterhorn.new("#{folder}/o.pdf").then { |one| [one.failures.reject { |_, list| list.empty? }, one.claims?] }
    end
  end

  def judge(document) = judged(Norvel::Pdf.write(document).bytes)

  let(:thesis) { Norvel::Formats.read(Demo::Thesis.new.bytes, name: "thesis.docx") }

  it "fails nothing where all is said, and then says that it is PDF/UA-1" do
    guide = Norvel::Guide.shipped["ravelmouth-thesis"]
    mended = Norvel::Guide::MendSafe.new(guide, also: ["*"]).apply(thesis).after
    told = mended.pictures.to_h { |picture| [picture.id, "The tide over the season"] }
    rows = Norvel::Guide::MendSafe.new(Norvel::Guide.none, also: ["accessible.table_header"])
    whole = rows.apply(Norvel::Edits::DescribePictures.new(told).apply(mended).after).after
    expect(judge(whole)).to eq [{}, true]
  end

  it "names what is not said, and claims nothing then" do
    failures, claim = judge(thesis)
    expect([failures.transform_values(&:size), claim]).to eq [{"13-004" => 10}, false]
  end

  it "counts levels that are left out" do
    styles = (1..3).map { |n|
      style("Heading#{n}", "heading #{n}", ppr: %(<w:outlineLvl w:val="#{n - 1}"/>))
    }.join
    heading = ->(level) { p(r("Level #{level}"), %(<w:pStyle w:val="Heading#{level}"/>)) }
    {[1, 2, 3, 1, 2] => [], [1, 3] => ["14-003"], [2, 3] => ["14-002"], [1, 1, 2] => []}.each do |levels, fails|
      made = docx(levels.map(&heading).join, styles:)
      named = Norvel::Edits::Describe.new(title: "T", language: "en").apply(made).after
      failures, claim = judge(named)
      expect([levels, failures.keys, claim]).to eq [levels, fails, fails.empty?]
    end
  end

  it "has every mark tagged or an artifact, in documents made by chance too (property)" do
    made = SomeOf.seeds(1..8).flat_map { |seed| [Mixed.new(seed).document, MixedOpen.new(seed).document] }
    made.each do |one|
      failures, = judge(one)
      expect(failures.keys - %w[13-004 14-002 14-003]).to eq []
    end
  end

  it "claims nothing where a sign is in no font, and says so" do
    made = Norvel::Edits::Describe.new(title: "T", language: "en").apply(docx(p(r("A mill 磨")))).after
    failures, claim = judge(made)
    expect([failures.keys, claim]).to eq [%w[31-030], false]
    expect(Norvel::Pdf.write(made).carried.approximated.map { |one| [one.what, one.count] })
      .to eq [["characters that no font here has", 1]]
  end

  it "holds formulas and every kind of font to the same" do
    fonts = %w[Garamond Calibri Cambria Arial Courier].map { |font|
      p(r("“ő Ω − ≤”", %(<w:rFonts w:ascii="#{font}" w:hAnsi="#{font}"/>)))
    }
    made = docx(p(omath_para(quadratic)) + p(r("as ") + omath(mr("x"))) + fonts.join)
    named = Norvel::Edits::Describe.new(title: "T", language: "en").apply(made).after
    expect(judge(named)).to eq [{}, true]
  end

  # That the judge can say no.
  it "is judged by what finds fault with a file that is not tagged" do
    failures, claim = judged(Prawn::Document.new { text("Words") && stroke_line([0, 0], [9, 9]) }.render)
    expect([failures.keys, claim]).to match [include("01-005", "01-007", "06-003", "07-001", "11-006"), false]
  end
end
