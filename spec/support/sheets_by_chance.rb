# frozen_string_literal: true

# What can be set on Sheets, drawn by chance, and what a reader sees of it.
module SheetsByChance
  E = Norvel::Edits

  module_function

  def line(dice)
    words = ["", "", "{page}", "Draft", "{page} of {pages}", "p. {page}", "{chapter}", "a\u00A0b & <c>"]
    Norvel::Running::Line.new(left: words.sample(random: dice), middle: words.sample(random: dice),
      right: words.sample(random: dice))
  end

  def running(document, dice)
    from = dice.rand(1..document.sections.size)
    kinds = [%w[header], %w[footer], %w[header footer]].sample(random: dice)
    E::SetRunning.new((from..dice.rand(from..document.sections.size)).to_a, kinds.to_h { |kind| [kind, line(dice)] },
      which: %w[default default even first].sample(random: dice))
  end

  def matters(document, dice)
    top = document.paragraphs.select { |one| one.container.nil? }
    matter = E::SetMatters::Matter
    E::SetMatters.new([matter.new(paragraph: document.paragraphs[0].id, format: "lower_roman",
      shown_first: dice.rand < 0.5),
      matter.new(paragraph: top.sample(random: dice).id, start: [nil, 1, 7].sample(random: dice),
        begins: %w[next_page odd_page even_page].sample(random: dice))])
  end

  def edit(document, dice)
    some = document.paragraphs.sample(random: dice)
    section = dice.rand(1..document.sections.size)
    case dice.rand(9)
    when 0, 1, 2 then running(document, dice)
    when 3 then matters(document, dice)
    when 4 then E::TurnPage.new((document.paragraphs.find { |one| one.part == :table } || some).id)
    when 5 then E::JoinSections.new(section, keep: %w[before this].sample(random: dice))
    when 6 then E::BeginChapters.new([some.id], %w[odd_page even_page next_page].sample(random: dice))
    when 7 then E::SetPage.new([section],
      {margin_left: 60.0 + dice.rand(40), footer: 20.0 + dice.rand(20), width: [595.3, 612.0].sample(random: dice)})
    when 8 then E::JoinRunning.new(%w[even first].sample(random: dice), section)
    end
  end

  # Several such changes, one after another, of those that are not refused.
  def changes(document, dice, count = 5)
    Array.new(count) {
      change = begin
        edit(document, dice).apply(document)
      rescue Norvel::Refused
        next
      end
      document = change.after
      change
    }.compact
  end

  # What a reader sees of its pages: label, width, margin, what stands at head and foot.
  def seen(document)
    pages = Norvel::Layout.of(document.with)
    pages.sheets.map do |sheet|
      section = document.sections[sheet.section - 1]
      said = pages.heads(sheet).map do |story, _, _, column|
        [story.kind, column.pieces.map { |piece| piece.block.set_items.text.delete("\uFFF9") }.join]
      end
      [sheet.label, section.width.round, section.margin_left.round, said.reject { |_, text| text.strip.empty? }.sort]
    end
  end
end
