# frozen_string_literal: true

# Which findings are looked at: by weight, topic, part, page, and words; one cause and one place of it.
module ChosenView
  FILTERS = %i[weight topic part page q].freeze

  # What narrows the list, for addresses: {weight: "must", …}
  def narrowed
    FILTERS.to_h { |name| [name, params[name].to_s] }.reject { |_, value| value.empty? }
  end

  def narrowed?
    narrowed.any?
  end

  # [[group, those of its findings that are looked at], …], worst first.
  def chosen_groups
    @chosen_groups ||= manuscript.check.groups.map { |group| [group, group.findings.select { |one| looked_at?(one) }] }
      .reject { |_, findings| findings.empty? }
  end

  def looked_at?(finding)
    wanted = narrowed
    (wanted[:weight].nil? || finding.severity == wanted[:weight]) &&
      (wanted[:topic].nil? || Norvel::Guide::RuleTopics.of(finding.rule) == wanted[:topic]) &&
      (wanted[:part].nil? || part_of(finding) == wanted[:part]) &&
      (wanted[:page].nil? || page_label(finding).to_s == wanted[:page]) &&
      (wanted[:q].nil? || words_of(finding).include?(wanted[:q].downcase))
  end

  def topic_options
    present = manuscript.check.groups.map { |group| Norvel::Guide::RuleTopics.of(group.rule) }.uniq
    options([["", "every topic"], *Norvel::Guide::RuleTopics.words.slice(*present)], narrowed[:topic])
  end

  def weight_options
    options([["", "every weight"], *Norvel::Guide::Check::SEVERITIES], narrowed[:weight])
  end

  def part_options
    names = document_parts.map(&:name).uniq
    options([["", "every part"], *names.map { |name| [name, name.tr("_", " ")] }], narrowed[:part])
  end

  # The label of the page that a finding is seen on; nil where pages are not known.
  def page_label(finding)
    pages && (at = manuscript.check.page(finding)) && pages.sheets[at - 1]&.label
  end

  # Its first place is a press away.
  def cause_words(group)
    %(<a class="cause" href="#{h place_path(group)}">#{h group.first.message}</a>)
  end

  # Can it be mended with others? What is seen on the pages first can't.
  def tickable?(group)
    mend = group.first.mend
    !mend.nil? && !seen_first?(group.first) && !numbers_pages?(group.first)
  end

  # A tick of a cause that has a mend; they are sent by a form above the table.
  def cause_tick(group)
    return "" unless tickable?(group)
    %(<input type="checkbox" name="cause[]" value="#{group.key}" form="ticked" aria-label="#{h group.first.message}">)
  end

  # "31 of 256" where some are looked at.
  def places_words(group)
    some = chosen_groups.find { |one, _| one.equal?(group) }&.last&.size
    (some.nil? || some == group.size) ? places_of(group) : "#{number(some)} of #{places_of(group)}"
  end

  # --- one place ---

  # [group, findings that are looked at] that is chosen, else the first; nil where there are none.
  def chosen_group
    chosen_groups.find { |group, _| group.key == params[:group] } || chosen_groups.first
  end

  # Which of them, from 0.
  def nth
    whole(:nth).clamp(0, chosen_group.last.size - 1)
  end

  def the_finding
    chosen_group.last[nth]
  end

  # The same among all that its cause has.
  def nth_in_group
    chosen_group.first.findings.index(the_finding)
  end

  # The address of a place of a group.
  def place_path(group, nth = 0)
    path_to("findings/place", group: group.key, nth:, **narrowed)
  end

  # The place after (1) or before (-1), in the next group where this one ends; nil at the ends.
  def place_beside(by)
    group, findings = chosen_group
    at = nth + by
    return place_path(group, at) if at.between?(0, findings.size - 1)
    index = chosen_groups.index { |one, _| one.equal?(group) } + by
    beside, list = chosen_groups[index] if index >= 0
    beside && place_path(beside, by.positive? ? 0 : list.size - 1)
  end

  private

  def part_of(finding)
    return if finding.paragraph.nil? || Norvel::Document::Story.id?(finding.paragraph)
    at = document.position(finding.paragraph)
    document_parts.find { |part| at.between?(part.first, part.last) }&.name
  end

  def document_parts
    @document_parts ||= Norvel::Structure::Parts.new(document).list
  end

  def words_of(finding)
    paragraph = document.paragraph(finding.paragraph) if finding.paragraph && document.include?(finding.paragraph)
    [finding.rule, finding.message, finding.found, finding.asked, paragraph&.text].compact.join("\n").downcase
  end
end
