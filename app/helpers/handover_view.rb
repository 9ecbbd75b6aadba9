# frozen_string_literal: true

# What the handover says of what a document holds.
module HandoverView
  # What a person counts in a text; bookmarks and cells are for the seal.
  COUNTED = {
    image: "image", note_mark: "note mark", field: "field", link: "link", equation: "equation", box: "box of text",
    table: "table",
    comment: "comment"
  }.freeze

  # "3 images, 12 note marks and 1 table"
  def held_words(counts)
    said = COUNTED.filter_map { |kind, noun| counted_noun(counts[kind], noun) if counts[kind] }
    return "nothing but text" if said.empty?
    (said.size == 1) ? said.first : "#{said[0..-2].join(", ")} and #{said.last}"
  end

  def counted_noun(count, noun)
    return counted(count, noun) unless noun.include?(" of ")
    first, rest = noun.split(" of ", 2)
    "#{number(count)} #{first}#{"es" unless count == 1} of #{rest}"
  end

  # What else is the same, or is not.
  def objects_words(seal, first)
    return "#{held_words(seal.counts).capitalize}, as in the file that came." if seal.same_objects?(first)
    "#{held_words(seal.counts).capitalize}; the file that came held #{held_words(first.counts)}."
  end

  def pictures_words(pictures)
    mute = pictures.count(&:mute?)
    said = mute.zero? ? "each described or marked as decoration" : "#{number(mute)} without a description"
    "#{counted(pictures.size, "image")}, #{said}"
  end

  # What stands below an image, so that it is known which one it is.
  def before_words(following)
    (following.nil? || following.blank?) ? "" : "before “#{cut(following.text.strip, 70)}”"
  end
end
