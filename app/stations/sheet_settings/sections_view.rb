# frozen_string_literal: true

# Sections under the matters that they make: what each is set up as, and one joined to the one before.
module SectionsView
  # "1–74" of the pages of a section.
  def section_labels(number)
    own = pages.sheets.select { |sheet| sheet.section == number }.map(&:label).reject(&:empty?)
    [own.first, own.last].compact.uniq.join("–")
  end

  # Is a section set up as the one before it?
  def same_set_up?(number)
    before, this = document.sections[number - 2, 2]
    Norvel::Document::PageStyle.of(before, "").worn_by?(this)
  end

  # The edit that a form asks for. Raises Refused.
  def join_edit
    number, keep = params[:join].to_s.split
    Norvel::Edits::JoinSections.new(number.to_i, keep: (keep == "this") ? "this" : "before")
  end

  # The sheets where two sections meet.
  def joint_sheets(whose)
    first = document.paragraphs.find { |one| one.section == whole(:join) }
    page = (first && Norvel::Layout.pages(whose).sheet_of(first.id)&.page) || 1
    Norvel::Layout.pages(whose).sheets[[page - 2, 0].max, 3]
  end
end
