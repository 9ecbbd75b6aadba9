# frozen_string_literal: true

# The outline as a place to work: every heading, marked or not, with what it is now.
module OutlineView
  # Survey::Outline::Entry of all that are marked or look like headings, in order.
  def outline_entries
    @outline_entries ||= begin
      seen = survey.outline.seen.to_h { |entry| [entry.paragraph.id, entry] }
      marked = survey.outline.marked.to_h { |entry| [entry.paragraph.id, entry] }
      seen.merge(marked).values.sort_by { |entry| document.position(entry.paragraph.id) }
    end
  end

  # [[ids, words, level], …] of headings that differ in the size of their letters alone and stand at several levels, or
  # in several sizes.
  def level_offers
    entries = outline_entries.reject(&:marked)
    alike = entries.group_by do |entry|
      letters = document.letter_look(entry.paragraph)
      [letters[:bold], letters[:italic], letters[:caps], letters[:color], document.look(entry.paragraph)[:align]]
    end
    alike.values.filter_map { |list| offer(list) }
  end

  # The edit that the form asks for. Raises Norvel::Refused.
  def outline_edit
    how = {guide: manuscript.rules, hand:, pattern: style_pattern}
    if params[:one]
      level, ids = params[:one].to_s.split(":", 2)
      return Norvel::Edits::OutlineLevels.new(Spans.read(ids.to_s, document.working), "level-#{level}", **how)
    end
    raise Norvel::Refused, "Tick a heading first." if chosen_ids.empty?
    Norvel::Edits::OutlineLevels.new(chosen_ids, params[:act].to_s, **how)
  end

  private

  def offer(list)
    sizes = list.map { |entry| document.letter_look(entry.paragraph)[:size] }.uniq
    return if sizes.size < 2 || list.any? { |entry| Norvel::Survey::Traits.of(entry.paragraph).form }
    words = "#{counted(list.size, "heading")} in #{sizes.size} sizes " \
      "(#{sizes.minmax.uniq.map { |size| Norvel::Length.plain(size) }.join("–")} pt) look alike but for that:"
    [list.map { |entry| entry.paragraph.id }, words, list.map(&:level).min]
  end
end
