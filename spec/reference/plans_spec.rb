# frozen_string_literal: true

require_relative "flattened"
require_relative "genres"
require_relative "../support/mixed"
require_relative "../support/promised"

# Bulk changes on files of others, on papers of many kinds, and on documents mixed by chance: nothing that nobody asked
# to change may change. Source: the files of spec/reference/files (ORIGIN.md); the rest is made.
RSpec.describe "plans" do
  # Beside those that ship, one that is silent on most, names other styles and minds formatting by hand most.
  odd = Norvel::Guide.new(<<~YAML)
    norvel_guide: 1
    name: Odd
    language: de
    roles:
      body: {style: Normal, size: {min: 10pt, max: 12pt}, align: left, color: black}
      heading_1: {style: Chapter, space_before: {min: 6pt}, keep_with_next: true}
      heading_2: {font: {any_of: [Arial, Calibri]}}
      list_item: {style: List Paragraph, space_after: 3pt}
      reference_entry: {style: Bibliography, indent_left: 0.5in, first_line: -0.5in}
      code: {style: Plain Text}
      table_text: {bold: false, size: 10pt}
    clean: {direct_formatting: forbid, blank_paragraphs: should, tabs_as_indents: forbid, double_spaces: forbid, line_breaks: forbid, spaces_as_indents: forbid}
    accessible: {title: require, language: require}
  YAML
  own = Norvel::Guide.shipped.fetch_values("ravelmouth-house", "ravelmouth-thesis")
  # Of the published manuals one in turn; MANUALS=1 for all. Not where documents are mixed by chance: one that takes
  # bold from headings turns what a character style sets apart there the other way round (ISO/IEC 29500-1 17.7.3).
  manuals = (Norvel::Guide.shipped.values - own)
  manuals = manuals.sample(1, random: Random.new(RSpec.configuration.seed)) unless ENV["MANUALS"]
  guides = [*own, odd, *manuals]

  def read_back(document)
    Norvel::Formats.read(Norvel::Formats.write(document).bytes, name: "back.docx")
  end

  def promised(name, document, guides)
    guides.map do |guide|
      kept = Promised.new(document, guide)
      @places += kept.looked_at
      @plans += 1
      back = read_back(kept.plan.after)
      @again += 1 unless Norvel::Guide::Plan.new(guide, back).nothing?
      expect([name, guide.id, kept.broken]).to eq [name, guide.id, []]
    end
  end

  before { @places = @plans = @again = 0 }

  def told(what)
    puts "\n  plans on #{what}: #{@plans} keep every " \
      "promise at #{@places} paragraphs; #{@plans - @again} of #{@plans} leave nothing for a second run"
  end

  it "keep their promises on every file of others, and a second run has nothing to do" do
    Dir[File.join(__dir__, "files", "*.docx")].each do |path|
      promised(File.basename(path), Norvel::Formats.read_file(path), guides)
    end
    told("files of others")
    expect(@again).to eq 0
  end

  it "keep them on papers of many kinds, as they are set and bare" do
    SomeOf.seeds(Genres::PAPERS.keys).each do |name|
      [[true, false], [false, false], [false, true]].each do |formatted, gaps|
        promised(name, read_back(Genres.document(name, formatted:, gaps:).first), guides)
      end
    end
    told("papers of many kinds")
    expect(@again).to eq 0
  end

  it "keep them on flattened theses and reports" do
    SomeOf.seeds(Flattened::SCHEMES.keys).each do |scheme|
      promised(scheme, read_back(Flattened.document("en", scheme, 17).first), guides)
    end
    told("flattened documents")
    expect(@again.fdiv(@plans)).to be <= 0.2
  end

  it "keep them on documents mixed by chance (property)" do
    SomeOf.seeds(1..40).each { |seed| promised("mixed #{seed}", Mixed.new(seed).document, [*own, odd]) }
    told("mixed documents")
    expect(@again.fdiv(@plans)).to be <= 0.06
  end

  it "and templates meet no fault of their own, change no word, and tell every number that is printed otherwise" do
    files = Dir[File.join(__dir__, "files", "*.docx")].map { |path| Norvel::Formats.read_file(path) } +
      SomeOf.seeds(1..12).map { |seed| Mixed.new(seed).document }
    numbers = files.product(Norvel::Formats::Template.shipped.keys).sum do |document, name|
      edit = Norvel::Edits::ApplyTemplate.new(Norvel::Formats::Template.find(name), page: true, numbering: true)
      told = edit.renumbered(document)
      after = edit.apply(document).after
      changed = after.paragraphs.count { |one| document.markers[one.id] != after.markers[one.id] }
      expect([Norvel::Seal.of(read_back(after)).words, told.size]).to eq [Norvel::Seal.of(document).words, changed]
      told.size
    end
    puts "\n  templates on #{files.size} files: #{numbers} printed numbers are others, each told"
  end

  it "keep them on the demo's documents, and a second run has nothing to do" do
    [Demo::Notice, Demo::Handbook, Demo::Thesis].each do |kind|
      promised(kind.name, Norvel::Formats.read(kind.new.bytes, name: "demo.docx"), guides)
    end
    told("the demo")
    expect(@again).to eq 0
  end
end
