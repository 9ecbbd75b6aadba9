# frozen_string_literal: true

require "yaml"

module Norvel
  module Survey
    # The language that words are in, guessed from the small words that every text is full of and from letters of its
    # own: English, German, French, Spanish, Portuguese, Italian. Data in languages.yml.
    module Language
      DATA = YAML.safe_load_file(File.join(__dir__, "languages.yml")).freeze
      WORDS = DATA.each_with_object(Hash.new { |all, word| all[word] = [] }) { |(tag, entry), all|
        entry["words"].each { |word| all[word] << tag }
      }.tap { |all| all.default = nil }.freeze
      LETTERS = DATA.transform_values { |entry| entry["letters"] }.freeze
      ASKED = DATA.transform_values { |entry| /\b(?:#{entry["asked"].join("|")})\b/i }.freeze
      NAMES = DATA.transform_values { |entry| entry["name"] }.freeze
      FEW = 4 # signs of a language; fewer are none
      LEAD = 1.6 # times as many as of any other
      WORDED = 4 # words of a paragraph that counts for its document
      ENOUGH = 200 # paragraphs
      SAMPLE = 500 # letters of a text that are looked at
      BEGINNING = 160 # letters that mostly tell
      # What stands between words: white space, signs and digits.
      SIGNS = "\t-@[-`{-~"
      FURTHER_SIGNS = "\u00A0-\u00BF\u2000-\u206F"
      LENGTH = 12 # words of a paragraph that can be told by itself

      module_function

      # The tag of the language ("en"), nil where it can't be told.
      #   Language.of("Die Mühle stand lange leer, und das Register sagt nichts.") # => "de"
      def of(text)
        clear(score(text))
      end

      # The language that most of the words of a document are in, nil where that can't be told.
      def of_document(document)
        sums = Hash.new(0)
        spread(document.paragraphs.select { |paragraph| paragraph.word_count >= WORDED }).each do |paragraph|
          signs(paragraph).each { |tag, count| sums[tag] += count }
        end
        clear(sums)
      end

      # So many of a long text, from all of it, as tell its language.
      def spread(paragraphs)
        step = (paragraphs.size / ENOUGH) + 1
        paragraphs.each_slice(step).map(&:first)
      end

      # That of a paragraph, if it is long enough to tell.
      def of_paragraph(paragraph)
        return if paragraph.word_count < LENGTH
        paragraph.remember(:language) { clear(signs(paragraph)) }
      end

      # Is a paragraph plainly in a language, by its beginning alone?
      def plainly?(paragraph, tag)
        paragraph.remember(:language_begun) { clear(score(paragraph.text[0, BEGINNING])) } == tag
      end

      # The language of a tag: "en" of "en-GB".
      def primary(tag)
        tag.to_s.downcase[/\A[a-z]{2,3}/]
      end

      # What matches the words by which forms in these languages ask for something; in all of them for none that is
      # known.
      def asking(*tags)
        known = ASKED.values_at(*tags.compact).compact
        Regexp.union(known.empty? ? ASKED.values : known)
      end

      # A language tag in English words.
      #   Survey::Language.name("de") # => "German"
      def name(tag)
        NAMES.fetch(primary(tag), tag)
      end

      def signs(paragraph)
        paragraph.remember(:language_signs) { score(paragraph.text) }
      end

      def score(text)
        sums = Hash.new(0)
        text = text[0, SAMPLE] if text.size > SAMPLE
        plain = text.ascii_only?
        words = text.downcase.tr(plain ? SIGNS : SIGNS + FURTHER_SIGNS, " ").split(" ")
        words.each { |word| WORDS[word]&.each { |tag| sums[tag] += 1 } }
        LETTERS.each { |tag, letters| sums[tag] += text.count(letters) unless letters.empty? } unless plain
        sums
      end

      def clear(sums)
        (first, most), (_, next_most) = sums.sort_by { |_, count| -count }
        first if most && most >= FEW && most >= (next_most || 0) * LEAD
      end

      private_class_method :spread, :signs, :score, :clear
    end
  end
end
