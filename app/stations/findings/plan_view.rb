# frozen_string_literal: true

# A plan as a page: what would change with its example, what it keeps, what is left for a person's eye.
module PlanView
  PLANS = Norvel::Recent.new(4) # by state and choices, since a page, its looks and the change itself come from one
  LINE = 110 # letters of an example
  PLACES = 60 # that are listed
  PROGRESS = Norvel::Recent.new(50)
  LONG = 1_500 # paragraphs that take longer than a person waits without a word
  SHEETS = 3 # that are shown before and after
  # Kinds that change white space, whose examples show it; what it is shown as.
  SIGNED = %w[indent_without_tabs indent_without_spaces single_spaces join_lines].freeze
  # What is no letter stands for itself, or the spaces on both sides of it would look like two.
  STANDING = [Norvel::Document::Run::OBJECT + Norvel::Document::Run::NOTE, "▢※"].freeze
  SIGNS_OF_SPACE = {"\t" => "⇥ ", "\n" => "↵", "  " => "··"}.freeze

  # The plan with the parts as they are ticked.
  def plan
    @plan ||= begin
      key = [manuscript.id, manuscript.lock_version, manuscript.guide, *plan_choices.values]
      PLANS.fetch(key) { worked_out }
    end
  end

  # A plan that takes longer than a person waits without a word is worked out while the page says how far it is.
  def plan_takes_long?
    document.working.size > LONG && params[:now].nil?
  end

  # How far the plan of this document is, from 0 to 100.
  def plan_progress
    ((PROGRESS.fetch(manuscript.id) || 0) * 100).round
  end

  # What a person switched off, and what asks first and was switched on.
  def plan_choices
    shown, ticked, offered = %i[shown part offered].map { |name| Array(params[name]) }
    {without: (shown - ticked - offered).sort, with: (offered & ticked).sort, among: plan_among}.compact
  end

  # Ids of the paragraphs that the plan is for, nil for all.
  def plan_among
    return @plan_among if defined?(@plan_among)
    @plan_among = picked? ? chosen_ids : portion.ids
  end

  # Is it for paragraphs that were picked in the galley?
  def picked?
    !params[:ids].to_s.empty?
  end

  # [[what stands above them or nil, parts], …]: what is sure, and what asks first.
  def plan_parts
    sure, asking = plan.parts.partition { |part| part.mend.safe }
    [[nil, sure], ["Look at these first: they are done where you tick them", asking]].reject { |_, list| list.empty? }
  end

  # Where the first sheet stands that has other lines or another label, so that it is among those shown.
  def first_other_sheet(before, after)
    seen = ->(sheet) { [sheet.label, sheet.lines.map(&:text), sheet.frame.left] if sheet }
    at = (0...after.sheets.size).find { |n| seen[before.sheets[n]] != seen[after.sheets[n]] } || 0
    at.clamp(0, [before.sheets.size, after.sheets.size].min - 1)
  end

  def plan_words
    parts = plan.done
    of = picked? ? "of #{counted(plan_among.size, "paragraph")}: " : ""
    return "#{of}nothing that is safe to do" if parts.empty?
    "#{of}#{counted(parts.size, "kind")} of change, #{counted(parts.sum(&:count), "place")} · nothing is done yet"
  end

  def telling(part)
    Norvel::Guide::PlanWords.new(part)
  end

  def plan_title(part)
    text = h(telling(part).title.then { |title| title[0].upcase + title[1..] })
    part.style ? text.sub(h(part.style), "<b>#{h part.style}</b>") : text
  end

  # The paragraphs that a part changes, where they stand now.
  def plan_places(part)
    part.findings.filter_map(&:paragraph).uniq.select { |id| document.include?(id) }.map { |id| document.paragraph(id) }
  end

  # Why a part that asks first is not ticked by itself.
  def plan_detail(part)
    detail = telling(part).detail
    return h("asks first: #{part.mend.why}") if part.off && part.mend.why
    h(detail.to_s)
  end

  # A place before and after, each in its look.
  def plan_before(part)
    one, other = part.example
    return h(part.findings.first.found.to_s) unless one
    return gap_sample(part.was, one, nil) if one.blank?
    SIGNED.include?(part.kind) ? signed_sample(one, other, part.was) : words_sample(one, part.was)
  end

  def plan_after(part)
    one, other = part.example
    return h(part.findings.first.asked.to_s) unless one
    return gap_sample(part.was, one, part.now) if one.blank?
    return "" unless other
    SIGNED.include?(part.kind) ? signed_sample(other, one, part.now) : words_sample(other, part.now)
  end

  # The beginning of a paragraph, each of its words in its own look.
  def words_sample(paragraph, whose)
    left = LINE
    words = paragraph.runs.filter_map do |run|
      next unless left.positive? && !run.words.empty?
      text = cut(run.words, left)
      left -= text.size
      %(<span class="#{look_class(whose.run_look(run, paragraph), :run)}">#{h text}</span>)
    end
    %(<p class="#{paragraph_class(paragraph, whose)}">#{marker_html(paragraph, whose)}#{words.join}</p>)
  end

  # The stretch of a text where it differs from another, its white space to be seen.
  def signed_sample(paragraph, other, whose)
    text, changed = [paragraph, other].map { |one| one.seen_text.tr(*STANDING) }
    first = (0...text.size).find { |place| text[place] != changed[place] } || 0
    from = [first - 24, 0].max
    stretch = h("#{"…" if from.positive?}#{text[from, 76].rstrip}…")
    signs = stretch.gsub(/\t|\n| {2,}/) do |space|
      %(<span class="spacesign">#{SIGNS_OF_SPACE.fetch(space) { "·" * space.size }}</span>)
    end
    letters = look_class(whose.letter_look(paragraph), :run)
    %(<p class="#{paragraph_class(paragraph, whose) if from.zero?}"><span class="#{letters}">#{signs}</span></p>)
  end

  # A blank line with what stands around it, or the space in its place.
  def gap_sample(was, blank, now)
    before, after = around(was, blank)
    middle = now ? gap_words(now, before, after) : %(<span class="blankline">blank line</span>)
    whose = now || was
    [before && gap_line(before, whose), middle, after && gap_line(after, whose)].compact.join
  end

  # {words => [before, after]} of what a person asks first.
  def plan_figures
    {**found_by_plan, "looks" => [plan.before, plan.after].map { |one| Norvel::Survey::Looks.new(one).groups.size },
                      "styles worn" => [plan.before, plan.after].map { |one| one.uses.size }}
  end

  def found_by_plan
    checks = [plan.first_check, plan.last_check]
    return {"things to tidy" => checks.map { |one| one.findings.size }} if manuscript.rules.none?
    %w[must should].to_h { |name| [name, checks.map { |one| one.counts[name] }] }
  end

  # What a plan leaves alone, in figures.
  def plan_stays
    objects = Norvel::Seal.of(document).counts
    numbers = document.markers.values.count { |marker| !marker.to_s.empty? }
    said = [counted(document.word_count, "word"), (counted(objects[:image], "image") if objects[:image]),
      (counted(objects[:note_mark], "note") if objects[:note_mark]),
      (counted(numbers, "printed number") if numbers.positive?)]
    said.compact.join(" · ")
  end

  # [[what, why, the first paragraph or nil, places], …] of what is left, in the order of the findings.
  def plan_left
    plan.left_for_the_eye.map do |why, groups|
      findings = groups.flat_map(&:findings)
      [left_words(findings), why, findings.filter_map(&:paragraph).find { |id| document.include?(id) }]
    end
  end

  # The looks that the page's examples are in.
  def plan_looks
    plan.parts.map do |part|
      one, other = part.example
      next "" unless one
      [look_rules([one, *around(part.was, one)].compact, part.was),
        look_rules([other, *around(part.was, one).map { |near| still(part.now, near) }].compact, part.now)].join("\n")
    end.uniq.join("\n")
  end

  private

  def worked_out
    PROGRESS.put(manuscript.id, 0.05)
    check = plan_check
    told = ->(done) { PROGRESS.put(manuscript.id, done) }
    Norvel::Guide::Plan.new(manuscript.rules, document, check:, told:, **plan_choices)
  ensure
    PROGRESS.delete(manuscript.id)
  end

  # The check of this state, unless a fault prevented it: then the plan meets the same fault, and says so.
  def plan_check
    check = manuscript.check
    raise Norvel::Refused, check.fault if check.fault
    check
  end

  def around(whose, paragraph)
    place = whose.position(paragraph.id)
    [whose.paragraphs.first(place).reverse.find { |one| !one.blank? },
      whose.paragraphs.drop(place + 1).find { |one| !one.blank? }]
  end

  def still(whose, paragraph)
    (paragraph && whose.include?(paragraph.id)) ? whose.paragraph(paragraph.id) : nil
  end

  def gap_line(paragraph, whose)
    paragraph = still(whose, paragraph) or return ""
    text = paragraph.text.strip
    text = (text.size > 40) ? "…#{text[-38..]}" : text
    %(<p class="gapline"><span class="#{look_class(whose.letter_look(paragraph), :run)}">#{h text}</span></p>)
  end

  def gap_words(now, before, after)
    space = [before && now.look(still(now, before))[:space_after], after && now.look(still(now, after))[:space_before]]
      .compact.max
    return %(<span class="gapspace">no space: the guide says so</span>) unless space&.positive?
    %(<span class="gapspace">#{Norvel::Length.spoken(space, "pt")} of space</span>)
  end

  def left_words(findings)
    "#{counted(findings.size, "place")}: #{findings.first.message[0].downcase}#{findings.first.message[1..]}"
      .sub(/: formatting was set by hand.*/, ": formatting set by hand")
  end
end
