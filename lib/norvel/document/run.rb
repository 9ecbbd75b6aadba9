# frozen_string_literal: true

module Norvel
  class Document
    # A stretch of text with one formatting. In +text+ a tab is TAB, a line break LF, a page break FF, a column break VT, and
    # U+FFFC stands for an object (image, note mark, field sign …) that has no text of its own.
    # +source+ is its ordinal in the paragraph it was read from, nil for a new one.
    Run = Struct.new(:text, :style_id, :direct, :source) do
      self::OBJECT = "\uFFFC"
      self::UNSEEN = "\uFFFC\f\v"
      self::SEEN = /[^\s\u00A0\uFFFC]/

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

      def object?
        text.include?(self.class::OBJECT)
      end
    end
  end
end
