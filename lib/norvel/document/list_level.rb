# frozen_string_literal: true

module Norvel
  class Document
    # One level of a list (ISO/IEC 29500-1 17.9.6). A value: changed by with.
    #   start, format   the first number, and how it is written: a word of Numerals, or "bullet"
    #   text            the marker with %1 … %9 for the numbers of the levels, or the bullet
    #   style_id        the paragraph style bound to it, or nil
    #   legal           are the numbers of the levels above written as decimals?
    #   restart_after   the level (from 1) whose step restarts it; 0 never; nil any higher one
    #   suffix          "tab", "space" or "nothing" between marker and text
    #   align           where the marker stands at its place: "left", "right" or "center"
    #   paragraph, run  what it sets on its paragraphs, and on the letters of the marker alone
    ListLevel = Value.define(:start, :format, :text, :style_id, :legal, :restart_after, :suffix, :align, :paragraph,
      :run,
      start: 1, format: "decimal", legal: false, suffix: "tab", align: "left", paragraph: Styles::PropertySet::EMPTY,
      run: Styles::PropertySet::EMPTY) do
      # Signs of symbol fonts, at U+F0xx, as the signs they are drawn as.
      self::SYMBOLS = ["\uF0B7\uF0A7\uF0D8\uF0FC\uF02D", "•▪➢✓-"].freeze

      # Is its marker a sign, not a number?
      def bullet?
        format == "bullet"
      end

      # The marker at a count. +levels+: of the list; +count+: {level => number}.
      def marker(levels, count)
        return text.tr(*self.class::SYMBOLS) if bullet?
        text.gsub(/%([1-9])/) do
          number = $1.to_i - 1
          other = levels[number] or next ""
          Numerals.write(count[number] || other.start, legal ? "decimal" : other.format)
        end
      end
    end
  end
end
