# frozen_string_literal: true

# Whatever is typed over a paragraph with all kinds of things in it must be in the file as it was typed, and what has no
# letters must still be there.
RSpec.describe Norvel::Formats::Docx::RunWriter do
  let(:body) do
    mixed = "<w:r><w:t>one</w:t><w:tab/><w:t xml:space=\"preserve\"> two </w:t><w:footnoteReference w:id=\"1\"/>" \
      "<w:br/><w:t>three</w:t></w:r>"
    p(r("Begin ", "<w:b/>") + mixed + r(" end") + image(1) + r("."))
  end
  let(:document) { docx(body, footnotes: footnote(1, "n"), image: Demo::Picture.png) }

  def objects(document)
    xml = part(written(document), "word/document.xml")
    %w[footnoteReference drawing].map { |name| xml.scan("<w:#{name}").size }
  end

  it "keeps the paragraph it did not touch, to the letter" do
    two = docx(body + p(r("Another")), footnotes: footnote(1, "n"), image: Demo::Picture.png)
    was = part(two.source.bytes, "word/document.xml")
    now = part(written(Norvel::Edits::Retype.new(2, "Typed over").change(two)), "word/document.xml")
    expect(was).to include body
    expect(now).to include body
    expect(now.strip).to eq was.sub('<w:t xml:space="preserve">Another', "<w:t>Typed over")
  end

  it "writes what was typed, whatever it is (property)" do
    letters = ["a", "b", " ", "\t", "\n", "é", "\u2011", "“", "x"]
    raw = document.paragraphs[0].raw_text
    PropCheck.forall(PropCheck::Generators.array(PropCheck::Generators.integer.map(&:abs), min: 3, max: 30))
      .with_config(n_runs: 150) do |numbers|
      stretches = raw.split(Norvel::Edits::Retype::SPECIAL, -1)
      signs = raw.scan(Norvel::Edits::Retype::SPECIAL)
      typed = stretches.each_with_index.map do |stretch, index|
        from = numbers[index % numbers.size] % (stretch.size + 1)
        put = numbers.map { |n| letters[(n + index) % letters.size] }.first(numbers[0] % 6).join
        stretch[0, from] + put + stretch[(from + (numbers[1] % 4))..].to_s
      end
      text = typed.each_with_index.map { |stretch, index| "#{stretch}#{signs[index]}" }.join
      after = Norvel::Edits::Retype.new(1, text).change(document)
      raise "typed otherwise" unless after.paragraphs[0].raw_text == text
      again = reread(after).paragraphs[0]
      raise "read otherwise: #{again.raw_text.inspect} for #{text.inspect}" unless again.raw_text == text
      raise "an object was lost" unless objects(after) == [1, 1]
    end
  end

  it "cuts anywhere and puts together again (property)" do
    size = document.paragraphs[0].raw_text.size
    PropCheck.forall(PropCheck::Generators.integer.map { |n| (n.abs % (size - 1)) + 1 }) do |at|
      split = begin
        Norvel::Edits::SplitParagraph.new(1, at).change(document)
      rescue Norvel::Refused
        next
      end
      read = reread(split)
      raise "split otherwise at #{at}" unless read.paragraphs.map(&:raw_text).join == document.paragraphs[0].raw_text
      raise "an object was lost at #{at}" unless objects(split) == [1, 1]
    end
  end

  it "puts characters that XML can't hold aside" do
    after = Norvel::Edits::Retype.new(1, document.paragraphs[0].raw_text.sub("Begin", "Be\u0001gin")).change(document)
    expect(reread(after).paragraphs[0].text).to start_with("Begin")
  end
end
