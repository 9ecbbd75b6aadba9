# frozen_string_literal: true

require "yaml"

module Norvel
  module Survey
    # The usual words of a text's parts in English, German, French, Spanish, Portuguese and Italian: data in words.yml.
    module Words
      DATA = YAML.safe_load_file(File.join(__dir__, "words.yml")).freeze

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
    end
  end
end
