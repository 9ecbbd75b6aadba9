# frozen_string_literal: true

# What is in a text in markup, for people.
module TextView
  SHOWN = 60 # blocks
  KINDS = {"heading" => "heading", "list_item" => "list entry", "quote" => "quotation", "code" => "line of code",
           "table" => "table", "body" => "paragraph"}.freeze

  # "4 headings, 12 paragraphs and 1 table"
  def text_words(text)
    counts = text.blocks.map { |block| KINDS.fetch(block.role[/\A[a-z_]+?(?=_\d|\z)/], "paragraph") }.tally
    counts["note"] = text.notes.size if text.notes.any?
    said = counts.map do |noun, count|
      counted(count, noun)
    end
    (said.size == 1) ? said.first : "#{said[0..-2].join(", ")} and #{said.last}"
  end

  # The form that a block is drawn in: that of its role.
  def block_form(block)
    (block.role == "table") ? "t" : Norvel::Survey::Roles[block.role].form
  end

  def block_words(block)
    return cut(block.text.tr("\n", " "), 110) unless block.role == "table"
    "#{counted(block.rows.size, "row")}: #{cut(Norvel::Markup.words_of(block).join(" "), 90)}"
  end

  def block_role(block)
    (block.role == "table") ? "table" : Norvel::Survey::Roles.words(block.role)
  end

  # What stands before its words: its number in its list, or a bullet.
  def block_marker(place)
    return "" unless place
    return "#{"  " * place.level}• " unless place.ordered
    key = [place.key, place.level]
    numbers = (@block_numbers ||= Hash.new { |known, list| known[list] = place.start - 1 })
    "#{"  " * place.level}#{place.continues ? "   " : "#{numbers[key] += 1}. "}"
  end
end
