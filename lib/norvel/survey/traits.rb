# frozen_string_literal: true

module Norvel
  module Survey
    # What the words of one paragraph tell by themselves, whatever they look like. Worked out once a paragraph.
    class Traits
      DECIMAL = /\A(\d{1,2}(?:\.\d{1,2}){0,5})[.)]?[\s\u00A0]+(?=[[:alpha:]“"‘«¿])/
      ROMAN = /\A[IVXLC]{1,6}[.)]\s+(?=[[:alpha:]])/
      LETTER = /\A(?:\(?[a-zA-Z0-9]{1,2}\)|\((?:[ivx]{1,4}|\d{1,2})\)|[a-zA-Z]\.|\d{1,2}\.?[ºª°])[\s\u00A0]+/
      BULLET = /\A(?:[•‣◦▪▫●○■□☐☑☒✓✗✔➢➤►▸·–—*º⁃-][\s\u00A0]+|o\t)/
      # "TOP 4", "Item 4:", "§ 3", "Question 3", "Article II": a word or sign that counts.
      COUNTED = /\A(?:(?<word>§)[\s\u00A0]*|(?<word>[[:upper:]][[:alpha:]]{2,11}\.?)[\s\u00A0]+)
        (?<number>\d{1,3}|[IVXL]{1,6}(?![[:alpha:]])|(?i:#{Words.any("numbers")})(?![[:alpha:]]))
        (?<rest>[.:)–—-]?(?:[\s\u00A0]|\z).*)/mx
      PAGED = /(?:\t|\.{3,}|(?:\s\.){3,}|…)\s*(?:\d{1,4}|[ivxlc]{1,7})\s*\z/
      YEAR = /(?:\A|[(,.:;\s\[])(?:1[5-9]|20)\d\d[a-z]?(?=[).,:;\]\s]|\z)/
      AUTHOR = /\A(?:\[\d+\]\s*)?(?:[[:upper:]][[:alpha:]'’-]+(?:[\s\u00A0][[:upper:]][[:alpha:]'’-]+)?,\s+
        (?:[[:upper:]]\.|[[:upper:]][[:alpha:]]+)|(?:[[:upper:]]\.[\s\u00A0-]?){1,3}[[:upper:]][[:alpha:]'’-]+,)/x
      SENTENCE_END = /[.!?…]["”’»)]*\z/
      INNER_END = /[a-zà-ÿ)”’»]{2,}[.!?]["”’»)]*\s+[“"‘«¿¡]?[[:upper:]]/
      LABEL = /\A[[:upper:]][[:alnum:]]*(?:[\s\u00A0]+[[:alnum:]]+){0,2}\s?:(?:[\s\u00A0]|\z)/
      FIELD = /_{4,}|\.{8,}|…{3,}|[☐□]|\[\s\]/
      QUOTED = /\A[“„"«‹‘].{30,}[”“"»›’][.,;]?(?:\s*\([^)]{2,60}\)\.?)?(?:\s*[\d*†]+)?\z/m
      # A few letters and a number, or a few words, and a colon: "RQ1: …", "Harbour office: …".
      LABELLED = /\A(?:[[:upper:]]{1,4}\d{1,2}|[[:upper:]][[:alpha:]]+(?:[\s\u00A0][[:alpha:]]+){0,3})\s?:
        [\s\u00A0]+\S/x
      AMOUNT_WORDS = 9
      AMOUNT = %r{\A[\d½¼¾⅓]+(?:[.,/]\d+)?[\s\u00A0]*(?:[[:alpha:]]{1,5}\.?[\s\u00A0]+)?[[:alpha:]][^.!?]*\z}
      RING = /\Ao[\s\u00A0]+[[:upper:]]/
      # What lines of programs end with, begin with, hold; and those of these that running text has never.
      SURE_CODE = /[{};]\s*\z|=>|\w\([^)]*\)+;?\s*\z|\A\s*[\w.]+\s*[-+:]?=\s*\S|\A\s*(?:\/\/|\#!|\$\s\S)|
        \sdo(?:\s\|.+\|)?\s*\z/x
      KEYWORDS = "def|end|if|else|elif|for|while|return|import|from|function|class|var|let|const|SELECT|puts|print"
      CODE = /#{SURE_CODE}|\A\s*(?:<\/?[a-z]+[ >]|\#\s|(?:#{KEYWORDS})\b[^.]*\z)|->|\A\s+\w+\s*[:=]\s*\S+\z/
      CODE_LETTERS = 120
      PROSE_BEGINS = /\A[[:upper:]][[:lower:]]+ [[:lower:]]+ [[:lower:]]+/
      ITEM = /\A[^{}()=<>\[\]]*;\s*\z/ # words, with no sign of a program but a semicolon
      MATHS = /[=≈≠≤≥±×÷∑∫√∂∆^]|(?<=\s)[<>+](?=\s)/

      attr_reader :text, :words, :depth, :kind

      # The Traits of a paragraph, worked out once.
      def self.of(paragraph)
        paragraph.remember(:traits) { new(paragraph) }
      end

      # Answers that are worked out once, since they follow from the text alone.
      def self.once(*names)
        names.each do |name|
          worked_out = :"worked_out_#{name}"
          alias_method worked_out, name
          private worked_out
          class_eval("def #{name} = @known.fetch(:#{name}) { @known[:#{name}] = #{worked_out} }", __FILE__, __LINE__)
        end
      end

      def initialize(paragraph)
        Thread.pass # one of thousands: who has little to do goes before
        @known = {}
        @whole = paragraph.text
        @text = @whole.strip
        @words = paragraph.word_count
        @holds_object = paragraph.raw_text.include?(Document::Run::OBJECT)
        @formulas = paragraph.formulas
        @kind, @depth = numbering
      end

      # Does it hold an image or a box?
      def object?
        @holds_object
      end

      # The text ends as a sentence does.
      def sentence?
        SENTENCE_END.match?(@text)
      end

      # More than one sentence.
      def several_sentences?
        INNER_END.match?(@text)
      end

      # A sentence or more of running text.
      def prose?
        words >= 15 && (sentence? || several_sentences?)
      end

      # A few words that are no sentence.
      def short?
        words.between?(1, 12) && !text.match?(/[.;…]["”’»)]*\z/)
      end

      # Is it all in capitals?
      def capitals?
        !@text.match?(/[[:lower:]]/) && @text.scan(/[[:upper:]]/).size >= 3
      end

      # What the words alone say for or against a heading, with the reasons.
      def wording
        weigh
      end

      # So much speaks against a heading that no look could make it one.
      def running_text?
        wording.first <= -8
      end

      # Does it begin with a small letter?
      def begins_small?
        @text.match?(/\A[[:lower:]]/)
      end

      # Does its number say that it is a chapter?
      def chapter?
        @kind == :chapter
      end

      # Is it a word that heads a part: "Introduction"?
      def heading_word?
        @words <= 5 && bare.match?(Words::HEADING)
      end

      # Is it a word that heads references?
      def references_word?
        @words <= 4 && bare.match?(Words::REFERENCES)
      end

      # :figure, :table or nil
      def caption
        match = (@words <= 60) ? Words::CAPTION.match(@text) : nil
        match && (match[:figure] ? :figure : :table)
      end

      # Does it begin with a typed bullet?
      def bullet?
        BULLET.match?(@text)
      end

      # Does it end with a page number, as an entry of a contents list?
      def paged?
        @words <= 30 && PAGED.match?(@text)
      end

      # How the text counts, so that lines which count alike can be found: "decimal 2", "roman", "letter A", "top";
      # nil where it does not.
      def form
        count_form
      end

      # An author, a year, and signs of an entry between.
      def reference?
        @words.between?(4, 90) && ((AUTHOR.match?(@text) && YEAR.match?(@text)) ||
          (@text.match?(/\A\[\d+\]\s/) && (YEAR.match?(@text) || @text.match?(/https?:/))))
      end

      # "Date:", "To: All staff": a label of few words.
      def label?
        @words <= 14 && !caption && LABEL.match?(@text)
      end

      # A line to fill in.
      def field?
        FIELD.match?(@text) && @words <= 25
      end

      # Nothing but signs: "* * *".
      def signs?
        !@holds_object && !@text.match?(/[[:alnum:]]/)
      end

      # Is it an equation on a line of its own?
      def equation?
        return true if @formulas.any? && (@words <= 2 || @formulas.any?(&:display))
        @words <= 14 && MATHS.match?(@text) && @text.scan(/[[:alpha:]]{4,}/).size <= 3 && !label?
      end

      # "500 g cod", "2 onions".
      def amount?
        @words <= AMOUNT_WORDS && AMOUNT.match?(@text)
      end

      # Does it begin with the letter o for a bullet?
      def ring?
        RING.match?(@text)
      end

      # "RQ1: …", "Harbour office: …": a label before words.
      def labelled?
        LABELLED.match?(@text)
      end

      # A line as programs have them; its indent tells too.
      def code?
        @whole.size <= CODE_LETTERS && CODE.match?(@whole) && !PROSE_BEGINS.match?(@whole)
      end

      # One that running text never looks like.
      def surely_code?
        SURE_CODE.match?(@whole)
      end

      # "a float of copper;": words with no sign of a program but the semicolon.
      def worded_item?
        ITEM.match?(@text) && !@text.match?(/\A(?:#{KEYWORDS})\b/o)
      end

      # Is it all in quotation marks?
      def quoted?
        QUOTED.match?(@text)
      end

      # Is it a date?
      def date?
        @words <= 8 && Words::DATE.match?(@text)
      end

      # Does it greet, as a letter begins?
      def greeting?
        @words <= 10 && Words::GREETING.match?(@text)
      end

      # Does it close, as a letter ends?
      def closing?
        @words <= 8 && Words::CLOSING.match?(@text)
      end

      # The text without a number before it.
      def bare
        @text.sub(DECIMAL, "").sub(ROMAN, "").sub(/\A[A-Z][.)]\s+/, "")
      end

      once(*public_instance_methods(false) - %i[text words depth kind object? chapter?])

      private

      def weigh
        score = 0.0
        because = []
        if words.between?(1, 8) && !text.match?(/[.,;…]["”’»)]*\z/)
          score += 1
          because << "short, without a full stop"
        end
        score -= 1 if words > 12
        score -= 2.5 if words > 18
        score -= 4 if words > 28
        score -= 3.5 if sentence? && !text.match?(/[?!]["”’»)]*\z/)
        score -= 0.5 if text.match?(/[?!]\z/)
        score -= 4 if text.match?(/[,;]\z/)
        score -= (words <= 6) ? 0.8 : 2.5 if text.end_with?(":")
        score -= 3 if several_sentences?
        score -= 2 if begins_small?
        score -= 6 if caption
        score -= 3 if bullet? || (kind == :letter && !form)
        score -= 4 if paged?
        [score, because]
      end

      # How the text is numbered, and at which depth: "2.1 Sources" is [:decimal, 2].
      def numbering
        return [nil, nil] if @words > 40
        return [:chapter, 1] if Words::CHAPTER.match?(@text)
        return [:appendix, 1] if Words::APPENDIX.match?(@text)
        if (match = DECIMAL.match(@text))
          return [:decimal, match[1].count(".") + 1]
        end
        return [:roman, 1] if ROMAN.match?(@text)
        LETTER.match?(@text) ? [:letter, nil] : [nil, nil]
      end

      def count_form
        return if @words > 20
        return "decimal #{@depth}" if @kind == :decimal
        return "roman" if @kind == :roman
        return "letter A" if @text.match?(/\A[A-Z][.)][\s\u00A0]+/)
        return if caption || @kind == :letter || !(match = COUNTED.match(@text))
        match[:word].downcase.delete_suffix(".") unless date? || match[:rest].match?(/\A\s+[[:lower:]]/)
      end
    end
  end
end
