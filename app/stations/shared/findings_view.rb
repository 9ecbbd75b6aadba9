# frozen_string_literal: true

# Findings as a table: by cause, and those that one mend settles under it.
module FindingsView
  SHOWN = 40 # places of a group on the page

  def mend_safe_words
    guided? ? "Mend all that is safe …" : "Clean up what is sure …"
  end

  def met_words
    guided? ? "The document meets #{manuscript.rules.name}." : "Nothing to tidy was found."
  end

  def findings_words(check)
    return "not known" if check.fault
    return "nothing to mend" if check.groups.empty?
    "#{counted(check.findings.size, "place")}, #{counted(check.groups.size, "cause")}"
  end

  # Groups of findings with those beside them that the very same mend settles: [[group, …], …], worst first.
  def by_mend(groups)
    groups.group_by { |group| mend_of(group) || group.key }.values
  end

  # Where what no mend can do is done: {rule => [its words, the steps of its address]}
  WAYS = {"accessible.alt_text" => ["Describe them …", "images"],
          "accessible.title" => ["Say it …", "handover#title"],
          "accessible.language" => ["Say it …", "handover#language"],
          "clean.placeholder" => ["Fill them in …", "placeholders"]}.freeze

  def way_by_hand(rule)
    words, step = WAYS[rule]
    words ? %(<a class="btn" href="#{h path_to(step)}">#{words}</a>) : '<span class="muted">for you to decide</span>'
  end

  # The page of help on a rule.
  def help_path(rule)
    "/help/#{rule}"
  end

  def mend_of(group)
    mend = group.first.mend or return
    [mend.steps, mend.safe, group.paragraphs]
  end

  # Their way into the style, as a person would choose it: Edits::PutInStyle.
  def put_of(group)
    findings = group.findings.select { |finding| document.include?(finding.paragraph) }
    return if findings.empty?
    Norvel::Guide::Mend.put(findings, manuscript.rules, *group.first.mend.steps.first.drop(1), hand:, look: :style)
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

  # By its key, in the check against the guide or against itself.
  def group_of_findings(key)
    keyed = ->(group) { group.key == key }
    manuscript.check.groups.find(&keyed) || consistency_groups.find(&keyed)
  end
end
