# frozen_string_literal: true

# A document as files of its parts: what each says, shows and is set up by.
RSpec.describe Norvel::Intake::Divided do
  def head(text) = p(r(text), '<w:outlineLvl w:val="0"/>')

  def sheet(more) = %(<w:sectPr>#{more}<w:pgSz w:w="11906" w:h="16838"/></w:sectPr>)

  let(:foot) { '<w:footerReference w:type="default" r:id="rId3"/>' }
  let(:body) do
    p(r("The College"), sheet(foot)) + head("Tides & time") + p(r("They rise.") + note(1)) + table([%w[a b]]) +
      head("Mills") + p(r("They stand.") + note(2)) + sheet('<w:titlePg w:val="0"/>')
  end
  let(:document) do
    docx(body, footer: p(r("a foot")), footnotes: footnote(1, "twice a day") + footnote(2, "of oak"))
  end

  def read(files) = files.to_h { |name, bytes| [name, Norvel::Formats.read(bytes, name:)] }

  it "has a file of what stands before, and of each heading, with its notes, table and pages" do
    files = read(described_class.new(document).files)
    expect(files.keys).to eq ["01 before the first.docx", "02 Tides time.docx", "03 Mills.docx"]
    mark = Norvel::Document::Run::NOTE
    said = files.values.map { |one| one.paragraphs.map { |paragraph| paragraph.text.delete(mark) } }
    expect(said).to eq [["The College"], ["Tides & time", "They rise.", "a", "b"], ["Mills", "They stand."]]
    notes = files.values.map { |one| one.stories.select(&:note?) }
    expect(notes.map { |list| list.map { |story| story.paragraphs.map(&:text).join.strip } })
      .to eq [[], ["twice a day"], ["of oak"]]
    feet = files.values.map { |one| one.stories.find(&:head?).paragraphs.map(&:text) }
    expect([feet, files.values.map { |one| one.sections.size }]).to eq [[["a foot"]] * 3, [1, 1, 1]]
  end

  it "begins a file at higher headings too where it goes by lower ones" do
    lower = p(r("Spring tides"), '<w:outlineLvl w:val="1"/>')
    nested = docx(head("Tides") + lower + p(r("High.")) + head("Mills") + lower)
    files = read(described_class.new(nested, level: 2).files)
    expect(files.values.map { |one| one.paragraphs.map(&:text) })
      .to eq [["Tides"], ["Spring tides", "High."], ["Mills"], ["Spring tides"]]
  end

  it "does the same to OpenDocument texts, each on the pages of its section" do
    %w[odt fodt].each do |format|
      written = Norvel::Formats.write(document, as: format).bytes
      files = read(described_class.new(Norvel::Formats.read(written, name: "x.#{format}")).files)
      expect(files.values.map { |one| one.paragraphs.first.text }).to eq ["The College", "Tides & time", "Mills"]
      expect(files.values.map { |one| one.stories.count(&:note?) }).to eq [0, 1, 1]
      expect(files.keys.last).to eq "03 Mills.#{format}"
    end
  end

  it "puts together what it divided" do
    first, *others = read(described_class.new(document).files).values
    whole = Norvel::Intake::Joined.new(first, others).document
    expect(whole.paragraphs.map(&:text)).to eq document.paragraphs.map(&:text)
    expect(whole.stories.count(&:note?)).to eq 2
  end

  it "refuses a text that nothing divides, or far too much" do
    expect { described_class.new(docx(p(r("Words.")))) }.to raise_error(Norvel::Refused, /nothing divides/)
    many = docx((1..101).map { |number| head("Head #{number}") }.join)
    expect { described_class.new(many) }.to raise_error(Norvel::Refused, /101 headings/)
  end
end
