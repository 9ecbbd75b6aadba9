# frozen_string_literal: true

# Findings as a table: by cause, and those that one mend settles under it.
module FindingsView
  SHOWN = 40 # places of a group on the page

  def findings_words(check)
    return "not known" if check.fault
    return "nothing to mend" if check.groups.empty?
    "#{counted(check.findings.size, "place")}, #{counted(check.groups.size, "cause")}"
  end

  # How a document stands, in the head of every station and at the handover.
  def standing_words(check)
    return "Not held against the guide" if check.fault
    left = check.counts.reject { |_, count| count.zero? }
    return '<span class="meets">✓ Meets the guide</span>' if left.empty?
    left.map { |severity, count| %(<b class="#{severity}">#{number(count)} #{severity}</b>) }.join(" · ")
  end

  # Groups of findings with those beside them that the very same mend settles: [[group, …], …], worst first.
  def by_mend(groups)
    groups.group_by { |group| mend_of(group) || group.key }.values
  end

  def mend_of(group)
    mend = group.first.mend or return
    [mend.steps, mend.safe, group.paragraphs]
  end

  # What the style that a group's paragraphs would go in has otherwise than they.
  def way_differences(group)
    ids = group.paragraphs.select { |id| document.include?(id) }
    return [] if ids.empty?
    asked = manuscript.rules.requirements(group.first.mend.steps.first[2])
    Norvel::Edits::PutInStyle.new(ids, mended_style(group), asked:).differences(document)
  end

  def mended_style(group)
    group.first.mend.steps.first[1]
  end

  # Where a group's findings are, as a link to all of them where they are paragraphs.
  def places_of(group)
    if group.paragraphs.empty?
      return group.first.section ? "section #{group.findings.map(&:section).join(", ")}" : "document"
    end
    %(<a href="#{h picked_path(group)}">#{number(group.size)}<span class="unseen"> places in the galley</span></a>)
  end

  def picked_path(group)
    path_to("galley", at: group.paragraphs.first, pick: "finding:#{group.key}")
  end

  # [[finding, paragraph], …] of the first that still stand in the text.
  def shown_places(group)
    places = group.findings.first(SHOWN).select { |finding| document.include?(finding.paragraph) }
    places.map { |finding| [finding, document.paragraph(finding.paragraph)] }
  end
end
