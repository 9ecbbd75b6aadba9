# frozen_string_literal: true

require "yaml"

module Norvel
  module Survey
    # The usual words of a text's parts in English, German, French, Spanish, Portuguese and Italian: data in words.yml.
    module Words
      DATA = YAML.safe_load_file(File.join(__dir__, "words.yml")).freeze

      # A pattern of any word of these lists, the longest first.
      def self.any(*names)
        DATA.values_at(*names).flatten.uniq.sort_by { |word| -word.size }
          .map { |word| Regexp.escape(word).gsub("\\ ", "\\s+") }.join("|")
      end

      NUMERAL = "(?:[0-9]{1,3}|[ivxlc]{1,7}|[A-Z]|#{any("numbers")})"
      CHAPTER = /\A(?:#{any("chapter")})\s+#{NUMERAL}(?=[\s.:)–—-]|\z)/i
      APPENDIX = /\A(?:#{any("appendix")})(?:\s+#{NUMERAL})?(?=[\s.:)–—-]|\z)/i
      CAPTION = /\A(?:(?<figure>#{any("figure")})|(?<table>#{any("table")}))\.?[\s\u00A0]+
        [0-9ivxlcA-Z]{1,4}(?:[.-][0-9]{1,3}){0,3}(?=[\s.:)–—-]|\z)/ix
      REFERENCES = /\A(?:#{any("references")})\s*:?\z/i
      HEADING = /\A(?:#{any("headings", "references", "contents")})\s*:?\z/i
      # A day: "2 March 2026", "Ravelmouth, 2. März 2026", "le 2 mars 2026", "02.03.2026", "2026-03-02".
      MONTH = "(?:#{any("months")})"
      DAY = "[0-3]?\\d(?:\\.|\\.º|º|st|nd|rd|th|er)?"
      DATE = /\A(?:[[:alpha:].\ ]{2,30},?[\s\u00A0]+)?
        (?:(?:#{DAY}[\s\u00A0]+(?:de[\s\u00A0]+)?#{MONTH}|#{MONTH}[\s\u00A0]+[0-3]?\d)
          (?:,|[\s\u00A0]+de|[\s\u00A0]+del)?[\s\u00A0]+(?:1\d|20)\d\d|
        [0-3]?\d[.\/][01]?\d[.\/](?:20)?\d\d|20\d\d-[01]\d-[0-3]\d)\.?\z/ix
      GREETING = /\A(?:#{any("greetings")})(?![[:alpha:]])[^.]{0,70}[,:!]?\z/i
      CLOSING = /\A(?:#{any("closings")})[,.!]?\z/i
      NAME = "[[:upper:]][[:alpha:].'’-]*(?:[\\s\u00A0]+[[:upper:]][[:alpha:].'’-]*)+"
      BYLINE = /(?:\A|[\s\u00A0])(?:#{any("bylines")})[\s\u00A0]+#{NAME}\z/
    end
  end
end
