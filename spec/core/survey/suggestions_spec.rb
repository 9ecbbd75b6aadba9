# frozen_string_literal: true

# What people take for what: common practice, written as small documents.
RSpec.describe Norvel::Survey::Suggestions do
  let(:running) do
    p(r("The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years. It is " \
      "the only record of the kind that anyone has found so far."))
  end

  def bold(text, points = nil, ppr = "") = p(r(text, "<w:b/>#{"<w:sz w:val=\"#{points * 2}\"/>" if points}"), ppr)

  # The roles of all paragraphs but running text and blanks.
  def roles(*paragraphs)
    document = docx(paragraphs.join, defaults: defaults("Times New Roman", 24))
    document.paragraphs.reject { |paragraph| paragraph.blank? || paragraph.word_count > 25 }.map do |paragraph|
      Norvel::Survey::Suggestions.of(document).role(paragraph.id)
    end
  end

  it "tells a memorandum's head lines from its headings and its numbered items" do
    lines = ["To:\tAll staff", "From:\tThe warden", "Date:\t2 March"].map do |text|
      p(r(text[/\A\w+:\t/], "<w:b/>") + r(text[/\t(.*)/, 1]))
    end
    items = ["1. Close the gate.", "2. Lock it.", "3. Tell the clerk."].map { |text| p(r(text)) }
    expect(roles(bold("MEMORANDUM", 14), *lines, running, bold("Background"), running, bold("What to do"), running,
      *items, running)).to eq %w[title other other other heading_1 heading_1 list_item list_item list_item]
  end

  it "takes headings that end with a colon or a question mark" do
    expect(roles(bold("Background:"), running, bold("Method:"), running, bold("What we found:"), running))
      .to eq %w[heading_1] * 3
    expect(roles(bold("Who kept the gate?"), running, bold("Why was it closed?"), running, bold("What came after?"),
      running)).to eq %w[heading_1] * 3
  end

  it "nests headings that stand right under each other" do
    expect(roles(bold("Part One", 18), bold("The River", 16), bold("Its bed", 14), running, bold("Its banks", 14),
      running, bold("The Sea", 16), running, bold("Part Two", 18), bold("The Town", 16), running))
      .to eq %w[heading_1 heading_2 heading_3 heading_3 heading_2 heading_1 heading_2]
  end

  it "goes by the number where one look has several depths, and keeps items of lists out" do
    expect(roles(bold("1. Introduction"), running, p(r("1. Bring the key.")), p(r("2. Bring the lamp.")), running,
      bold("2. Sources"), running, bold("2.1 The book"), running, bold("3. Results"), running))
      .to eq %w[heading_1 list_item list_item heading_1 heading_2 heading_1]
  end

  it "does not take a bold remark, an abbreviation, a bold lead-in or a table's head for a heading" do
    table = "<w:tbl><w:tr><w:tc>#{bold("Year")}</w:tc><w:tc>#{bold("Sum")}</w:tc></w:tr></w:tbl>"
    expect(roles(running, bold("Please note that the gate is closed on Sundays and on all days of high water."),
      running, p(r("NATO")), running, p(r("Timber. ", "<w:b/>") + r("It was cut upstream.")), running, table, running))
      .to eq %w[body body body table_text table_text]
  end

  it "finds a title that looks as the headings do" do
    centred = '<w:jc w:val="center"/>'
    expect(roles(bold("On the keeping of gates", 14, centred), p(r("by Ines Aldermoor"), centred),
      bold("Introduction", 14, centred), running, bold("Sources", 14, centred), running))
      .to eq %w[title other heading_1 heading_1]
  end

  it "tells contents from the headings they list, and captions from sentences" do
    expect(roles(bold("Contents"), p(r("Introduction\t1")), p(r("Sources\t4")), bold("Introduction"), running,
      bold("Sources"), running)).to eq %w[heading_1 contents_entry contents_entry heading_1 heading_1]
    expect(roles(running, p(r("Figure 1: The gate at low water")), running,
      p(r("Figure 1 shows the gate at low water, and it is clear that the sill had been raised.")), running))
      .to eq %w[caption body]
  end

  it "knows the words of other languages" do
    expect(roles(bold("Kapitel 1: Die Mühle", 16), running, bold("1.1 Lage", 13), running,
      p(r("Abbildung 3: Das Tor", "<w:i/>")), bold("Literaturverzeichnis", 16),
      p(r("Brack, B.: Tore. Ravelmouth 1950.")), p(r("Cullen, C.: Riegel. Ravelmouth 1960."))))
      .to eq %w[heading_1 heading_2 caption heading_1 reference_entry reference_entry]
  end

  it "says why, and how sure it is" do
    document = docx(running + bold("A heading", 20) + running * 3)
    expect(Norvel::Survey::Suggestions.of(document)[2].because)
      .to include("larger than the text", "bold", "followed by text")
    expect(Norvel::Survey::Suggestions.of(document).to_h.values.map(&:confidence)).to all be_between(0.5, 1.0)
  end
end
