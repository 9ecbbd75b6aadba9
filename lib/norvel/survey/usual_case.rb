# frozen_string_literal: true

module Norvel
  module Survey
    # How a document writes its words in running text: what is small there, what is a name, what an abbreviation. So
    # words that were typed in capitals can be typed as they are written elsewhere.
    class UsualCase
      # Words that are small in titles; prepositions of any length, as Chicago 17 8.159 (from memory).
      SMALL = %w[a an and as at but by for from in into nor of on or per so the to up via with yet].freeze
      WORD = /[[:alpha:]][[:alpha:]\u0300-\u036F’']*/
      # Before a word whose capital says nothing.
      OPENING = /(?:\A|[.!?:…]["”’»)]*\s+|\n|["“„«(]|•\s*)\z/
      RUNNING = %w[body list_item quote note].freeze
      # A number in Roman numerals below 400, and a word after which a letter is a number.
      NUMERAL = /\A(?=[CLXVI]{2,})C{0,3}(?:XC|XL|L?X{0,3})(?:IX|IV|V?I{0,3})\z/
      COUNTS = /\A(?:#{Words.any("chapter", "appendix", "figure", "table")})\z/i

      def initialize(document)
        @document = document
      end

      # "THE PILOTS OF RAVELMOUTH" as "The pilots of Ravelmouth", as far as the document tells; a word that it has
      # nowhere else keeps a capital, since it may be a name. As many letters as before.
      def typed(text)
        before = nil
        text.gsub(WORD) do |word|
          made = (word.match?(NUMERAL) || before&.match?(COUNTS)) ? word : usual(word)
          made = made[0].upcase + made[1..] if before.nil? && made[0].upcase.size == 1
          before = word
          made
        end
      end

      private

      def usual(word)
        form = forms[word.downcase]&.max_by { |_, count| count }&.first
        form ||= SMALL.include?(word.downcase) ? word.downcase : capitalised(word)
        (form.size == word.size) ? form : word
      end

      def capitalised(word)
        word[0] + word[1..].each_char.map { |letter| (letter.downcase.size == 1) ? letter.downcase : letter }.join
      end

      # {word in small letters => {as it is written => how often}} in running text, beginnings of sentences left out.
      def forms
        @forms ||= @document.paragraphs.each_with_object({}) do |paragraph, all|
          next if Traits.of(paragraph).capitals? || !RUNNING.include?(Survey.role(@document, paragraph))
          count(paragraph.text, all)
        end
      end

      def count(text, all)
        text.scan(WORD) do |word|
          from = Regexp.last_match.begin(0)
          next if OPENING.match?(text[[from - 6, 0].max...from])
          (all[word.downcase] ||= Hash.new(0))[word] += 1
        end
      end
    end
  end
end
