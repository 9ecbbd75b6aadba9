# frozen_string_literal: true

# Parts on the Sheets station: which ones are there, in which order, beside what the guide asks.
module PartsView
  # A row: a part of the document (nil where it is missing), what the guide asks of it (nil for nothing), what is wrong.
  PartRow = Struct.new(:name, :part, :asked, :findings)

  def parts
    @parts ||= Norvel::Structure::Parts.new(document)
  end

  # Parts that are there in their order; those that are missing where the guide would have them.
  def part_rows
    rows = parts.list.map { |part| part_row(part.name, part) }
    manuscript.rules.parts.each_with_index do |asked, rank|
      next if rows.any? { |row| row.name == asked["part"] }
      later = manuscript.rules.parts.drop(rank + 1).map { |one| one["part"] }
      at = rows.index { |row| later.include?(row.name) } || rows.size
      rows.insert(at, part_row(asked["part"], nil))
    end
    rows
  end

  def part_words(name)
    Norvel::Structure::Parts::LABELS.fetch(name, name.tr("_", " ")).capitalize
  end

  # "required, at most 350 words"
  def asked_of_part(asked)
    return "not asked for" unless asked
    bounds = {"at most" => asked["max_words"], "at least" => asked["min_words"]}.compact
      .map { |words, count| "#{words} #{number(count)} words" }
    [(asked["required"] ? "required" : "in this place"), ("where there are #{asked["required_if"]}" if
      asked["required_if"]), ("levels 1 to #{asked["levels"]}" if asked["levels"]), *bounds].compact.join(", ")
  end

  # Where it begins, as a link with the words that do.
  def place_of_part(part)
    first = part.heading || document.paragraphs[part.first]
    words = ["page #{pages.label_of(first.id)}", (cut(first.text.strip, 44) if part.heading)].compact.join(", ")
    link_to_place(words, first.id)
  end

  # Can a missing part be put in?
  def fillable?(row)
    row.part.nil? && Norvel::Edits::PutInPart.possible?(row.name)
  end

  # The edit that a form asks for. Raises Refused.
  def part_edit
    order = manuscript.rules.parts.map { |part| part["part"] }
    levels = manuscript.rules.part("contents")&.fetch("levels", nil)
    Norvel::Edits::PutInPart.new(params[:put_in].to_s, order, **{levels:}.compact)
  end

  # Sheets around the part that a change is about.
  def part_sheets(whose)
    part = Norvel::Structure::Parts.new(whose)[params[:put_in]]
    page = part ? Norvel::Layout.pages(whose).sheet_of(whose.paragraphs[part.first].id)&.page || 1 : 1
    Norvel::Layout.pages(whose).sheets[[page - 2, 0].max, 4]
  end

  private

  def part_row(name, part)
    own = manuscript.check.on_document.select do |one|
      (one.rule.start_with?("parts.") && one.cause.include?(name)) || one.rule == "#{name}.missing"
    end
    PartRow.new(name, part, manuscript.rules.part(name), own)
  end
end
