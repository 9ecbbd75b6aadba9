# frozen_string_literal: true

module Norvel
  class Document
    # A stretch of text with one formatting. In +text+ a tab is TAB, a line break LF, a page break FF, a column break VT; what has
    # no text of its own is one character: U+FFFC an image or other object, U+FFFA the mark of a note, U+FFF9 a sign that is
    # not seen (of a field, a comment).
    # +source+ is its ordinal in the paragraph it was read from, nil for a new one.
    Run = Struct.new(:text, :style_id, :direct, :source) do
      self::OBJECT = "\uFFFC"
      self::NOTE = "\uFFFA"
      self::SIGN = "\uFFF9"
      self::UNSEEN = "\uFFFC\uFFFA\uFFF9\f\v"
      self::SEEN = /[^\s\u00A0\uFFFC\uFFFA\uFFF9]/

      def with(text: self.text, style_id: self.style_id, direct: self.direct, source: self.source)
        self.class.new(text, style_id, direct, source)
      end

      # The text a person reads.
      def words
        (text.ascii_only? && !text.include?("\f") && !text.include?("\v")) ? text : text.delete(self.class::UNSEEN)
      end

      # Is there a letter to see?
      def visible?
        text.match?(self.class::SEEN)
      end

      # Text in a symbol font, at U+F0xx: it means nothing without its font.
      def symbols?
        !text.ascii_only? && text.match?(/[\uF000-\uF0FF]/)
      end
    end
  end
end
