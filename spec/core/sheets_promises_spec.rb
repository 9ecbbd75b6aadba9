# frozen_string_literal: true

# Matters and contents lists on documents of any kind: what is written reads back as it was meant.
RSpec.describe "matters and contents lists on any document" do
  def wrong(document)
    Norvel::Layout.of(document)
    lists = Norvel::Structure::ContentsLists.new(document)
    number = lists.lists.index { |list| list.levels == (1..3) } or return "gone"
    lists.compared(lists.lists[number]).filter_map(&:wrong)
  end

  def set_up(document)
    document.sections.map do |one|
      [one.starts, one.number_format, one.number_start, one.title_page, one.width.round(1), one.margin_left.round(1)]
    end
  end

  # Two matters that meet at a paragraph of the text; the document as it was where none can.
  def divided(document, dice)
    top = document.paragraphs.select { |one| one.container.nil? }
    matter = Norvel::Edits::SetMatters::Matter
    Norvel::Edits::SetMatters.new([
      matter.new(paragraph: document.paragraphs[0].id, format: "lower_roman", shown_first: dice.rand < 0.5),
      matter.new(paragraph: top[1 + dice.rand(top.size - 1)].id, start: dice.rand(1..9),
        begins: %w[next_page odd_page][dice.rand(2)])
    ]).apply(document).after
  rescue Norvel::Refused
    document
  end

  def check(document, dice)
    now = divided(document, dice)
    again = reread(now)
    expect(set_up(again)).to eq set_up(now)
    expect(Norvel::Layout.of(again).sheets.map(&:label)).to eq Norvel::Layout.of(now).sheets.map(&:label)
    with_contents(now, dice)
  end

  def with_contents(document, dice)
    at = document.paragraphs.find { |one| one.container.nil? && document.look(one)[:outline_level] == 1 } or return
    again = reread(Norvel::Edits::PutInContents.new(at.id, levels: 3).apply(document).after)
    expect(wrong(again)).to eq []
    heads = again.paragraphs.select do |one|
      one.container.nil? && again.look(one)[:outline_level].between?(1, 3) && !one.special? && !one.blank?
    end
    return if heads.empty?
    changed = Norvel::Edits::Retype.new(heads[dice.rand(heads.size)].id, "Another heading").apply(again).after
    number = Norvel::Structure::ContentsLists.in(changed).index { |list| list.levels == (1..3) }
    expect(wrong(reread(Norvel::Edits::RefreshContents.new(number).apply(changed).after))).to eq []
  rescue Norvel::Refused
    nil
  end

  [[Mixed, ".docx"], [MixedOpen, ".odt"]].each do |maker, kind|
    it "hold in #{kind} documents made by chance" do
      SomeOf.seeds(1..24).each { |seed| check(maker.new(seed).document, Random.new(seed)) }
    end
  end

  it "hold in files by other writers" do
    Dir[File.expand_path("../reference/files/*.{docx,odt}", __dir__)].sort.each do |path|
      document = Norvel::Formats.read_file(path)
      next unless document.paragraphs.count { |one| one.container.nil? } > 2
      (1..4).each { |seed| check(document, Random.new(File.basename(path).size + seed)) }
    end
  end
end
