# frozen_string_literal: true

# Edits of every kind on paragraphs and styles that are drawn by chance.
module ByChance
  E = Norvel::Edits

  module_function

  # Lambdas from a document to an edit, or nil.
  def edits(_document, dice, count)
    Array.new(count) { ->(now) { one(now, dice) } }
  end

  # The document after an edit; as it was where the edit is refused.
  def try(document, edit)
    made = edit.call(document)
    made ? made.apply(document).after : document
  rescue Norvel::Refused
    document
  end

  def one(document, dice)
    ids = document.paragraphs.map(&:id)
    some = ids.sample(1 + dice.rand(4), random: dice)
    style = document.styles.by_id.values.select(&:paragraph?).sample(random: dice)
    case dice.rand(13)
    when 0, 1 then E::PutInStyle.new(some, style.id, hand: :stays)
    when 2 then E::ClearDirect.new(some, keep_emphasis: dice.rand < 0.5)
    when 3 then E::ClearDirect.new(ids, keep_emphasis: true)
    when 4 then E::PutInList.new(some, 0)
    when 5 then E::DeleteParagraphs.new(some)
    when 6 then E::SplitParagraph.new(some[0], [document.paragraph(some[0]).raw_text.size / 2, 1].max)
    when 7 then E::DefineStyle.new("New #{dice.rand(1000)}", based_on: style.id)
    when 8 then E::PutInStyle.new(some, style.name)
    when 9 then E::RenameStyle.new(style.id, "Renamed #{dice.rand(1000)}")
    when 10 then E::RebaseStyle.new(style.id, document.styles.by_id.values.select(&:paragraph?).sample(random: dice).id)
    when 11 then E::SetPage.new([1 + dice.rand(document.sections.size)], {margin_left: 100.0 + dice.rand(30)})
    when 12 then E::Retype.new(some[0], "#{document.paragraph(some[0]).raw_text} more  words")
    end
  end
end
