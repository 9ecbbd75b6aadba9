# frozen_string_literal: true

# What is pasted, and the text beside what it was when it came.
module WordsView
  PAIRS = 60 # paragraphs on a page
  NEAR = 16 # words and spaces that are shown beside those that differ
  MOST = 300 # places that are shown
  LOOKS = Norvel::Survey::Search::LOOKS.keys.freeze
  NAMES = %i[q with exact words style look apart].freeze

  # [[name, its places], …] in the order in which they first stand.
  def placeholders
    @placeholders ||= Norvel::Structure::Placeholders.of(document).group_by(&:name).to_a
  end

  def placeholder_words
    "#{counted(placeholders.sum { |_, places| places.size }, "place")} to fill in"
  end

  # What the form of what is looked for said, for an address.
  def asked
    NAMES.to_h { |name| [name, params[name].to_s[0, 400]] }.reject { |_, text| text.empty? }
  end

  # The text that stands there instead, "" where none was asked for.
  def instead
    params[:with].to_s
  end

  # Are there words that are looked for, and others to put instead? Without these they can be taken out.
  def replacing?
    !params[:q].to_s.strip.empty? && !instead.empty?
  end

  # "31 places", "300 of 1,204 places are shown".
  def found_words
    return "Type what is looked for, or choose how it looks." if asked.slice(:q, :style, :look).empty?
    return "Nothing is found." if hits.empty?
    (hits.size > MOST) ? "#{number(MOST)} of #{counted(hits.size, "place")} are shown" : counted(hits.size, "place")
  end

  # [[id or name, words], …] of the styles that what is found may be in.
  def styles_to_find
    names = document.styles.by_id.values.select { |style| style.paragraph? || style.character? }.map(&:name)
    [["", "any style"]] + names.uniq.sort_by(&:downcase).map { |name| [name, name] }
  end

  # The looks that words may have: the usual ones, and others that are set by hand here, with how often.
  def looks_to_find
    apart = Norvel::Survey::LooksApart.of(document)
    names = LOOKS | apart.keys | [params[:look].to_s].reject(&:empty?)
    [["", "any look"], *names.map { |name| [name, apart[name] ? "#{name} (#{number(apart[name])} by hand)" : name] }]
  end

  # "p. 12", or where it stands in the text while pages are not known.
  def hit_place(hit)
    label = pages&.label_of(hit.paragraph)
    label ? "p. #{label}" : place_words(hit.paragraph)
  end

  # "… before <del>old</del> <ins>new</ins> after …" of a place.
  def hit_html(hit)
    changes = replacing? && hit.fixed.nil?
    words = "<mark>#{h hit.words}</mark>"
    words = "<del>#{h hit.words}</del><ins>#{h search.instead(hit, instead)}</ins>" if changes
    "#{h hit.before}#{words}#{h hit.after}"
  end

  # Text that was pasted, with its emphasis.
  def pasted_text(block)
    block.runs.map do |text, set|
      %(<span class="#{[("b" if set[:bold]), ("i" if set[:italic])].compact.join(" ")}">#{h text}</span>)
    end.join
  end

  DIFFERENCES = {came: "came since", gone: "went since", words: "other words", look: "looks otherwise"}.freeze

  # The state that it is shown beside: before a change of the ledger, or as it came.
  def beside
    @beside ||= beside_entry ? manuscript.document_before(beside_entry.id) : manuscript.first_document
  end

  # The change of the ledger that is asked for, nil for the file as it came.
  def beside_entry
    @beside_entry ||= manuscript.ledger_entries.find_by(id: whole(:before)) if whole(:before).positive?
  end

  def beside_title
    beside_entry ? "As it was before “#{cut(beside_entry.title, 60)}”" : "As it came"
  end

  # How an address names what is shown beside what.
  def beside_asked(**more)
    {before: beside_entry&.id, only: ("1" if only_differing?), **more}.compact
  end

  def only_differing?
    params[:only] == "1"
  end

  # Those that differ, where these alone are asked for.
  def differing(pairs)
    only_differing? ? pairs.select { |was, now| difference(was, now) } : pairs
  end

  # "1–60 of 804"
  def beside_words(shown)
    return "nothing differs" if shown.empty?
    first = (@page * PAIRS) + 1
    "#{number(first)}–#{number(first + shown.size - 1)} of #{number(@pairs.size)}"
  end

  # How a paragraph differs from what it was, of DIFFERENCES; nil where it is the same.
  def difference(was, now)
    return (was ? :gone : :came) unless was && now
    return :words unless was.text == now.text
    :look unless beside.look(was) == document.look(now) && letters(was, beside) == letters(now, document)
  end

  # The words of a paragraph with those that went and came, as HTML; "" where they are the same.
  def words_differing(was, now)
    return "" unless difference(was, now) == :words
    pairs = Diff::LCS.sdiff(was.text.scan(/\s+|\S+/), now.text.scan(/\s+|\S+/))
    parts = pairs.chunk_while { |one, other| one.unchanged? == other.unchanged? }.map do |list|
      list.first.unchanged? ? h(around(list.map(&:old_element))) : changed_words(list)
    end
    %(<p class="worddiff">#{parts.join}</p>)
  end

  private

  # Words that stay, shortened in the middle.
  def around(words)
    (words.size > 2 * NEAR) ? "#{words.first(NEAR).join} … #{words.last(NEAR).join}" : words.join
  end

  def changed_words(pairs)
    went, came = pairs.map(&:old_element).join, pairs.map(&:new_element).join
    "#{"<del>#{h went}</del>" unless went.empty?}#{"<ins>#{h came}</ins>" unless came.empty?}"
  end

  # [[words, how they look], …] of a paragraph, as few as there are looks.
  def letters(paragraph, whose)
    paragraph.runs.reject { |run| run.words.empty? }.map { |run| [run.words, whose.run_look(run, paragraph)] }
      .chunk_while { |one, other| one.last == other.last }.map { |list| [list.map(&:first).join, list.first.last] }
  end
end
