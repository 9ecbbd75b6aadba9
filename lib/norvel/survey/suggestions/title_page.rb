# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # The title, and the lines that stand with it. A title page ends at a page break, at the first running text, or
      # where a look begins that comes again as headings do.
      class TitlePage < Finder
        LONGEST = 25 # paragraphs among which a title is looked for
        LINES = 14 # words of a line that is no text

        def find
          marked = worded.first(LONGEST).find { |paragraph| role(paragraph) == "title" }
          zone = @zone = zone()
          title = marked || title(zone) or return
          others(zone, title)
          page(title)
        end

        private

        # The paragraphs before the first real text, up to the end of the page.
        def zone
          list = worded.first(LONGEST).take_while do |paragraph|
            paragraph.part != :table && !(paragraph.part == :body && text_begins?(paragraph)) &&
              (paragraph.equal?(worded.first) || !begins_page?(paragraph))
          end
          list.reject { |paragraph| known?(paragraph) || traits(paragraph).object? }
        end

        def text_begins?(paragraph)
          seen = traits(paragraph)
          (seen.prose? && (look(paragraph)[:align] != "center" || body.align == "center" || seen.words >= 40)) ||
            seen.greeting? || role(paragraph).to_s.start_with?("heading") ||
            (seen.words >= 8 && seen.several_sentences?)
        end

        def title(zone)
          return if zone.empty? || barred?(zone.first) || letter?
          first = before_its_like(zone)
          return named(first, *first_reasons(zone)) if first
          largest(zone) || plain(zone)
        end

        def named(paragraph, confidence, *because)
          put(paragraph, "title", confidence, *because)
          paragraph
        end

        # A letter begins with whom it is from and to.
        def letter?
          worded.first(20).any? { |one| traits(one).greeting? && following(one) && traits(following(one)).words >= 8 }
        end

        # A title that looks as the headings do: it comes first, stands out, and is followed by plain lines (an author's
        # name), or at once by a heading of the same look.
        def before_its_like(zone)
          first, second = zone
          return if second.nil? || first != worded.first || !stands_out?(first) || unlikely?(first)
          return if like(first).zero?
          first if first_reasons(zone)
        end

        def first_reasons(zone)
          first, second = zone
          if !stands_out?(second) && traits(second).words <= 10 && !traits(second).sentence? &&
              look(second)[:align] == look(first)[:align]
            [0.8, "first in the document", "followed by lines that are no text"]
          elsif appearance(second) == appearance(first) && traits(second).kind.nil?
            [0.8, "first in the document", "followed by a heading of the same look"]
          end
        end

        def like(paragraph)
          worded.count do |other|
            traits(other).words <= 15 && !other.equal?(paragraph) && !known?(other) &&
              appearance(other) == appearance(paragraph)
          end
        end

        # The most prominent of the lines, where it is the only one of its look.
        def largest(zone)
          candidates = zone.reject { |paragraph| unlikely?(paragraph) }
          most = candidates.map { |paragraph| size(paragraph) }.max or return
          return if most < body.size + (centred?(candidates.first) ? 0.5 : 2)
          title = candidates.select { |paragraph| size(paragraph) == most }.max_by.with_index do |paragraph, place|
            [weight(paragraph), -place]
          end
          return if rivals(title, most) > 2 && worded.count { |other| size(other) == size(title) } > 1
          named(title, 0.93, "largest size in the document", "on the first page")
        end

        def centred?(paragraph)
          paragraph.equal?(worded.first) && look(paragraph)[:align] == "center" && body.align != "center"
        end

        # Bold, capitals and words of a name rather than a label.
        def weight(paragraph)
          set = letters(paragraph)
          [set[:bold], set[:caps] || traits(paragraph).capitals?, traits(paragraph).words >= 2,
            !traits(paragraph).date?].count(true)
        end

        def rivals(title, most)
          worded.count do |paragraph|
            size(paragraph) >= most && letters(paragraph)[:bold] == letters(title)[:bold] && paragraph != title
          end
        end

        # In text that has no looks, the first line is the title where it is one by its words: a line of its own before
        # other lines that are none of the text, or before a heading.
        def plain(zone)
          first = worded.first
          return unless zone.first.equal?(first) && traits(first).words <= 20 && !unlikely?(first)
          return if traits(first).sentence? || traits(first).begins_small?
          if stands_out?(first)
            text = worded.any? { |one| traits(one).prose? }
            return named(first, text ? 0.82 : 0.7, "first in the document", "unlike the text")
          end
          second = following(first) or return
          return if traits(first).label? && traits(second).label?
          return if traits(first).words == 1 && !traits(second).label? && !traits(second).date?
          return if traits(second).bullet? || traits(second).kind == :letter
          opening = zone.size >= 2 || traits(second).prose? || text_begins?(second) || traits(second).heading_word? ||
            traits(second).chapter?
          named(first, 0.72, "first in the document", "a line by itself") if opening
        end

        def unlikely?(paragraph)
          seen = traits(paragraph)
          seen.chapter? || seen.heading_word? || seen.kind == :decimal || seen.kind == :roman || seen.words > 25 ||
            seen.date? || seen.greeting? || seen.bullet? || seen.signs? || seen.caption || seen.paged? ||
            barred?(paragraph)
        end

        def barred?(paragraph)
          document.decisions.key?(paragraph.id)
        end

        def others(zone, title)
          place = worded.index(title)
          before = worded.first(place).reject { |paragraph| known?(paragraph) }
          rest = worded.drop(place + 1).take_while { |paragraph| zone.include?(paragraph) || known?(paragraph) }
          subtitle(title, rest)
          lines = rest.take_while { |paragraph| !heading_begins?(paragraph, title) }
          lines.pop if lines.any? && opens_text?(lines.last, title)
          (before + lines).each { |paragraph| beside_title(paragraph) unless known?(paragraph) }
        end

        def subtitle(title, rest)
          sub = rest.first
          return if sub.nil? || known?(sub) || traits(sub).words < 3 || likely_heading?(sub)
          smaller = size(sub) > body.size && size(sub) < size(title)
          put(sub, "subtitle", 0.75, "second largest, under the title") if smaller && !recurs?(sub, 3)
        end

        # Does a heading begin here: by its words, or by a look that comes again?
        def heading_begins?(paragraph, title)
          return false if known?(paragraph)
          likely_heading?(paragraph) || (stands_out?(paragraph) && recurs?(paragraph, 2) && appearance(paragraph) !=
            appearance(title))
        end

        # Of lines that look alike, the last one before the text is its heading rather than a line of the title.
        def opens_text?(paragraph, title)
          seen, after = traits(paragraph), following(paragraph)
          return false if known?(paragraph) || after.nil? || !traits(after).prose? || begins_page?(after)
          return false if look(paragraph)[:align] != look(after)[:align]
          return false if seen.date? || seen.label? || Words::BYLINE.match?(seen.text)
          return false if seen.sentence? && !seen.text.end_with?("?")
          !(preceding(paragraph).equal?(title) && name?(seen.text)) && seen.short?
        end

        # Two to four words, each with a capital: a person's name.
        def name?(text)
          text.match?(/\A(?:[[:upper:]][[:alpha:].'’-]*[\s\u00A0]?){2,4}\z/)
        end

        def likely_heading?(paragraph)
          seen = traits(paragraph)
          return true if (@forms ||= Forms.new(@draft)).headings?(paragraph)
          seen.heading_word? || seen.chapter? ||
            (seen.kind == :decimal && (letters(paragraph)[:bold] || seen.depth > 1))
        end

        # Does its look come again, among lines of the text rather than those of the title page, or over plain lines?
        def recurs?(paragraph, times)
          worded.count do |other|
            traits(other).words <= 20 && appearance(other) == appearance(paragraph) &&
              (other.equal?(paragraph) || !@zone.include?(other) || [paragraph, other].all? { |one| heads_lines?(one) })
          end >= times
        end

        def heads_lines?(paragraph)
          after = following(paragraph)
          after && !stands_out?(after) && !begins_page?(after)
        end

        def beside_title(paragraph)
          return unless look(paragraph)[:align] == "center" || traits(paragraph).words <= LINES
          return if traits(paragraph).prose? || traits(paragraph).bullet?
          put(paragraph, "other", 0.7, "on the title page")
        end

        # All of the page, blank paragraphs with it, where it is a page of its own: lines set apart by blank ones, and
        # an end before the text.
        def page(title)
          last = document.position(title.id)
          paragraphs = document.paragraphs
          size = paragraphs.first(60).index.with_index { |one, place| place >= last && ends?(one, place, last) }
          return unless size
          listed = paragraphs.first(size + 1)
          return if listed.any? { |paragraph| traits(paragraph).prose? }
          listed.each { |paragraph| @draft.title_page[paragraph.id] = true }
        end

        def ends?(paragraph, place, last)
          following = document.paragraphs[place + 1]
          paragraph.ends_page? || (place > last && following && document.look(following)[:page_break_before])
        end
      end
    end
  end
end
