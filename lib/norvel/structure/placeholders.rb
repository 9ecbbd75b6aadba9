# frozen_string_literal: true

module Norvel
  module Structure
    # Words that hold the place of others, as templates have them: in brackets ("[Title of the thesis]", "<your name>",
    # "{{date}}"), or in the style that a format has for them.
    class Placeholders
      # paragraph: its id; places: of its letters in the paragraph's raw text; words: as they stand; name: without the
      # brackets
      Place = Value.define(:paragraph, :places, :words, :name)

      STYLE = "Placeholder Text"
      DOUBLE = /\{\{[^{}\n]{1,60}\}\}|«[^«»\n]{1,60}»/
      SINGLE = /\[[^\[\]\n]{2,80}\]|<[^<>\n]{2,80}>/
      # What forms ask for. Brackets in running text hold much else: what an editor put in, numbers of references.
      ASKED = /\b(?:title|name|author|student|candidate|date|day|month|year|place|city|degree|department|faculty|school|
        university|institute|supervisor|examiner|reader|subject|number|address|email|abstract|dedication|
        acknowledge?ments|company|organi[sz]ation|insert|enter|type|choose|your|here|signature|text|
        titel|name|datum|ort|jahr|fach|betreuer|autor|verfasser|nom|prénom|titre|année|fecha|nombre|título)\b/ix
      QUOTED = /\A\[(?:sic|emphasis|…|\.\.\.|italics|translation|trans\.|ed\.)/i
      LONGEST = 6 # words

      def self.of(document)
        document.reading[:placeholders] ||= new(document).all
      end

      def initialize(document)
        @document = document
      end

      # [Place, …] in order.
      def all
        @document.working.flat_map { |paragraph| paragraph.blank? ? [] : of_paragraph(paragraph) }
      end

      private

      def of_paragraph(paragraph)
        text = paragraph.seen_text
        found = styled(paragraph) + bracketed(text)
        return [] if found.empty?
        places = paragraph.seen_places
        found.uniq.sort_by(&:begin).chunk_while { |one, other| other.begin < one.end }.map(&:first).map do |range|
          words = text[range]
          Place.new(paragraph: paragraph.id, places: places[range], words:, name: bare(words))
        end
      end

      def bracketed(text)
        return [] unless text.match?(/[\[<{«]/)
        ranges(text, DOUBLE) + ranges(text, SINGLE).select { |range| asks?(text[range], text) }
      end

      def ranges(text, pattern)
        text.to_enum(:scan, pattern).map { (match = Regexp.last_match).begin(0)...match.end(0) }
      end

      # Does it ask for something, or stand alone?
      def asks?(words, text)
        inside = bare(words)
        return false if words.match?(QUOTED) || inside.match?(/\d|https?:|@/) || inside.split.size > LONGEST
        words == text.strip || inside.match?(ASKED)
      end

      # Stretches in the style for them.
      def styled(paragraph)
        return [] unless style
        at = 0
        stretches = paragraph.runs.filter_map do |run|
          size = run.text.size - run.text.count(Document::Run::SIGN)
          range = at...(at += size)
          range if run.style_id == style.id && size.positive? && !run.words.strip.empty?
        end
        stretches.slice_when { |one, other| one.end != other.begin }.map { |list| list.first.begin...list.last.end }
      end

      def style
        return @style if defined?(@style)
        @style = @document.styles.named(STYLE, "character")
      end

      def bare(words)
        words.gsub(/\A[\[<{«\s]+|[\]>}»\s]+\z/, "")
      end
    end
  end
end
