# frozen_string_literal: true

# What can be set on Sheets, one thing after another on documents of any kind: it is written as it was meant, and taken
# back to what was.
RSpec.describe "all that sheets can be set to, by chance" do
  def line(dice)
    words = ["", "", "{page}", "Draft", "{page} of {pages}", "p. {page}", "{chapter}", "a\u00A0b & <c>"]
    Norvel::RunningLine.new(left: words.sample(random: dice), middle: words.sample(random: dice), right: words.sample(random: dice))
  end

  def running(document, dice)
    from = dice.rand(1..document.sections.size)
    kinds = [%w[header], %w[footer], %w[header footer]].sample(random: dice)
    Norvel::Edits::SetRunning.new((from..dice.rand(from..document.sections.size)).to_a, kinds.to_h { |kind| [kind, line(dice)] }, which: %w[default default even first].sample(random: dice))
  end

  def matters(document, dice)
    top = document.paragraphs.select { |one| one.container.nil? }
    matter = Norvel::Edits::SetMatters::Matter
    Norvel::Edits::SetMatters.new([matter.new(paragraph: document.paragraphs[0].id, format: "lower_roman", shown_first: dice.rand < 0.5), matter.new(paragraph: top.sample(random: dice).id, start: [nil, 1, 7].sample(random: dice), begins: %w[next_page odd_page even_page].sample(random: dice))])
  end

  def edit(document, dice)
    edits = Norvel::Edits
    some = document.paragraphs.sample(random: dice)
    section = dice.rand(1..document.sections.size)
    case dice.rand(9)
    when 0, 1, 2 then running(document, dice)
    when 3 then matters(document, dice)
    when 4 then edits::TurnPage.new((document.paragraphs.find { |one| one.part == :table } || some).id)
    when 5 then edits::JoinSections.new(section, keep: %w[before this].sample(random: dice))
    when 6 then edits::BeginChapters.new([some.id], %w[odd_page even_page next_page].sample(random: dice))
    when 7 then edits::SetPage.new([section], {margin_left: 60.0 + dice.rand(40), footer: 20.0 + dice.rand(20), width: [595.3, 612.0].sample(random: dice)})
    when 8 then edits::JoinRunning.new(%w[even first].sample(random: dice), section)
    end
  end

  # What a reader sees of its pages.
  def seen(document)
    pages = document.with.lay_out
    pages.sheets.map do |sheet|
      section = document.sections[sheet.section - 1]
      said = pages.heads(sheet).map { |story, _, _, column| [story.kind, column.pieces.map { |piece| piece.block.copy.text.delete("\uFFF9") }.join] }
      [sheet.label, section.width.round, section.margin_left.round, said.reject { |_, text| text.strip.empty? }.sort]
    end
  end

  def check(document, dice)
    states = [document]
    changes = Array.new(5) {
      change = begin
        edit(states.last, dice)&.apply(states.last)
      rescue Norvel::Refused
        next
      end
      states << change.after
      change
    }.compact
    now = states.last
    again = Norvel::Formats.read(Norvel::Formats.write(now).bytes, name: now.name)
    expect(seen(again)).to eq seen(now)
    expect(again.paragraphs.map { |one| [one.text, one.section] }).to eq(now.paragraphs.map { |one| [one.text, one.section] })
    back = changes.reverse.inject(now) { |state, change| change.take_back(state) }
    expect(Norvel::Document::CHANGING.reject { |field| back.public_send(field) == document.public_send(field) }).to eq []
  end

  [[Mixed, ".docx"], [MixedOpen, ".odt"]].each do |maker, kind|
    it "hold in #{kind} documents" do
      [*1..30, 104, 129].each do |seed|
        check(maker.new(seed).document, Random.new(seed))
      rescue RSpec::Expectations::ExpectationNotMetError, StandardError => error
        raise error.class, "seed #{seed}: #{error.message}"
      end
    end
  end

  it "hold in files by other writers" do
    Dir[File.expand_path("../reference/files/*.{docx,odt}", __dir__)].sort.each do |path|
      document = Norvel::Formats.read_file(path)
      next if document.paragraphs.count { |one| one.container.nil? } < 3
      check(document, Random.new(path.size))
    rescue RSpec::Expectations::ExpectationNotMetError, StandardError => error
      raise error.class, "#{File.basename(path)}: #{error.message}"
    end
  end
end
