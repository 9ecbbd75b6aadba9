# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Headings by what sets them apart, made consistent over the document: they come in kinds.
      class Headings < Finder
        MOSTLY = 0.7
        WORDS = 40 # of a heading at most

        def find
          @scores = candidates
          accepted = consistent
          levels = HeadingLevels.new(accepted, document, marked:, follows: @draft.method(:following))
          accepted.each do |paragraph|
            put(paragraph, "heading_#{levels.level(paragraph)}", sureness(paragraph, levels),
              *@scores[paragraph.id].because)
          end
        end

        private

        BY_SIZE = 0.9 # sure at most, where the level hangs on the size of the letters alone

        def sureness(paragraph, levels)
          sure = @scores[paragraph.id].confidence
          levels.by_size?(paragraph) ? [sure, BY_SIZE].min : sure
        end

        def marked
          worded.filter_map { |paragraph| (level = @draft.found[paragraph.id]&.level) && [paragraph, level] }.to_h
        end

        def candidates
          forms = Forms.new(@draft)
          left(WORDS).each_with_object({}) do |paragraph, scores|
            next if !text?(paragraph) || document.decisions.key?(paragraph.id)
            seen = traits(paragraph)
            next if seen.running_text? || seen.object? || listed?(paragraph)
            scores[paragraph.id] = HeadingScore.new(paragraph, look(paragraph), letters(paragraph), body,
              following: following(paragraph), after_gap: @draft.after_gap[paragraph.id],
              fresh: begins_page?(paragraph), counted: forms.headings?(paragraph), boxed: @draft.boxed?(paragraph))
          end
        end

        def listed?(paragraph)
          look(paragraph)[:list] && !look(paragraph)[:keep_with_next] && !letters(paragraph)[:bold]
        end

        # One that looks as most headings do is one though its own evidence is thin, and a lone remark in a look that
        # mostly holds text is not.
        def consistent
          by_kind = worded.select { |paragraph| @scores.key?(paragraph.id) || !known?(paragraph) }
            .group_by { |paragraph| appearance(paragraph) }
          share = by_kind.transform_values do |list|
            list.count { |paragraph| @scores[paragraph.id]&.heading? }.fdiv(list.size)
          end
          left(WORDS).select do |paragraph|
            score = @scores[paragraph.id] or next
            part = share[appearance(paragraph)]
            next like_most?(paragraph, score, by_kind) if !score.heading? && part >= MOSTLY
            score.heading? && (part >= 0.3 || score.score >= HeadingScore::THRESHOLD + 2 || section?(paragraph)) &&
              !run_of_them?(paragraph)
          end
        end

        # "2.2.1 Readings in frost": numbered below a chapter, which lists of the text are not.
        def section?(paragraph)
          traits(paragraph).kind == :decimal && traits(paragraph).depth > 1 && !traits(paragraph).sentence?
        end

        def like_most?(paragraph, score, by_kind)
          score.score >= HeadingScore::THRESHOLD - 1.5 && by_kind[appearance(paragraph)].size >= 3 &&
            !traits(paragraph).sentence?
        end

        # Four and more in a row without text between are lines of something else: an address, a title page, verse.
        def run_of_them?(paragraph)
          return false if @scores[paragraph.id].score >= HeadingScore::THRESHOLD + 3
          chain(paragraph, :preceding) + chain(paragraph, :following) >= 3
        end

        def chain(paragraph, side)
          length = 0
          length += 1 while (paragraph = @draft.public_send(side, paragraph)) && @scores[paragraph.id]&.heading? &&
              length < 6
          length
        end
      end
    end
  end
end
