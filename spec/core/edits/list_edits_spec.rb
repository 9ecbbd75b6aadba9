# frozen_string_literal: true

# ISO/IEC 29500-1 17.9: numbering definitions, lists, overrides; 17.7: numbering styles.
RSpec.describe "edits of lists" do
  include Values

  let(:plain) do
    made(%w[One Two Three Four Five].flat_map { |word| p(word) },
      styles: style("Item", "List Item", based_on: "Normal"))
  end
  let(:with_steps) { Norvel::Edits::DefineListStyle.new("Steps", "numbers").apply(plain).after }
  let(:list_id) { with_steps.styles["Steps"].paragraph[:list_id] }
  let(:definition_id) { with_steps.numbering.list(list_id).definition_id }
  let(:listed) { put(with_steps, [1, 2, 3, 4, 5]) }

  def put(document, ids, **options) = Norvel::Edits::PutInList.new(ids, list_id, **options).apply(document).after

  def markers(document) = document.paragraphs.map { |paragraph| document.markers[paragraph.id] }

  def indents(document, number) =
    %i[indent_left first_line].map { |name| document.look(document.paragraphs[number])[name] }

  it "makes a list style whose levels hang, and puts paragraphs in it" do
    expect(markers(listed)).to eq %w[1. 2. 3. 4. 5.]
    expect(indents(listed, 0)).to eq [18.0, -18.0]
    expect(markers(reread(listed))).to eq markers(listed)
  end

  it "writes the list style and its definition so that each names the other (17.9.27)" do
    bytes = written(listed)
    expect(part(bytes, "word/numbering.xml")).to match(%r{<w:styleLink w:val="Steps"/><w:lvl w:ilvl="0">})
    expect(part(bytes, "word/styles.xml"))
      .to match(%r{<w:style w:type="numbering"[^>]*w:styleId="Steps">.*<w:numId w:val="1"/>})
  end

  it "writes no list that nothing uses" do
    expect(written(Norvel::Edits::DeleteStyles.new(["Steps"]).apply(with_steps).after)).to eq written(plain)
  end

  {"bullets" => %w[• –], "numbers" => %w[1. a.], "decimal" => %w[1 1.1], "letters" => ["(a)", "(i)"]}
    .each do |form, expected|
    it "makes #{form}" do
      document = Norvel::Edits::DefineListStyle.new("Own", form).apply(plain).after
      id = document.styles["Own"].paragraph[:list_id]
      both = Norvel::Edits::PutInList.new([2], id, level: 1)
        .change(Norvel::Edits::PutInList.new([1], id).change(document))
      expect(markers(both).first(2)).to eq expected
      expect(markers(reread(both)).first(2)).to eq expected
    end
  end

  it "puts paragraphs a level deeper" do
    deeper = put(listed, [2, 3], level: 1)
    expect(markers(deeper)).to eq %w[1. a. b. 2. 3.]
    expect(indents(deeper, 1)).to eq [36.0, -18.0]
  end

  it "keeps the level where none is said" do
    expect(markers(put(put(listed, [2], level: 1), [2]))[1]).to eq "a."
  end

  it "takes paragraphs out of a list" do
    out = Norvel::Edits::PutInList.new([2], 0).apply(listed).after
    expect(markers(out)).to eq ["1.", nil, "2.", "3.", "4."]
    expect(out.paragraphs[1].direct).to be_empty
  end

  it "says that a paragraph is in no list where its style has one" do
    bound = Norvel::Edits::ListOfStyle.new("Item", list_id)
      .apply(Norvel::Edits::PutInStyle.new([1, 2], "Item", hand: :stays).change(with_steps)).after
    out = Norvel::Edits::PutInList.new([1], 0).apply(bound).after
    expect([out.paragraphs[0].direct[:list_id], markers(out)[1]]).to eq [0, "1."]
  end

  it "starts again, and what follows comes along" do
    again = Norvel::Edits::StartList.new(3, again: true).apply(listed).after
    expect(markers(again)).to eq %w[1. 2. 1. 2. 3.]
    expect(markers(reread(again))).to eq markers(again)
    expect(part(written(again), "word/numbering.xml")).to include('<w:startOverride w:val="1"/>')
  end

  it "starts at another number" do
    expect(markers(Norvel::Edits::StartList.new(4, again: true, at: 10).apply(listed).after)).to eq %w[1. 2. 3. 10. 11.]
  end

  it "continues" do
    again = Norvel::Edits::StartList.new(3, again: true).apply(listed).after
    expect(markers(Norvel::Edits::StartList.new(3, again: false).apply(again).after)).to eq %w[1. 2. 3. 4. 5.]
    expect { Norvel::Edits::StartList.new(1, again: false).apply(listed) }
      .to raise_error(Norvel::Refused, /No list of this kind stands before/)
  end

  it "does not number bullets, nor what is in no list" do
    expect { Norvel::Edits::StartList.new(1, again: true).apply(plain) }.to raise_error(Norvel::Refused, /in no list/)
    bullets = Norvel::Edits::DefineListStyle.new("Dots", "bullets").apply(plain).after
    dotted = Norvel::Edits::PutInList.new([1], bullets.styles["Dots"].paragraph[:list_id]).apply(bullets).after
    expect { Norvel::Edits::StartList.new(1, again: true).apply(dotted) }.to raise_error(Norvel::Refused, /Bullets/)
  end

  describe "of a level" do
    def level(values, number: 0) = Norvel::Edits::ChangeListLevel.new(definition_id, number, values)

    {
      {format: "upper_roman"} => "I.", {text: "Step %1:"} => "Step 1:", {start: 4} => "4.",
      {format: "bullet", text: "→"} => "→"
    }.each do |values, marker|
      it "changes the marker by #{values.keys.join(" and ")}" do
        changed = level(values).apply(listed).after
        expect([markers(changed)[0], markers(reread(changed))[0]]).to eq [marker, marker]
      end
    end

    it "changes indents, separator and the marker's letters" do
      changed = level({indent_left: 30.0, first_line: -30.0, suffix: "space", align: "right", bold: true}).apply(listed)
        .after
      again = reread(changed)
      expect(indents(again, 0)).to eq [30.0, -30.0]
      expect(again.numbering.level(list_id, 0).to_h.slice(:suffix, :align)).to eq(suffix: "space", align: "right")
      expect(again.numbering.level(list_id, 0).run[:bold]).to be true
    end

    it "begins anew only where it says" do
      changed = level({restart_after: 0}, number: 1).apply(put(put(listed, [2], level: 1), [4], level: 1)).after
      expect(markers(changed)).to eq %w[1. a. 2. b. 3.]
    end

    it "patches a level of a list that came with the file, and leaves the rest of it as it is" do
      came = reread(listed)
      bytes = written(Norvel::Edits::ChangeListLevel.new(came.numbering.list(1).definition_id, 0, {text: "%1)"})
        .apply(came).after)
      before = part(written(came), "word/numbering.xml")
      expect(part(bytes, "word/numbering.xml")).to eq before.sub('<w:lvlText w:val="%1."/>', '<w:lvlText w:val="%1)"/>')
    end

    it "refuses a marker without its number, a level that is not there, a start below 0" do
      expect { level({text: "Step"}).apply(listed) }.to raise_error(Norvel::Refused, /same for all/)
      expect { level({start: -1}).apply(listed) }.to raise_error(Norvel::Refused, /0 or later/)
      expect { level({start: 1}, number: 12).apply(listed) }.to raise_error(Norvel::Refused, /no level 13/)
    end
  end

  describe "of a paragraph style" do
    let(:bound) do
      Norvel::Edits::ListOfStyle.new("Item", list_id, level: 1)
        .apply(Norvel::Edits::PutInStyle.new([2, 3], "Item", hand: :stays).change(put(with_steps, [1]))).after
    end

    it "lets style and level name each other (17.9.23)" do
      expect([markers(bound), bound.numbering.level(list_id, 1).style_id]).to eq [["1.", "a.", "b.", nil, nil], "Item"]
      expect(markers(reread(bound))).to eq markers(bound)
    end

    it "lets go of it again" do
      free = Norvel::Edits::ListOfStyle.new("Item", nil).apply(bound).after
      expect([markers(free)[1], free.numbering.level(list_id, 1).style_id]).to eq [nil, nil]
    end

    it "refuses a level that is another style's, and styles of characters" do
      other = Norvel::Edits::DefineStyle.new("Second").change(bound)
      expect { Norvel::Edits::ListOfStyle.new("Second", list_id, level: 1).apply(other) }
        .to raise_error(Norvel::Refused, /that of List Item already/)
      expect { Norvel::Edits::ListOfStyle.new("Steps", list_id).apply(bound) }
        .to raise_error(Norvel::Refused, /only paragraphs/)
    end
  end

  # Any sequence of edits of lists and its way back end in the same document, in the same bytes when written.
  it "takes any sequence back (property)" do
    start = listed
    first = written(start)
    makers = [
      ->(n) { Norvel::Edits::PutInList.new([(n % 5) + 1], list_id, level: n % 4) },
      ->(n) { Norvel::Edits::PutInList.new([(n % 5) + 1], 0) },
      ->(n) { Norvel::Edits::StartList.new((n % 5) + 1, again: n.even?) },
      ->(n) { Norvel::Edits::ChangeListLevel.new(definition_id, n % 3, {start: n % 9, suffix: "space"}) },
      ->(n) { Norvel::Edits::ListOfStyle.new("Item", [list_id, 0, nil][n % 3], level: n % 3) },
      ->(n) { Norvel::Edits::DefineListStyle.new("New #{n}", "bullets") }
    ]
    PropCheck.forall(PropCheck::Generators.array(PropCheck::Generators.choose(0..10_000), min: 2, max: 8))
      .with_config(n_runs: 40) do |numbers|
      now = start
      changes = numbers.filter_map do |n|
        change = makers[n % makers.size].call(n / makers.size).apply(now)
        now = change.after
        change
      rescue Norvel::Refused
        nil
      end
      raise "what was written reads otherwise" unless markers(reread(now)) == markers(now)
      raise "what was saved is otherwise" unless Norvel::Snapshot.load(Norvel::Snapshot.dump(now, plain), plain)
        .numbering == now.numbering
      changes.reverse_each { |change| now = change.take_back(now) }
      raise "not the same bytes" unless written(now) == first
    end
  end
end
