# frozen_string_literal: true

# What mending causes would do to all findings, before it is done.
module OutcomeView
  # The causes that a form or an address names, which can be mended with others or by themselves.
  def causes_sent
    keys = params[:group] ? [params[:group]] : Array(params[:cause])
    keys.filter_map { |key| group_of_findings(key) }
  end

  # The edit that mends them. Raises Refused where none of them has a mend.
  def mend_of_causes(groups)
    edits = groups.filter_map { |group| mend_of_group(group) }
    raise Norvel::Refused, "There is no mend for this: it is for you to decide." if edits.empty?
    return edits.first if edits.one?
    Norvel::Edits::Several.new(edits, title: "Mend #{counted(groups.size, "cause")}")
  end

  # Norvel::Guide::Outcome of an edit.
  def outcome_of(edit)
    Norvel::Guide::Outcome.new(manuscript.check, manuscript.check.of_later(edit.apply(document).after))
  end

  # Would it make more wrong than right, or raise what is as grave as what it mends?
  def worse?(outcome, groups)
    outcome.worse?(groups.map(&:severity).max_by { |one| Norvel::Guide::Check::SEVERITIES.index(one) })
  end

  # Findings that come, by their cause and worst first: [Norvel::Guide::Group, …]
  def coming(outcome)
    outcome.come.group_by(&:cause).values.map { |list| Norvel::Guide::Group.new(list) }
      .sort_by { |group| [Norvel::Guide::Check::SEVERITIES.index(group.severity), -group.size] }
  end

  # "12 findings go, 1 comes"
  def effect_words(outcome)
    gone, come = outcome.gone.size, outcome.come.size
    "#{counted(gone, "finding")} #{verb("go", gone)}, #{come.zero? ? "none" : number(come)} #{verb("come", come)}"
  end

  def verb(word, count)
    return word if count > 1
    word.end_with?("o") ? "#{word}es" : "#{word}s"
  end

  FEW = 12 # places that are named

  # Links to the places as they stand now, or how many they are.
  def coming_places(group)
    there = group.paragraphs.uniq.select { |id| document.include?(id) }.map { |id| document.paragraph(id) }
    named = there.first(FEW).map { |one| place_link(one) }.join(", ")
    (there.size > FEW) ? "#{named} and #{number(there.size - FEW)} more" : named
  end

  # What the form for mending it all the same sends: [["cause[]", "…"], …]
  def causes_fields
    asked = params.to_h.slice("hand", "look").to_a
    (params[:group] ? [["group", params[:group]]] : Array(params[:cause]).map { |key| ["cause[]", key] }) + asked
  end

  # Mends causes unless that makes it worse, which is shown first. The Norvel::Edits::Change, nil where it was not done.
  def mend_or_ask(groups)
    edit = mend_of_causes(groups)
    sure = params[:sure] || !current? || !worse?(outcome_of(edit), groups)
    manuscript.perform(edit, version: params[:version]) if sure
  end
end
