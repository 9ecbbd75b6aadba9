# frozen_string_literal: true

# How an edit of paragraphs is answered: what changed, in place where a page shows it, or as the page it came from.
module Answers
  FEW = 60 # touched paragraphs that are answered row by row

  def perform(edit)
    before = document
    change = manuscript.perform(edit, version: params[:version])
    @document = nil
    answer(before, change.title, chosen_ids)
  end

  # What changed, in place for htmx; for a plain form, the page it came from.
  def answer(before, said, selected)
    return go_after(said, back_to) unless request.env["HTTP_HX_REQUEST"]
    touched = touched_rows(before)
    headers "HX-Trigger" => {"document-changed" => {version: manuscript.lock_version},
                             **(touched ? {} : {"galley-stale" => {}})}.to_json
    partial(:answer, said:, touched: touched || [], selected:)
  end

  # The rows to send, nil when the galley has to be drawn anew: rows came or went, or there are too many.
  def touched_rows(before)
    return if before.working.size != document.working.size
    styles = !before.styles.equal?(document.styles)
    was = before.working
    touched = document.working.each_with_index.reject do |paragraph, index|
      paragraph.equal?(was[index]) && !styles &&
        before.markers[paragraph.id] == document.markers[paragraph.id]
    end
    return if touched.size > FEW
    shown = params[:loaded].to_s.split(",").to_h { |number| [number.to_i, true] }
    touched.select { |_, index| shown[index / GalleyRow::BLOCK] }.map(&:first)
  end

  def back_to
    place = params[:back].to_s
    return place if place.match?(%r{\A/manuscripts/#{manuscript.id}/[[:graph:]]*\z})
    path_to("galley", at: chosen_ids.first || whole(:at))
  end

  def one_id
    chosen_ids.first or raise Norvel::Refused, "Nothing is selected."
  end

  # Paragraphs like one, itself among them. by: "style", "role", "section", else "look"
  def like(paragraph, by)
    like = case by
    when "style" then ->(other) { document.style_of(other).equal?(document.style_of(paragraph)) }
    when "role" then ->(other) { Norvel::Survey.role(document, other) == Norvel::Survey.role(document, paragraph) }
    when "section" then section_from(paragraph)
    else alike(paragraph)
    end
    among = Norvel::Document::Story.id?(paragraph.id) ? document.working : document.paragraphs
    among.select { |other| (!other.blank? || by == "style") && like[other] }
  end

  def alike(paragraph)
    ->(other) {
      document.look(other) == document.look(paragraph) &&
        document.letter_look(other) == document.letter_look(paragraph)
    }
  end

  # Everything from here to the next heading of the same level or a higher one.
  def section_from(paragraph)
    start = document.text_position(paragraph.id)
    level = Norvel::Survey::Suggestions.of(document)[paragraph.id].level || 6
    rest = document.paragraphs.drop(start + 1)
    levels = Norvel::Survey::Suggestions.of(document)
    inside = rest.take_while { |other| (found = levels[other.id].level).nil? || found > level }
    ids = [paragraph, *inside].to_h { |other| [other.id, true] }
    ->(other) { ids[other.id] }
  end
end
