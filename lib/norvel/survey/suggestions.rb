# frozen_string_literal: true

module Norvel
  module Survey
    # The role of every paragraph by what it looks like, says and stands next to, and by its style where that tells.
    # First each by itself, then made consistent over the document.
    class Suggestions
      TITLE_ZONE = 25 # paragraphs at the start among which a title is looked for
      MOSTLY = 0.7
      # Styles whose names say what their text is; body and unknown styles may hold anything.
      TELLING = /\A(?!(?:body|blank|other)\z)/

      def initialize(document)
        @document = document
        @paragraphs = document.paragraphs
        @worded = @paragraphs.reject(&:blank?)
        @body = Body.new(document, @worded)
        @found = {}
        suggest
      end

      # The Suggestion for a paragraph id.
      def [](id)
        @found.fetch(id)
      end

      def role(id)
        @found.fetch(id).role
      end

      def to_h
        @found
      end

      private

      def suggest
        neighbours
        by_style
        title_page
        special
        headings
        lists
        rest
        references
      end

      def put(paragraph, role, confidence, *because)
        @found[paragraph.id] = Suggestion.new(role, confidence, because)
      end

      def known?(paragraph)
        @found.key?(paragraph.id)
      end

      def neighbours
        @following, @preceding, @after_gap, @fresh = {}, {}, {}, {}
        @worded.inject do |one, other|
          @following[one.id] = other
          @preceding[other.id] = one
          other
        end
        @fresh[@paragraphs.first.id] = true if @paragraphs.any?
        @paragraphs.inject do |one, other|
          @after_gap[other.id] = true if one.blank?
          @fresh[other.id] = true if one.ends_page? || (one.blank? && @fresh[one.id])
          other
        end
      end

      # What the author said already. A long text in a heading's style is not a heading all the same.
      def by_style
        @paragraphs.each do |paragraph|
          next put(paragraph, "blank", 1.0, "nothing in it") if paragraph.blank?
          role = StyleRoles.role(@document, paragraph)
          next unless role.match?(TELLING)
          next if role.start_with?("heading") && paragraph.word_count > 40
          next if role == "table_text" && paragraph.part == :table && Traits.of(paragraph).caption &&
            Traits.of(paragraph).words > 3
          put(paragraph, role, (role == "table_text") ? 0.95 : 0.97,
            (role == "table_text" && paragraph.part == :table) ? "in a table" : "its style says so")
        end
      end

      # The largest text of the first page is the title; what stands with it is not body text.
      def title_page
        marked = @worded.first(TITLE_ZONE).find do |paragraph|
          known?(paragraph) && @found[paragraph.id].role == "title"
        end
        zone = title_zone
        if marked
          return others_on_title_page([marked, *zone].sort_by { |paragraph| @document.position(paragraph.id) },
            marked)
        end
        return if zone.empty?
        return if title_before_its_like(zone)
        largest = zone.map { |paragraph| size(paragraph) }.max
        return unless largest >= @body.size + 2
        title = zone.find { |paragraph|
          size(paragraph) == largest && !Traits.of(paragraph).chapter? &&
            !Traits.of(paragraph).heading_word? && Traits.of(paragraph).kind != :decimal
        } or return
        return if @worded.count { |paragraph|
          size(paragraph) >= largest &&
            letters(paragraph)[:bold] == letters(title)[:bold] && paragraph != title
        } > 2 && !alone_in_look?(title)
        put(title, "title", 0.93, "largest size in the document", "on the first page")
        others_on_title_page(zone, title)
      end

      # A title that looks as the headings do: it comes first, stands out, and is followed by plain lines (an author's
      # name), or at once by a heading of the same look.
      def title_before_its_like(zone)
        first, second = zone
        return if second.nil? || first != @worded.first || !stands_out?(first)
        traits = Traits.of(first)
        return if traits.heading_word? || traits.kind || traits.sentence? || traits.words > 20
        like = @worded.count do |other|
          Traits.of(other).words <= 15 && !other.equal?(first) && !known?(other) &&
            appearance(other) == appearance(first)
        end
        plain_lines = !stands_out?(second) && Traits.of(second).words <= 10 && !Traits.of(second).sentence? &&
          document_look(second)[:align] == document_look(first)[:align]
        heading_follows = appearance(second) == appearance(first) && Traits.of(second).kind.nil?
        return if like.zero? || [plain_lines, heading_follows].none?
        put(first, "title", 0.8, "first in the document",
          plain_lines ? "followed by lines that are no text" : "followed by a heading of the same look")
        others_on_title_page(zone, first)
      end

      def stands_out?(paragraph)
        size(paragraph) >= @body.size + 0.5 || (letters(paragraph)[:bold] && !@body.bold?) ||
          Traits.of(paragraph).capitals?
      end

      # The paragraphs before the first real text.
      def title_zone
        first_text = @worded.index { |paragraph|
          paragraph.part == :body && Traits.of(paragraph).words >= 25 &&
            Traits.of(paragraph).sentence?
        } || @worded.size
        @worded.first([first_text, TITLE_ZONE].min).take_while { |paragraph|
          paragraph.equal?(@worded.first) ||
            !later_page?(paragraph)
        }.reject { |paragraph| known?(paragraph) || Traits.of(paragraph).object? }
      end

      def later_page?(paragraph)
        @fresh[paragraph.id] || @document.look(paragraph)[:page_break_before]
      end

      def alone_in_look?(paragraph)
        @worded.count { |other| size(other) == size(paragraph) } == 1
      end

      def others_on_title_page(zone, title)
        rest = zone.drop(zone.index(title) + 1)
        sub = rest.first
        if sub && size(sub) > @body.size && size(sub) < size(title) && Traits.of(sub).words >= 3 &&
            !looks_like_heading?(sub) && @following[title.id] == sub
          put(sub, "subtitle", 0.75, "second largest, under the title")
        end
        ends = rest.index { |paragraph| looks_like_heading?(paragraph) } || rest.size
        (zone.take_while { |paragraph| paragraph != title } + rest.take(ends)).each do |paragraph|
          next if known?(paragraph)
          put(paragraph, "other", 0.7, "on the title page") if document_look(paragraph)[:align] == "center" ||
            Traits.of(paragraph).words <= 12
        end
      end

      def looks_like_heading?(paragraph)
        traits = Traits.of(paragraph)
        traits.heading_word? || traits.chapter? || (traits.kind == :decimal && letters(paragraph)[:bold])
      end

      # Contents entries, captions, code.
      def special
        @worded.each do |paragraph|
          next if known?(paragraph)
          traits = Traits.of(paragraph)
          if traits.paged? && [@preceding, @following].any? { |side|
            (other = side[paragraph.id]) && Traits.of(other).paged?
          }
            put(paragraph, "contents_entry", 0.95, "ends in a page number", "among others that do")
          elsif traits.caption && caption?(paragraph, traits)
            put(paragraph, "caption", 0.95, "begins like a caption", "short")
          elsif code?(paragraph)
            put(paragraph, "code", 0.85, "in a typewriter face")
          elsif paragraph.part == :table
            put(paragraph, "table_text", 0.95, "in a table")
          end
        end
      end

      # "Figure 3 shows …" is a sentence of the text: a caption is short, or unlike the text, or at an object.
      def caption?(paragraph, traits)
        return true if @preceding[paragraph.id].then { |p| p && Traits.of(p).object? } ||
          @following[paragraph.id].then { |p| p && (p.part == :table || Traits.of(p).object?) } ||
          @preceding[paragraph.id]&.part == :table
        separator = traits.text.match?(/\A\S+[\s\u00A0]+[^\s:.–—]+(?:\.\d+)*\s*[.:–—]/)
        unlike = size(paragraph) < @body.size || letters(paragraph)[:italic] || letters(paragraph)[:bold] ||
          document_look(paragraph)[:align] == "center"
        traits.words <= 40 && (unlike || (separator && traits.words <= 25))
      end

      def code?(paragraph)
        paragraph.part == :body && typewriter?(letters(paragraph)) && Fonts.stand_in(@body.font).kind != "mono"
      end

      def typewriter?(letters)
        @typewriter ||= Hash.new { |known, look| known[look] = Fonts.stand_in(look[:font]).kind == "mono" }
          .compare_by_identity
        @typewriter[letters]
      end

      def headings
        scores = candidates
        accepted = consistent(scores)
        marked = @worded.filter_map { |paragraph| (level = @found[paragraph.id]&.level) && [paragraph, level] }.to_h
        levels = HeadingLevels.new(accepted, @document, marked:)
        accepted.each do |paragraph|
          put(paragraph, "heading_#{levels.level(paragraph)}", scores[paragraph.id].confidence,
            *scores[paragraph.id].because)
        end
      end

      def candidates
        @worded.each_with_object({}) do |paragraph, scores|
          next if known?(paragraph) || paragraph.part != :body || Traits.of(paragraph).words > 40 ||
            Traits.of(paragraph).running_text? || Traits.of(paragraph).object? || listed?(paragraph)
          scores[paragraph.id] = HeadingScore.new(paragraph, document_look(paragraph), letters(paragraph), @body,
            following: @following[paragraph.id], after_gap: @after_gap[paragraph.id], fresh: @fresh[paragraph.id] ||
              document_look(paragraph)[:page_break_before])
        end
      end

      def listed?(paragraph)
        document_look(paragraph)[:list] && !document_look(paragraph)[:keep_with_next] && !letters(paragraph)[:bold]
      end

      # Headings come in kinds: one that looks as most headings do is one though its own evidence is thin, and a lone
      # remark in a look that mostly holds text is not.
      def consistent(scores)
        by_kind = @worded.select { |paragraph| scores.key?(paragraph.id) || !known?(paragraph) }
          .group_by { |paragraph| appearance(paragraph) }
        share = by_kind.transform_values do |list|
          list.count { |paragraph| scores[paragraph.id]&.heading? }.fdiv(list.size)
        end
        @worded.select do |paragraph|
          score = scores[paragraph.id] or next
          part = share[appearance(paragraph)]
          if !score.heading? && part >= MOSTLY
            next score.score >= HeadingScore::THRESHOLD - 1.5 && by_kind[appearance(paragraph)].size >= 3 &&
              !Traits.of(paragraph).sentence?
          end
          score.heading? && (part >= 0.3 || score.score >= HeadingScore::THRESHOLD + 2) &&
            !run_of_them?(paragraph, scores)
        end
      end

      # Four and more in a row without text between are lines of something else: an address, a title page, verse.
      def run_of_them?(paragraph, scores)
        return false if scores[paragraph.id].score >= HeadingScore::THRESHOLD + 3
        before = chain(paragraph, @preceding, scores)
        before + chain(paragraph, @following, scores) >= 3
      end

      def chain(paragraph, side, scores)
        length = 0
        while (paragraph = side[paragraph.id]) && scores[paragraph.id]&.heading? && length < 6
          length += 1
        end
        length
      end

      def appearance(paragraph)
        l = letters(paragraph)
        centred = document_look(paragraph)[:align] == "center"
        ((@appearances ||= {}.compare_by_identity)[l] ||= {})[centred] ||= [l[:size], l[:bold], l[:italic], l[:caps],
          l[:small_caps], l[:underline], centred].freeze
      end

      def lists
        @worded.each do |paragraph|
          next if known?(paragraph)
          traits = Traits.of(paragraph)
          if document_look(paragraph)[:list] then put(paragraph, "list_item", 0.93, "in a list")
          elsif traits.bullet? then put(paragraph, "list_item", 0.9, "begins with a bullet")
          elsif typed_item?(paragraph, traits) then put(paragraph, "list_item", 0.85, "numbered, among others that are")
          end
        end
      end

      def typed_item?(paragraph, traits)
        return false unless %i[decimal letter roman].include?(traits.kind)
        return false if traits.kind == :decimal && traits.depth > 1
        [@preceding, @following].filter_map { |side| side[paragraph.id] }.map { |other| Traits.of(other) }
          .any? { |other| other.kind == traits.kind && other.depth == traits.depth }
      end

      # Quotations are inset; all else is body text.
      def rest
        @worded.each do |paragraph|
          next if known?(paragraph)
          if quotation?(paragraph) then put(paragraph, "quote", quote_confidence(paragraph), *quote_reasons(paragraph))
          elsif Traits.of(paragraph).object? && Traits.of(paragraph).words.zero?
            put(paragraph, "other", 0.9, "an image or object")
          else
            @found[paragraph.id] = body_suggestion(letters(paragraph), Traits.of(paragraph).words >= 15)
          end
        end
      end

      def quotation?(paragraph)
        look = document_look(paragraph)
        return false if look[:first_line] <= -9 || Traits.of(paragraph).words < 12
        inset = look[:indent_left] - @body.indent_left
        inset >= 14 || (inset >= 9 && look[:indent_right] - @body.indent_right >= 9)
      end

      def quote_reasons(paragraph)
        words = Traits.of(paragraph).words
        smaller = "smaller than the text" if size(paragraph) < @body.size
        ["inset", smaller, ("#{words} words" if words >= 40)].compact
      end

      def quote_confidence(paragraph)
        (0.8 + ((size(paragraph) < @body.size) ? 0.07 : 0) + ((Traits.of(paragraph).words >= 40) ? 0.08 : 0)).round(2)
      end

      # One for all body text of a look.
      def body_suggestion(letters, long)
        @bodies ||= {}.compare_by_identity
        (@bodies[letters] ||= {})[long] ||= begin
          alike = letters[:size] == @body.size && letters[:bold] == @body.bold?
          Suggestion.new("body", (alike ? 0.9 : 0.7) + (long ? 0.08 : 0), ["looks like most of the text"].freeze)
        end
      end

      # What stands under a heading such as “References”, up to the next heading, and reads like an entry.
      def references
        inside = false
        entries = []
        @worded.each do |paragraph|
          suggestion = @found[paragraph.id]
          inside = Traits.of(paragraph).references_word? if suggestion.heading?
          entries << paragraph if inside && !suggestion.heading? && %w[body list_item quote].include?(suggestion.role)
        end
        hanging = entries.count { |paragraph| document_look(paragraph)[:first_line] <= -9 }
        likely = entries.count { |paragraph| Traits.of(paragraph).reference? }
        entries.each do |paragraph|
          alike = Traits.of(paragraph).reference? || document_look(paragraph)[:first_line] <= -9
          next unless alike || (hanging + likely) * 2 >= entries.size
          put(paragraph, "reference_entry", 0.92, "under a heading for references",
            alike ? "reads like an entry" : "among entries")
        end
      end

      def document_look(paragraph)
        @document.look(paragraph)
      end

      def letters(paragraph)
        @document.letter_look(paragraph)
      end

      def size(paragraph)
        letters(paragraph)[:size]
      end
    end
  end
end
