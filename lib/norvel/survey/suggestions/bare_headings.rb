# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Headings of text that has no formatting, by words, length, number, order and neighbours alone: a short line that
      # is no sentence, before text. Where nothing gives the level it is the first, and less sure.
      class BareHeadings < Finder
        LINE = 12 # words at most

        def find
          return unless bare?
          @forms = Forms.new(@draft)
          found = left(LINE).select { |paragraph| candidate?(paragraph) }.to_h { |one| [one, score(one)] }
            .select { |_, score| score >= 2.0 }
          found = found.reject { |paragraph, score| score < 4 && crowded?(paragraph) }
          numbered = found.count { |one, _| counted?(one) } >= 2
          found.each { |paragraph, score| settle(paragraph, score, numbered) }
        end

        private

        # Has the document no headings that anything but words would show?
        def bare?
          worded.none? do |paragraph|
            role(paragraph).to_s.start_with?("heading") &&
              (!plain?(paragraph) || StyleRoles.telling(document, paragraph).to_s.start_with?("heading"))
          end
        end

        def candidate?(paragraph)
          text?(paragraph) && plain?(paragraph) && !document.decisions.key?(paragraph.id) && !look(paragraph)[:list] &&
            line_of_its_own?(traits(paragraph)) && (!sentence?(traits(paragraph)) || counted?(paragraph))
        end

        def line_of_its_own?(seen)
          seen.words.between?(1, LINE) && !seen.object? && !seen.begins_small? && !seen.bullet? && !seen.caption &&
            !seen.paged? && !seen.reference? && !seen.field? && !seen.text.match?(/[,;]\z/)
        end

        def sentence?(seen)
          seen.sentence? && !(seen.text.end_with?("?") && questions?)
        end

        # Does the text go from question to question? One here and there in running text is no heading.
        def questions?
          return @questions unless @questions.nil?
          asked = worded.count { |one| traits(one).words <= LINE && traits(one).text.end_with?("?") }
          @questions = asked >= 3 && asked * 4 >= worded.size
        end

        def counted?(paragraph)
          @forms.headings?(paragraph) || traits(paragraph).chapter? || traits(paragraph).kind == :appendix ||
            (traits(paragraph).kind == :decimal && traits(paragraph).depth > 1 && !traits(paragraph).sentence?)
        end

        def score(paragraph)
          seen = traits(paragraph)
          score = 0.0
          score += 3 if counted?(paragraph)
          score += 3 if seen.heading_word?
          score += (seen.words > 1) ? 1 : -1.5 if seen.capitals?
          score += 0.5 if seen.words <= 8
          score += 0.5 unless seen.sentence?
          score -= 1.5 if seen.text.end_with?(":")
          score -= 2 if seen.label? && !counted?(paragraph)
          score -= 2 if seen.text.match?(/\A[\d\W]+\z/)
          score -= 2 if item?(paragraph)
          score + place(paragraph)
        end

        # Text follows, or another heading; before it a text has ended.
        def place(paragraph)
          after, before = following(paragraph), preceding(paragraph)
          return -2 unless after
          score = (traits(after).prose? || traits(after).words >= 10) ? 1.5 : 0
          score += 1 if counted?(after) || traits(after).bullet? || after.part == :table
          score += 0.5 if before.nil? || traits(before).sentence? || before.part == :table
          score += 0.3 if @draft.after_gap[paragraph.id]
          score
        end

        # One of a list's items: its like stands beside it.
        def item?(paragraph)
          kind, depth = traits(paragraph).kind, traits(paragraph).depth
          return false unless %i[decimal letter roman].include?(kind) && depth != 2
          beside(paragraph).any? { |other| traits(other).kind == kind && traits(other).depth == depth }
        end

        # Short lines one under the other are lines of something else, unless they count.
        def crowded?(paragraph)
          lines = 0
          %i[preceding following].each do |side|
            other = paragraph
            lines += 1 while (other = @draft.public_send(side, other)) && lines < 4 && line?(other)
          end
          lines >= 2
        end

        def line?(paragraph)
          seen = traits(paragraph)
          paragraph.part == :body && seen.short? && !counted?(paragraph) && !seen.heading_word? && !seen.bullet? &&
            seen.kind.nil? && role(paragraph).nil?
        end

        def settle(paragraph, score, numbered)
          seen = traits(paragraph)
          because = ["a line by itself, without a full stop", ("a usual heading" if seen.heading_word?),
            ("counts as others do" if counted?(paragraph)), ("followed by text" if place(paragraph) >= 1.5)].compact
          sure = counted?(paragraph) ? 0.88 : 0.72
          sure = 0.82 if seen.heading_word? && !counted?(paragraph)
          sure -= 0.06 if numbered && !counted?(paragraph) && !seen.heading_word?
          sure -= 0.08 if score < 2.5
          put(paragraph, "heading_#{level(paragraph)}", sure.round(2), *because)
        end

        def level(paragraph)
          seen = traits(paragraph)
          return 1 if seen.chapter? || seen.kind == :appendix || seen.form.nil?
          return seen.depth.clamp(1, 6) + ((seen.depth == 1 && chapters?) ? 1 : 0) if seen.kind == :decimal
          below?(seen.form) ? 2 : 1
        end

        def chapters?
          @chapters = worded.count { |one| traits(one).chapter? && !traits(one).prose? } >= 2 if @chapters.nil?
          @chapters
        end

        # Does a form begin anew under headings of another, as "A." under "I."?
        def below?(form)
          return chapters? if %w[roman letter\ A].include?(form) && chapters?
          order = worded.filter_map { |one| traits(one).form if traits(one).words <= LINE && counted?(one) }.uniq
          form == "letter A" && order.include?("roman") && order.index("roman") < order.index(form)
        end
      end
    end
  end
end
