# frozen_string_literal: true

# What is pasted, and the text beside what it was when it came.
module WordsView
  PAIRS = 60 # paragraphs on a page
  MOST = 300 # places that are shown
  LOOKS = [["", "any look"], *Norvel::Survey::Search::LOOKS.keys].freeze
  NAMES = %i[q with exact words style look].freeze

  # Text that was pasted, with its emphasis.
  # What the form of what is looked for said, for an address.
  def asked
    NAMES.to_h { |name| [name, params[name].to_s[0, 400]] }.reject { |_, text| text.empty? }
  end

  # The text that stands there instead, nil where none was asked for.
  def instead
    params[:with].to_s
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

  # "p. 12", or where it stands in the text while pages are not known.
  def hit_place(hit)
    label = pages&.label_of(hit.paragraph)
    label ? "p. #{label}" : place_words(hit.paragraph)
  end

  # "… before <del>old</del> <ins>new</ins> after …" of a place.
  def hit_html(hit)
    old = (params.key?(:with) && hit.fixed.nil?) ? "<del>#{h hit.words}</del>" : "<mark>#{h hit.words}</mark>"
    new = (params.key?(:with) && hit.fixed.nil?) ? "<ins>#{h search.instead(hit, instead)}</ins>" : ""
    "#{h hit.before}#{old}#{new}#{h hit.after}"
  end

  def pasted_text(block)
    block.runs.map do |text, set|
      %(<span class="#{[("b" if set[:bold]), ("i" if set[:italic])].compact.join(" ")}">#{h text}</span>)
    end.join
  end

  # "1–60 of 804"
  def beside_words(shown)
    first = (@page * PAIRS) + 1
    "#{number(first)}–#{number(first + shown.size - 1)} of #{number(@pairs.size)}"
  end

  def same_as_came?(original, copy)
    original && copy && original.equal?(copy) && manuscript.first_document.look(original) == document.look(copy)
  end
end
