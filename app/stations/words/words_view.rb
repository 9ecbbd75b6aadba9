# frozen_string_literal: true

# What is pasted, and the text beside what it was when it came.
module WordsView
  PAIRS = 60 # paragraphs on a page

  # Text that was pasted, with its emphasis.
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
