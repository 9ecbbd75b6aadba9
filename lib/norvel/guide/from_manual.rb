# frozen_string_literal: true

module Norvel
  class Guide
    # Rules found in the text of a manual: sentences that state a value, each with what a guide would say. Nothing is a
    # rule by itself: a person ticks what is meant.
    class FromManual
      # sentence: as it stands; place: keys of the guide; value: what would stand there
      Offer = Value.define(:sentence, :place, :value)

      NUMBERS = {"half" => "0.5", "one-half" => "0.5", "one" => "1", "two" => "2", "three" => "3", "four" => "4",
                 "five" => "5", "ten" => "10", "eleven" => "11", "twelve" => "12", "fourteen" => "14"}.freeze
      COUNTED = Regexp.union(NUMBERS.keys.sort_by { |word| -word.size }).source
      UNIT = /(?:-|\s)*(?<unit>inch(?:es)?|in\.?|"|″|cm|centimet(?:re|er)s?|mm|millimet(?:re|er)s?|points?|pt)\b?/
      NUMBER = %r{(?<number>\d+(?:[.,]\d+)?(?:\s*(?:½|¼|¾))?|½|¼|¾|\d+/\d+|#{COUNTED})}i
      LENGTH = /#{NUMBER}(?:\s+(?:of\s+)?an?)?#{UNIT}/i
      UNITS = {"inch" => "in", "in" => "in", "\"" => "in", "″" => "in", "cm" => "cm", "cent" => "cm", "mm" => "mm",
               "mill" => "mm", "poin" => "pt", "pt" => "pt"}.freeze
      FRACTIONS = {"½" => 0.5, "¼" => 0.25, "¾" => 0.75}.freeze
      FONTS = ["Times New Roman", "Arial", "Garamond", "Calibri", "Cambria", "Georgia", "Helvetica", "Palatino",
        "Book Antiqua", "Century Schoolbook", "Courier New", "Verdana", "Tahoma", "Liberation Serif"].freeze
      SIDES = %w[top bottom left right inside outside].freeze
      # What a sentence is about, the first that fits; running text where none does.
      ABOUT = {"quote" => /block[- ]?quot|quotations?\b|extracts?\b/i, "caption" => /captions?\b/i,
               "note" => /foot-?notes?|end-?notes?/i,
               "reference_entry" => /bibliograph|reference (?:list|entr)|works cited/i,
               "table_text" => /\btables?\b/i,
               "heading_1" => /chapter (?:titles?|headings?)|headings? of the first level|level[- ]1/i,
               "title" => /title page|title of the/i}.freeze
      SPACINGS = {/double[- ]?spac/i => "double", /single[- ]?spac/i => "single",
                  /(?:one[- ]and[- ]a[- ]half|1[.,]5|1½)[- ]?(?:line[- ]?)?spac/i => 1.5}.freeze
      SENTENCE = /(?<=[.;!?])\s+(?=[[:upper:]•–-])|\n+/

      # +text+: of a manual, or of a document's paragraphs
      def initialize(text)
        @text = text
      end

      # [Offer, …] in the order of the text; what is said twice is offered once.
      def offers
        @offers ||= sentences.flat_map { |one| of(one) }.uniq { |offer| [offer.place, offer.value] }
      end

      # The text of a guide with these offers in it, their sentences as clauses. onto: the guide's text so far.
      #   FromManual.write([offer, …], onto: "norvel_guide: 1\nname: Ours\n")
      def self.write(offers, onto:)
        listed, single = offers.partition { |offer| LISTS.include?(offer.place[0..-2]) }
        text = single.inject(onto) { |now, offer| Rewritten.new(now).put(offer.place, offer.value) }
        lists = listed.group_by { |offer| offer.place[0..-2] }
        cited(lists.inject(text) { |now, (place, list)| in_list(now, place, list) }, offers)
      end

      LISTS = [%w[pagination matters], %w[parts]].freeze

      # Members of a list, in the place of those of the same name.
      def self.in_list(text, place, offers)
        key = (place.last == "parts") ? "part" : "matter"
        known = YamlText.new(text).data.dig(*place) || []
        fresh = offers.map { |one| (key == "part") ? one.value.merge("cite" => cut(one.sentence)) : one.value }
        kept = known.reject { |one| fresh.any? { |other| other[key] == one[key] } }
        Rewritten.new(text).put(place, kept + fresh)
      end
      private_class_method :in_list

      CLAUSE = 200 # letters

      def self.cited(text, offers)
        groups = offers.reject { |offer| offer.place.first == "parts" }
          .group_by { |offer| (offer.place.first == "roles") ? offer.place[0, 2] : offer.place[0, 1] }
        groups.inject(text) do |now, (place, list)|
          clause = [*place, "cite"]
          words = [YamlText.new(now).data.dig(*clause), list.map(&:sentence).uniq.join(" ")].compact.join("; ")
          Rewritten.new(now).put(clause, cut(words))
        end
      end

      def self.cut(words)
        (words.size > CLAUSE) ? "#{words[0, CLAUSE - 1]}…" : words
      end
      private_class_method :cut
      private_class_method :cited

      private

      def sentences
        @text.split(SENTENCE).map { |one| one.strip.squeeze(" ") }.reject { |one| one.empty? || one.size > 600 }
      end

      READERS = %i[margins paper spacing letters indents quotations alignment labels parts captions headings pages
        lines].freeze

      def of(sentence)
        READERS.flat_map { |reader| send(reader, sentence) }.compact
          .map { |place, value| Offer.new(sentence:, place:, value:) }
      end

      # --- what is told ---

      def margins(sentence)
        return [] if !sentence.match?(/\bmargins?\b/i) || sentence.match?(/indent/i)
        named = SIDES.select { |side| sentence.match?(/\b#{side}\b/i) }
        return each_side(sentence, named) if named.any? && named.size < 4
        length = length(sentence) or return []
        SIDES.first(4).map { |side| [["page", "margins", side], bounded(sentence, length)] }
      end

      # The length that stands nearest after each side, or before it.
      def each_side(sentence, sides)
        stated = sides.filter_map do |side|
          found = sentence[/\b#{side}\b.{0,60}/i]
          length = found && length(found) || length(sentence[/.{0,40}\b#{side}\b/i].to_s)
          [["page", "margins", side], bounded(sentence, length)] if length
        end
        rest = sentence[/(?:all other|other|remaining) (?:margins|sides).{0,60}/i]
        others = rest && length(rest)
        return stated unless others
        stated + (SIDES.first(4) - sides).map { |side| [["page", "margins", side], bounded(rest, others)] }
      end

      LETTER = %r{8[.½\s]*(?:5|1/2)?\s*(?:"|″|inch(?:es)?|in\.?)?\s*(?:x|×|by)\s*11\b|letter[- ]size}i

      def paper(sentence)
        case sentence
        when LETTER then [[%w[page size], "Letter"]]
        when /\bA4\b/ then [[%w[page size], "A4"]]
        else []
        end
      end

      def spacing(sentence)
        found = SPACINGS.find { |pattern, _| sentence.match?(pattern) } or return []
        place(sentence, "line_spacing").map { |where| [where, found.last] }
      end

      # Fonts by name, and the size of letters.
      def letters(sentence)
        fonts = FONTS.select { |font| sentence.match?(/\b#{Regexp.escape(font)}\b/i) }
        named = fonts.sort_by { |font| sentence.downcase.index(font.downcase) }
        font = (named.size > 1) ? {"any_of" => named} : named.first
        {"font" => font, "size" => size(sentence)}.compact
          .flat_map { |key, value| place(sentence, key).map { |where| [where, value] } }
      end

      TO = /\s*(?:-|–|to|or)\s*(?<most>\d{1,2}|#{COUNTED})/
      POINTS = /(?<least>\d{1,2}|#{COUNTED})(?:#{TO})?[- ]?(?:points?|pt)\b/i

      def size(sentence)
        return if sentence.match?(/spac\w* (?:before|after|of)/i)
        match = POINTS.match(sentence) or return
        least, most = [match[:least], match[:most]].map { |word| word && "#{NUMBERS.fetch(word.downcase, word)}pt" }
        return {"min" => least, "max" => most} if most
        bounded(sentence, least)
      end

      FIRST_LINE = /first line|paragraphs? (?:are|is|must be|should be) indented|indent (?:the first|each paragraph)/i

      def indents(sentence)
        length = length(sentence) or return []
        return [[["roles", "body", "first_line"], length]] if sentence.match?(FIRST_LINE)
        return [] unless sentence.match?(/indent/i) && about(sentence) == "quote"
        [[["roles", "quote", "indent_left"], length]]
      end

      def quotations(sentence)
        words = sentence[/(\d{2,3})(?:\s+or more)?\s+words|more than (\d{2,3}) words/i] or return []
        return [] unless about(sentence) == "quote"
        number = words[/\d+/].to_i
        [[["roles", "quote", "from_words"], words.match?(/more than/i) ? number + 1 : number]]
      end

      def alignment(sentence)
        found = case sentence
        when /left[- ]aligned|aligned left|flush left|ragged right|left[- ]justif/i then "left"
        when /\bfully justified|\bjustified\b(?! left)/i then "justify"
        when /\bcent(?:re|er)ed\b/i then "center"
        end
        return [] if found.nil? || sentence.match?(/page numbers?|\bnumbered\b|not (?:be )?justif/i)
        place(sentence, "align").map { |where| [where, found] }
      end

      FORMS = {"lower_roman" => /(?:lower[- ]?case|small) roman/i, "upper_roman" => /upper[- ]?case roman/i,
               "decimal" => /arabic/i}.freeze
      EDGES = {"top" => /\btop\b|\bupper\b/i, "bottom" => /\bbottom\b|\bfoot\b|\blower\b(?![- ]?case)/i}.freeze
      SIDE = {"center" => /cent(?:re|er)/i, "right" => /\bright\b/i, "left" => /\bleft\b/i}.freeze

      NUMBERED = /page numbers?|\bpages\b.*\bnumber|\bnumber\b.*\bpages\b|\bnumbered\b|pagina/i

      # Page numbers: how front and body matter are counted, and where the number stands.
      def labels(sentence)
        return [] unless sentence.match?(NUMBERED)
        place = place_of_number(sentence)
        front = FORMS.slice("lower_roman", "upper_roman").find { |_, pattern| sentence.match?(pattern) }&.first
        matters = [({"matter" => "front", "label" => front, "place" => place}.compact if front),
          ({"matter" => "body", "label" => "decimal", "place" => place}.compact if sentence.match?(FORMS["decimal"]))]
        matters = [{"matter" => "body", "place" => place}] if matters.compact.empty? && place
        matters.compact.map { |matter| [["pagination", "matters", matter["matter"]], matter] }
      end

      def place_of_number(sentence)
        edge = EDGES.find { |_, pattern| sentence.match?(pattern) }&.first
        side = SIDE.find { |_, pattern| sentence.match?(pattern) }&.first
        "#{edge}_#{side}" if edge && side
      end

      WORDS_AT_MOST = /(?:exceed|(?:longer|more) than|maximum(?: of)?|at most|limited to|up to)\s+(\d{2,4}) words/i
      REQUIRED = /\brequired\b|\b(?:must|shall|has to|should) (?:include|contain|have|begin with|be included)/i
      NEEDED = %w[abstract contents title_page references declaration].freeze
      PARTS = Structure::Parts::NAMES.to_h { |name| [name, /\b#{name.tr("_", " ").delete_suffix("s")}s?\b/i] }.freeze

      # Parts that must be there, and how long they may be.
      def parts(sentence)
        part = PARTS.find { |_, pattern| sentence.match?(pattern) }&.first or return []
        most = sentence[WORDS_AT_MOST, 1]
        needed = NEEDED.include?(part) && sentence.match?(REQUIRED)
        return [] if most.nil? && !needed
        [[["parts", part], {"part" => part, "required" => needed || nil, "max_words" => most&.to_i}.compact]]
      end

      def captions(sentence)
        found = %w[figure table].filter_map do |kind|
          side = sentence[/#{kind}s?\b[^.;]{0,80}?\b(above|below|beneath|under)\b/i, 1]
          [["captions", kind], side.match?(/above/i) ? "above" : "below"] if side
        end
        sentence.match?(/caption|title|legend|label/i) ? found : []
      end

      NO_MARK = /(?:no|without|not)\b.{0,40}(?:punctuation|full stop|period)/i

      def headings(sentence)
        return [] unless sentence.match?(/\bheadings?\b/i)
        [([%w[headings ending_punctuation], "forbid"] if sentence.match?(NO_MARK)),
          ([%w[roles heading_1 page_break_before], true] if sentence.match?(/(?:chapter|first level).{0,60}new page/i))]
          .compact
      end

      def pages(sentence)
        [([%w[pagination chapters_start], "new_page"] if sentence.match?(/chapters?\b.{0,60}\bnew page/i)),
          ([%w[pagination widows], "forbid"] if sentence.match?(/\bwidows?\b/i)),
          ([%w[pagination orphans], "forbid"] if sentence.match?(/\borphans?\b/i))].compact
      end

      NO_BLANKS = /(?:no|not|without|avoid)\b.{0,30}(?:blank|empty|extra) (?:lines?|paragraphs?)/i

      def lines(sentence)
        return [] unless sentence.match?(NO_BLANKS)
        [[%w[clean blank_paragraphs], "forbid"]]
      end

      # --- words and numbers ---

      # The kind of paragraph that a sentence is about.
      def about(sentence)
        ABOUT.find { |_, pattern| sentence.match?(pattern) }&.first
      end

      def place(sentence, key)
        role = about(sentence) || "body"
        (role == "note") ? [["notes", key]] : [["roles", role, key]]
      end

      # The first length of a sentence as a guide writes it: "1in"; nil for none.
      def length(sentence)
        match = LENGTH.match(sentence) or return
        unit = UNITS.find { |name, _| match[:unit].downcase.start_with?(name) }&.last or return
        "#{Length.plain(figure(match[:number]))}#{unit}"
      end

      def figure(words)
        text = NUMBERS.fetch(words.downcase, words).tr(",", ".")
        return Rational(text).to_f if text.match?(%r{\A\d+/\d+\z})
        fraction = FRACTIONS.sum { |sign, part| text.include?(sign) ? part : 0 }
        text.to_f + fraction
      end

      LEAST = /at least|minimum|not? (?:less|smaller|narrower) than|or (?:more|larger|greater)/i
      MOST = /at most|maximum|not? (?:more|larger|wider) than/i

      # "at least 1in" is {min: 1in}
      def bounded(sentence, value)
        return {"min" => value} if sentence.match?(LEAST)
        sentence.match?(MOST) ? {"max" => value} : value
      end
    end
  end
end
