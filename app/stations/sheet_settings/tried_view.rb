# frozen_string_literal: true

# A change of pages that is seen before it is done, whatever asked for it: a mend of findings, or chapters begun
# otherwise.
module TriedView
  # Mends that are seen on pages first.
  SEEN_FIRST = %w[begin_chapters mirror_margins set_running put_in_part].freeze
  AROUND = 5 # sheets that are shown of each
  CHAPTERS = {"new" => "on a new page", "right" => "on a right page"}.freeze

  def seen_first?(finding)
    SEEN_FIRST.include?(finding.mend&.name)
  end

  # Where the pages of a finding's mend are seen.
  def tried_path(finding)
    group = manuscript.check.groups.find { |one| one.findings.include?(finding) } or return path_to("findings")
    path_to("sheets/tried", group: group.key)
  end

  # The edit that is tried. Raises Refused.
  def tried_edit
    return chapters_edit if params[:chapters]
    group = manuscript.check.groups.find { |one| one.key == params[:group] }
    group&.edit(manuscript.rules) or raise Norvel::Refused,
      "That group of findings is not there any more: it may have been mended with another."
  end

  def chapters_edit
    ids = matters.chapters.map(&:id)
    return Norvel::Edits::BeginChapters.new(ids, "odd_page") if params[:chapters] == "right"
    Norvel::Edits::BeginOnPage.new(ids)
  end

  # What the form for keeping it sends: {group: "…"}
  def tried_fields
    params.to_h.transform_keys(&:to_sym).slice(:group, :chapters)
  end

  # Sheets from the first that is another.
  def tried_sheets(whose)
    @first_other ||= pages.sheets.zip(Norvel::Layout.pages(@after).sheets).index { |was, now|
      now.nil? || seen_of(was, document) != seen_of(now, @after)
    } || 0
    Norvel::Layout.pages(whose).sheets[[@first_other - 1, 0].max, AROUND] || Norvel::Layout.pages(whose).sheets.last(1)
  end

  private

  # What tells a sheet from another, shortly.
  def seen_of(sheet, whose)
    heads = Norvel::Layout.pages(whose).running(sheet).map do |story|
      story.paragraphs.map { |one| [one.text, one.direct] }
    end
    [sheet.label, sheet.blank, sheet.frame.left, sheet.frame.width, sheet.paragraphs.map(&:id), heads]
  end
end
