# frozen_string_literal: true

module Norvel
  module Survey
    # What each line break in a paragraph stands for:
    #   :running    a space, since the sentence goes on after it
    #   :paragraph  the end of a paragraph or of a list item
    #   :last       nothing, since nothing follows it
    #   :line       a line that is meant: of an address, of verse, of code
    module LineBreaks
      BREAK = /[ \u00A0]*\n[ \u00A0]*/
      ENDS = /[.!?…]["”’»)]*\z/ # of a sentence
      SIGN = /\A(?:[•‣◦▪–—*-]|\(?(?:\d{1,3}|[a-z])[.)])[\s\u00A0]/ # of a list item
      AS_THEY_STAND = %w[code contents_entry].freeze # roles all of whose lines are meant
      FULL = 40 # letters of a line that is more than a line of an address or verse

      module_function

      # {place of each break in seen_text => its kind}. role: what the paragraph is
      #   LineBreaks.of(paragraph, "body") # => {58 => :running, 120 => :last}
      def of(paragraph, role)
        text = paragraph.seen_text
        return {} unless text.include?("\n")
        places = text.each_char.with_index.filter_map { |char, at| at if char == "\n" }
        places.to_h { |at| [at, kind(text, at, AS_THEY_STAND.include?(role))] }
      end

      def kind(text, at, kept)
        before, after = text[0...at], text[at + 1..]
        return :last if after.strip.empty?
        return :line if kept
        return :running if running?(text, at)
        line, following = before[/[^\n]*\z/].strip, after[/\A[^\n]*/].strip
        parts?(line, following) ? :paragraph : :line
      end

      def running?(text, at)
        text[at + 1..].match?(/\A[ \u00A0]*[[:lower:]]/) && text[0...at].match?(/[[:alnum:],;)’'-][ \u00A0]*\z/)
      end

      def parts?(line, following)
        return true if SIGN.match?(following) && (SIGN.match?(line) || line.end_with?(":"))
        ENDS.match?(line) && [line, following].all? { |one| one.size >= FULL }
      end
      private_class_method :kind, :running?, :parts?
    end
  end
end
