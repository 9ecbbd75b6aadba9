# frozen_string_literal: true

# What the seal proves of the words, in words.
module SealView
  # What the foot of every station proves.
  def seal_words
    seal, first = Norvel::Seal.of(document), Norvel::Seal.of(manuscript.first_document)
    words = "#{number(seal.count)} words"
    unless seal.same_words?(first)
      changed = reworded
      return "#{words} · lists that are computed came in or changed, no typed word did" if changed.zero?
      return "#{words} · you changed the words of #{counted(changed, "paragraph")}, the others are as they came"
    end
    spaces = " · white space was taken out, no word" unless seal.exact == first.exact
    "#{words}, unchanged since you brought the file in#{spaces}"
  end

  # Did no word change that somebody typed? Numbers and lists that are computed may.
  def typed_words_kept?
    Norvel::Seal.of(document).same_words?(Norvel::Seal.of(manuscript.first_document)) || reworded.zero?
  end

  # The same in words, for the seal.
  def kept_words(seal, first)
    return "the same as in the file that came" if seal.same_words?(first)
    return "none that was typed has changed; some signs or lists are computed now" if reworded.zero?
    "those of #{counted(reworded, "paragraph")} changed by you"
  end

  # Is all that it says worked out by a field? listed: ids of the entries of contents lists
  def computed?(paragraph, listed)
    return true if listed.key?(paragraph.id)
    worded = paragraph.letters.select { |run| run.words.match?(/[[:alnum:]]/) }
    made = ->(around) { around in Norvel::Document::FieldResult | Norvel::Document::Field }
    worded.any? && worded.all? { |run| run.within.any?(&made) }
  end

  # Are its words others, and not only its number counted now that was typed?
  def reworded?(first, was, paragraph)
    was.sealed_text != paragraph.sealed_text && printed(first, [was]) != printed(document, [paragraph])
  end

  # What a reader sees of paragraphs, numbers among it, without white space.
  def printed(whose, paragraphs)
    paragraphs.map { |one| "#{whose.markers[one.id]}#{one.sealed_text}" }.join.gsub(/[\s\u00A0]+/, "")
  end

  # How many paragraphs have other words than they came with, came, or went.
  def reworded
    (@reworded ||= {}.compare_by_identity)[document] ||= count_reworded
  end

  def count_reworded
    first = manuscript.first_document
    return 0 if printed(first, first.paragraphs) == printed(document, document.paragraphs)
    listed = listed_in(first, document)
    came = first.paragraphs.to_h { |paragraph| [paragraph.id, paragraph] }
    changed = document.paragraphs.count do |paragraph|
      was = came.delete(paragraph.id)
      next false if computed?(paragraph, listed)
      was ? reworded?(first, was, paragraph) : !paragraph.blank?
    end
    changed + came.each_value.count { |paragraph| !paragraph.blank? && !computed?(paragraph, listed) }
  end

  # {id => true} of the entries of contents lists, in either state.
  def listed_in(*documents)
    documents.flat_map do |one|
      Norvel::Structure::ContentsLists.in(one).flat_map { |list| list.paragraphs(one).map(&:id) }
    end.to_h { |id| [id, true] }
  end
end
