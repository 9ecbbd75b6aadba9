# frozen_string_literal: true

module Norvel
  module Survey
    # What each line break in a paragraph stands for:
    #   :running    a space, since the sentence goes on after it
    #   :paragraph  the end of a paragraph or of a list item
    #   :last       nothing, since nothing follows it
    #   :line       a line that is meant: of an address, of verse, of code
    module LineBreaks
      ENDS = /[.!?…]["”’»)]*\z/ # of a sentence
      SIGN = /\A(?:[•‣◦▪–—*-]|\(?(?:\d{1,3}|[a-z])[.)])[\s\u00A0]/ # of a list item
      AS_THEY_STAND = %w[code contents_entry].freeze # roles all of whose lines are meant
      FULL = 40 # letters of a line that is more than a line of an address or verse

      module_function

      # {place of each break in seen_text => its kind}. role: what the paragraph is
      #   LineBreaks.of(paragraph, "body") # => {58 => :running, 120 => :last, …}
      def of(paragraph, role)
        lines = paragraph.seen_text.split("\n", -1)
        worded = lines.rindex { |line| !line.strip.empty? } || -1
        place = -1
        lines.each_cons(2).with_index.to_h do |(line, following), number|
          place += line.size + 1
          [place, (number >= worded) ? :last : kind(line, following, AS_THEY_STAND.include?(role))]
        end
      end

      def kind(line, following, kept)
        return :line if kept
        return :running if ByHand::RUNNING_BREAK.match?("#{line[-FULL..] || line}\n#{following[0, FULL]}")
        parts?(line.strip, following.strip) ? :paragraph : :line
      end

      # Is a break between these lines one between items or paragraphs?
      def parts?(line, following)
        return true if SIGN.match?(following) && (SIGN.match?(line) || line.end_with?(":"))
        ENDS.match?(line) && [line, following].all? { |one| one.size >= FULL }
      end
      private_class_method :kind, :parts?
    end
  end
end
