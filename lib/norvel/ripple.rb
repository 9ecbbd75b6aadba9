# frozen_string_literal: true

module Norvel
  # What a change of styles will move, before it is made: styles that inherit it, paragraphs that change their look, those that
  # don't because they set the value themselves, and findings that go and come.
  class Ripple
    Place = Struct.new(:before, :after)

    attr_reader :before, :after

    # check: the Guide::Check of the document as it is
    def initialize(edit, document, check)
      @before = document
      @edit = edit
      @check = check
      @after = edit.change(document)
    end

    # Styles whose own look changes, by what they are based on.
    def styles
      @styles ||= after.sheet.styles.each_value.select do |style|
        was = before.sheet[style.id] or next
        %i[paragraph run].any? { |place| before.cascade.of_style(was, place) != after.cascade.of_style(style, place) }
      end
    end

    # Paragraphs that look otherwise. Judged once for all that are set alike.
    def moved
      @moved ||= reached.filter_map { |was, now| Place.new(was, now) if differs?(was, now) }
    end

    # Paragraphs in a style that changes which look as before, since they set the value themselves.
    def unmoved
      @unmoved ||= reached.reject { |was, now| was.blank? || differs?(was, now) }.map(&:last)
    end

    def findings_gone
      counts.first
    end

    def findings_come
      counts.last
    end

    # The places that change most, one of each look, for showing before and after.
    def samples(most = 4)
      moved.reject { |place| place.after.blank? }.group_by { |place| [before.look(place.before), after.look(place.after)] }.values.map(&:first).first(most)
    end

    def after_check
      @after_check ||= Guide::Check.new(@check.guide, after.with_suggestions_of(before), before: @check, reached: styles.to_h { |style| [style.id, true] })
    end

    private

    def reached
      ids = styles.to_h { |style| [style.id, true] }
      @reached ||= after.paragraphs.filter_map do |now|
        style = after.style_of(now)
        reached = (style && ids[style.id]) || now.runs.any? { |run| run.style_id && ids[run.style_id] }
        [before.paragraph(now.id), now] if reached && before.include?(now.id)
      end
    end

    def differs?(was, now)
      @known ||= {}
      key = [was.style_id, now.style_id, was.direct, now.direct, was.table, letters(was), (was.runs.equal?(now.runs) ? nil : letters(now))]
      @known.fetch(key) { @known[key] = before.look(was) != after.look(now) || before.letter_look(was) != after.letter_look(now) }
    end

    def letters(paragraph)
      paragraph.remember(:letters_set) { paragraph.letters.map { |run| [run.style_id, run.direct] }.uniq }
    end

    # Findings by rule at each paragraph whose findings were judged anew; document-wide ones all together.
    def counts
      @counts ||= begin
        pairs = after.paragraphs.map { |paragraph| [@check.on(paragraph.id) || [], after_check.on(paragraph.id)] }.reject { |was, now| was.equal?(now) }
        pairs << [@check.on_document, after_check.on_document]
        pairs.inject([0, 0]) { |sums, (was, now)| sums.zip(difference(was.map(&:rule), now.map(&:rule))).map(&:sum) }
      end
    end

    def difference(was, now)
      return [0, 0] if was == now
      before, after = was.tally, now.tally
      rules = before.keys | after.keys
      [rules.sum { |rule| [(before[rule] || 0) - (after[rule] || 0), 0].max }, rules.sum { |rule| [(after[rule] || 0) - (before[rule] || 0), 0].max }]
    end
  end
end
