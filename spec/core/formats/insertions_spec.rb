# frozen_string_literal: true

RSpec.describe Norvel::Formats::Insertions do
  told = 'w:id="1" w:author="A clerk" w:date="2026-01-05T10:00:00Z"'

  def marked(document)
    found = described_class.new(document)
    document.paragraphs.map { |one| found.in(one).map { |from, to| one.raw_text[from...to] } }
  end

  it "are found in a .docx, also of words that stand twice, and not what was taken out (17.13.5.14, .18)" do
    body = p(r("The tide rose. ") + "<w:ins #{told}>#{r("The tide ")}</w:ins>" \
      "<w:del #{told}><w:r><w:delText>slowly </w:delText></w:r></w:del>#{r("fell.")}") + p(r("Nothing new."))
    document = docx(body)
    expect(marked(document)).to eq [["The tide "], []]
    expect(described_class.new(document).in(document.paragraphs[0])).to eq [[15, 24]]
    changed = Norvel::Edits::Retype.new(1, "Other words.").apply(document).after
    expect(described_class.new(document).in(changed.paragraphs[0])).to eq []
  end

  it "are found in an .odt, over paragraphs too (ISO/IEC 26300-1 5.5)" do
    regions = %w[a b].zip(%w[insertion deletion]).map do |id, kind|
      %(<text:changed-region text:id="#{id}"><text:#{kind}><office:change-info/>) +
        "#{"<text:p>gone</text:p>" if kind == "deletion"}</text:#{kind}></text:changed-region>"
    end
    body = %(<text:tracked-changes>#{regions.join}</text:tracked-changes><text:p>The tide <text:change-start ) +
      %(text:change-id="a"/>rose.</text:p><text:p>It<text:change-end text:change-id="a"/> fell.<text:change ) +
      'text:change-id="b"/></text:p>'
    expect(marked(OpenDocument.new(body).document)).to eq [["rose."], ["It"]]
  end

  it "are seen in their lines alone; texts that never track have none" do
    long = "The keeper of the gate wrote down each tide that came over the sill in that winter. " * 4
    document = docx(p(r(long) + "<w:ins #{told}>#{r("And the bell.")}</w:ins>"))
    found = described_class.new(document)
    lines = Norvel::Layout.of(document).sheets[0].lines
    expect(lines.map { |line| found.in?(line) }).to eq(lines.map { |line| line.text.match?(/And the|bell/) })
    expect(found.in?(lines.first)).to be false
    expect(described_class.new(docx(p(r("Plain.")))).any?).to be false
  end
end
