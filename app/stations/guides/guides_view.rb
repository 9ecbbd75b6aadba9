# frozen_string_literal: true

# A guide as a page: its topics, its rules as sentences with how far the document at hand meets them, and its text.
module GuidesView
  SHOWN_PLACES = 12 # places of a rule that are listed
  MANUAL = "From a manual's text"

  # The address of a guide's page; the document at hand stays.
  def guide_path(key, step = nil, **query)
    address = ["/guides", ERB::Util.url_encode(key), step].compact.join("/")
    query = {document: @manuscript&.id, **query}.compact
    query.empty? ? address : "#{address}?#{Rack::Utils.build_query(query)}"
  end

  # The form of what is sent about a guide: where it goes, and what it was drawn for.
  def guide_form(step, **attributes)
    said = attributes.map { |name, value| %( #{name}="#{h value}") }.join
    hidden = {seen: @row&.version, document: @manuscript&.id, topic: @topic}.compact
      .map { |name, value| %(<input type="hidden" name="#{name}" value="#{h value}">) }
    %(<form action="#{guide_path(@key, step)}" method="post"#{said}>) + csrf_field + hidden.join
  end

  # --- what the guide is ---

  # "edition 2026 · made from house template.dotx · 41 rules · used by 2 documents"
  def guide_words(key = @key, guide = @guide, row = @row)
    count = Norvel::Guide::Sentences.new(guide).all.size
    [edition_words(guide, row), ("made from #{row.origin}" if row&.origin), counted(count, "rule"),
      users_words(key, row)].compact.join(" · ")
  end

  def edition_words(guide, row)
    named = guide.data["edition"]
    return ["ships with Norvel", ("edition #{named}" if named)].compact.join(" · ") if row.nil?
    state = row.kept ? "edition #{row.number}" : begun_words(row)
    [state, ("“#{named}”" if named)].compact.join(" ")
  end

  # What dropping does: of a guide that was never kept nothing is left.
  def drop_words
    (@row.number == 1) ? "Throw it away" : "Drop the changes"
  end

  def begun_words(row)
    (row.number == 1) ? "not kept yet" : "changes not kept yet"
  end

  def users_words(key, row)
    count = row ? row.users.count : Manuscript.where(guide: key).count
    "used by #{counted(count, "document")}" if count.positive?
  end

  # Everything that can be looked at: [[key, Norvel::Guide, SavedGuide or nil], …], those that people made first.
  def every_guide
    SavedGuide.latest.map { |row| [row.key, SavedGuide.rules(row.key), row] } +
      Norvel::Guide.shipped.map { |key, guide| [key, guide, nil] }
  end

  # Can it be changed here? An earlier edition can't.
  def changeable?
    !@row.nil? && @row.newest?
  end

  # Does it say where its values are from, or what no rule can ask?
  def beyond?
    @guide.data["source"] || @guide.not_checked.any?
  end

  # --- topics ---

  def topic_named(name)
    Norvel::Guide::Sentences::TOPICS.keys.find { |topic| topic.to_s == name.to_s }
  end

  # [[topic, its words, how many rules], …]; where it can be changed, all that there are.
  def topics
    all = Norvel::Guide::Sentences::TOPICS.map { |topic, words| [topic, words, (@sentences[topic] || []).size] }
    changeable? ? all : all.reject { |_, _, count| count.zero? }
  end

  def topic_words
    Norvel::Guide::Sentences::TOPICS.fetch(@topic)
  end

  # Labels of what can be asked, for a list to choose from: of this topic first.
  def labels_to_ask
    topic = Norvel::Guide::Sentences
    RuleForm::Catalogue.all.partition { |entry| topic.topic(entry.place) == @topic }.flatten.map(&:label)
  end

  # --- rules ---

  # The sentences of this topic.
  def sentences
    @sentences[@topic] || []
  end

  # Its clause, where the sentence before it has another.
  def clause_of(sentence)
    at = sentences.index(sentence)
    same = at.positive? && sentences[at - 1].cite == sentence.cite && !open?(sentences[at - 1])
    same ? "" : cut(sentence.cite.to_s, 60)
  end

  def open?(sentence)
    sentence.place == @open
  end

  # Is a rule open that the guide does not state yet?
  def fresh_rule?
    @open && sentences.none? { |one| open?(one) }
  end

  def entry
    @entry ||= RuleForm::Catalogue.of(@open)
  end

  # What stands at the open rule, as it was typed or as the guide has it: [way, words]
  def typed_rule
    return [params[:way].to_s, params[:value].to_s] if params[:place]
    RuleForm::Catalogue.typed(stated(@open))
  end

  def typed_members
    params[:members] || RuleForm::Catalogue.typed_members(stated(@open))
  end

  def stated(place)
    RuleForm::Catalogue.stated(@guide, place)
  end

  # What may be typed, but for what the choice before it says.
  def expected
    (entry.ways.size > 1) ? entry.expects.sub(/,?(?: or)? \{(?:any_of|min).*/, "") : entry.expects
  end

  # What a member is called: "max words".
  def member_key(member)
    member.place.last
  end

  def way_options
    options(RuleForm::Catalogue::WAYS.slice(*entry.ways), typed_rule.first)
  end

  def choice_options(choices, chosen)
    options([["", "–"], *choices.map { |one| [one.to_s, one.to_s.tr("_", " ")] }], chosen)
  end

  # The rules that the open sentence states, [] for a new one.
  def open_rules
    sentences.find { |one| open?(one) }&.rules || []
  end

  # The page of help on what the open rule asks; nil for none.
  def open_help
    @open_help ||= (rule = RuleForm::Examples.rule_at(@open)) && Norvel::Guide::Help.of(rule)
  end

  # How heavy it weighs: nothing where its value says so itself, or where it states no rule.
  def weighed?
    open_rules.any? && open_rules.none? { |rule| rule.include?("*") } && @open.first != "exceptions" &&
      (entry.choices & Norvel::Guide::Check::SEVERITIES).empty?
  end

  def severity_options
    stated = @guide.data["severity"] || {}
    default = @guide.severity(open_rules.first)
    own = open_rules.filter_map { |rule| stated[rule] }.first
    options([["", "as it is by itself (#{default})"], *Norvel::Guide::Check::SEVERITIES], params[:severity] || own)
  end

  def clause
    place = clause_place(@open)
    params[:cite] || (place && stated(place)).to_s
  end

  def clause?
    !clause_place(@open).nil?
  end

  # --- the document at hand ---

  # The document that was last worked on of those held against this guide.
  def companion
    keys = @row ? @row.editions.map(&:key) : [@key]
    Manuscript.where(guide: keys).order(updated_at: :desc).first
  end

  def document_options
    options([["", "no document"], *on_the_shelf], @manuscript&.id)
  end

  def shelf_options
    options(on_the_shelf)
  end

  # [[id, title], …], the one that was worked on last first.
  def on_the_shelf
    Manuscript.order(updated_at: :desc).pluck(:id, :title).map { |id, title| [id, cut(title, 50)] }
  end

  def check
    @check ||= Trial.check(@manuscript, @guide)
  end

  def tally
    @tally ||= Norvel::Guide::Tally.new(check)
  end

  # "✓ 88 of 88", "◆ 9 of 88 differ", "not checked".
  def met(sentence)
    return "" unless @manuscript
    return %(<span class="muted">not known</span>) if check.fault
    line = tally.of(sentence)
    [met_of(line), granted_of(line)].compact.join("<br>")
  end

  def met_of(line)
    return differ(line) if line.findings.any?
    return %(<span class="muted" title="#{h line.unchecked.join("; ")}">not checked</span>) if line.unchecked.any?
    return %(<span class="muted">none here</span>) if line.total&.zero?
    %(<span class="meets">✓ #{line.total ? "#{number(line.total)} of #{number(line.total)}" : "met"}</span>)
  end

  def differ(line)
    worst = Norvel::Guide::Check::SEVERITIES.find { |one| line.findings.any? { |finding| finding.severity == one } }
    places = [line.differ, 1].max
    of = " of #{number(line.total)}" if line.total && line.total >= places
    verb = (places == 1) ? "differs" : "differ"
    %(#{mark(worst)} <b class="#{worst}">#{number(places)}#{of} #{verb}</b>)
  end

  def granted_of(line)
    %(<span class="muted">#{number(line.granted)} granted</span>) if line.granted.positive?
  end

  # Links to the paragraphs that are not as the open rule asks.
  def open_places
    sentence = sentences.find { |one| open?(one) }
    return [] unless sentence && @manuscript && !check.fault
    ids = tally.of(sentence).findings.filter_map(&:paragraph).uniq.select { |id| document.include?(id) }
    ids.first(SHOWN_PLACES).map { |id| place_link(document.paragraph(id)) } +
      ((ids.size > SHOWN_PLACES) ? ["and #{number(ids.size - SHOWN_PLACES)} more"] : [])
  end

  # "31 more, 4 fewer"
  def what_if_words
    more, fewer = @what_if.more, @what_if.fewer
    return "the same" if more.empty? && fewer.empty?
    [("#{number(more.size)} more" unless more.empty?), ("#{number(fewer.size)} fewer" unless fewer.empty?)].compact
      .join(", ")
  end

  # [[severity, message, number], …] of what would come, the most frequent first.
  def what_if_kinds
    @what_if.more.group_by { |one| [one.severity, one.message] }.map { |kind, list| [*kind, list.size] }
      .max_by(4, &:last)
  end

  # --- its text ---

  # [[text, does the open rule stand there?], …] of its lines.
  def yaml_lines
    here = @open && Norvel::Guide::YamlText.new(@guide.source).line(@open)
    @guide.source.lines.each_with_index.map { |line, index| [line.chomp, index + 1 == here] }
  end

  # --- editions ---

  # What the changes that are not kept yet, or the newest edition, say otherwise than the one at hand.
  def revision
    @revision ||= Norvel::Guide::Revision.new(*revised.map { |row| SavedGuide.rules(row.key) })
  end

  # [the earlier row, the later one], nil where there is nothing to compare.
  def revised
    return if @row.nil?
    return [@row.editions.last, @row].then { |pair| pair if pair.all? } unless @row.kept
    [@row, @row.newer] if @row.newer
  end

  def revision_words
    was, now = revised.map(&:number)
    @row.kept ? "What edition #{now} says otherwise" : "What is changed since edition #{was}"
  end

  # --- from a manual ---

  # "Size of body text is 12 pt." of an offer, as the guide would say it.
  def offer_words(offer)
    text = Norvel::Guide::FromManual.write([offer], onto: "norvel_guide: 1\nname: x\n")
    group = Norvel::Guide::Sentences.new(Norvel::Guide.new(text, checked: true)).all
    group.map(&:words).join(" ")
  end
end
