# frozen_string_literal: true

require "open3"

# Lines whose letters run both ways: where they stand (UAX #9), on sheets and in the PDF.
RSpec.describe Norvel::Layout::BothWays do
  include Values

  def spans(content, **set)
    Norvel::Layout.of(made(p(content, **set))).sheets[0].lines[0].spans
  end

  # Words as they are seen from the left.
  def seen(spans) = spans.sort_by(&:x).map { |span| span.text.strip }.reject(&:empty?)

  it "sets what runs to the left among what runs to the right, digits in it to the right" do
    made = spans(r("The word שלום 12 אב is one"))
    expect(made.map(&:text).join).to eq "The word שלום 12 אב is one" # in the order of reading
    expect(seen(made)).to eq ["The word", "אב", "12", "שלום", "is one"]
    expect(made.select(&:right_to_left).map { |span| span.text.strip }.reject(&:empty?)).to eq %w[שלום אב]
    ends = made.sort_by(&:x).map { |span| [span.x, span.x + span.width] }
    expect(ends.each_cons(2).map { |one, other| (other[0] - one[1]).abs < 0.01 }).to all be true
  end

  it "sets a paragraph that runs to the left from its right margin on" do
    made = spans(r("שורה Norvel 123"), right_to_left: true)
    expect(seen(made)).to eq ["Norvel 123", "שורה"]
    expect(made.first.x + made.first.width).to be_within(0.1).of(595.3 - 72)
  end

  it "takes a line of nothing" do
    expect(spans("", right_to_left: true)).to eq []
  end

  it "stands as before where all runs to the right" do
    expect(spans(r("Plain words")).map { |span| [span.text, span.right_to_left] }).to eq [["Plain words", false]]
  end

  it "is read in the order of reading in the PDF, with every letter" do
    document = made(p(r("The word שלום (peace) stands")) + p(r("משפט Norvel אחד"), right_to_left: true) +
      p(r("سلام الآن والأمل لإنسان"), right_to_left: true))
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", Norvel::Pdf.write(document).bytes)
      told, = Open3.capture2e("pdfinfo", "-struct-text", "#{folder}/o.pdf")
      expect(told).to include("The word שלום (peace) stands", "משפט Norvel אחד", "سلام الآن والأمل لإنسان")
    end
  end
end
