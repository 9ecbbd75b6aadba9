# frozen_string_literal: true

# Documents that an earlier edition saved: saved/ holds what the edition before this one wrote (version 2) of a made-up
# text after twelve edits, what took each back, and the file it would have handed over.
RSpec.describe Norvel::Snapshot, "of an earlier edition" do
  let(:folder) { File.join(__dir__, "saved") }
  let(:original) { Norvel::Formats.read(File.binread("#{folder}/made.docx"), name: "made.docx") }
  let(:saved) { JSON.parse(File.read("#{folder}/version_2.json")) }
  let(:head) { saved["head"].unpack1("m0") }

  it "opens as it was, and is handed over as it would have been" do
    document = described_class.load(head, original)
    expect(document.word_count).to be_positive
    expect(document.pictures.map(&:description)).to eq ["A tide curve"]
    expect(document.markers.values).to eq ["Chapter 1"]
    expect(document.page_styles.map(&:name)).to eq ["Text pages"]
    expected, now = [File.binread("#{folder}/edited.docx"), written(document)].map do |bytes|
      Norvel::Formats::Container.new(bytes)
    end
    expect(now.names).to eq expected.names
    expect(now.names.to_h { |name| [name, now.read(name)] })
      .to eq(expected.names.to_h { |name| [name, expected.read(name)] })
  end

  it "is taken back, change by change, to the file that came" do
    document = saved["ways_back"].reverse.inject(described_class.load(head, original)) do |now, way|
      described_class.take_back(way.unpack1("m0"), now, original)
    end
    expect(Norvel::Seal.of(document)).to eq Norvel::Seal.of(original)
    expect(written(document)).to eq written(original)
  end

  it "goes on: what is saved of it now is of this edition" do
    document = described_class.load(head, original)
    again = described_class.load(described_class.dump(document, original), original)
    expect(again.paragraphs).to eq document.paragraphs
    expect([Norvel::Seal.of(again), written(again)]).to eq [Norvel::Seal.of(document), written(document)]
  end

  # There a list held its levels itself.
  it "reads the lists of version 1" do
    data = described_class.inflate(head)
    levels = data[:others][:numbering][:definitions].first[1].map do |number, level|
      [number, level.except(:run, :align)]
    end
    first = described_class.deflate({**data, version: 1,
      others: {**data[:others], numbering: [[1, "new1", levels, []]]}})
    expect(described_class.load(first, original).markers).to eq described_class.load(head, original).markers
  end

  it "refuses what it does not know" do
    data = described_class.inflate(head)
    expect { described_class.load(described_class.deflate({**data, version: 9}), original) }
      .to raise_error(Norvel::Error, /another edition/)
    strange = described_class.deflate({**data, version: 3, others: {settings: {"~": "from the future"}}})
    expect { described_class.load(strange, original) }.to raise_error(Norvel::Error, /another edition/)
  end
end
