# frozen_string_literal: true

# What would go if a text began again from bare text, and what would stay.
module BareView
  # What may stay, by name, as a person reads it.
  STRUCTURE = {"headings" => "headings and titles", "lists" => "lists"}.freeze

  def bare_edit
    @bare_edit ||= Norvel::Edits::BareText.new(keep: bare_kept)
  end

  # Names of STRUCTURE that stay: all until someone chooses.
  def bare_kept
    params[:chosen] ? Array(params[:stays]) & STRUCTURE.keys : STRUCTURE.keys
  end

  # How many paragraphs of the text are in a kind of structure.
  def bare_count(name)
    pattern = Norvel::Edits::BareText::STRUCTURE.fetch(name)
    document.paragraphs.count { |one| Norvel::Survey.role(document, one).match?(pattern) }
  end

  # [[words, count], …] of what would go.
  def bare_goes
    styles = bare_pairs.reject { |was, now| was.style_id == now.style_id }
    {"paragraphs change their style" => styles.size,
     "paragraphs lose what was set on them by hand" => bare_pairs.count { |was, now| fewer?(was.direct, now.direct) },
     "stretches of words lose a look of their own" => stretches,
     "styles have nothing in them then" => (document.uses.keys - bare_after.uses.keys).size}
  end

  # [[style's name, paragraphs that leave it], …], most first.
  def bare_styles
    left = bare_pairs.reject { |was, now| was.style_id == now.style_id }
    left.map { |was, _| document.style_name(was) }.tally.sort_by { |_, count| -count }
  end

  # What is never taken, in figures.
  def bare_stays
    objects = Norvel::Seal.of(document).counts
    [["word", document.word_count], ["table", document.tables.size], ["image", objects[:image]],
      ["note", objects[:note_mark]], ["link", objects[:link]]]
      .filter_map { |noun, count| counted(count, noun) if count&.positive? }.join(" · ")
  end

  private

  def bare_after
    @bare_after ||= bare_edit.change(document)
  end

  def bare_pairs
    @bare_pairs ||= document.working.zip(bare_after.working)
  end

  def stretches
    bare_pairs.sum do |was, now|
      was.runs.zip(now.runs).count { |one, other| one.style_id != other.style_id || fewer?(one.direct, other.direct) }
    end
  end

  def fewer?(was, now)
    was.keys.size > now.keys.size
  end
end
