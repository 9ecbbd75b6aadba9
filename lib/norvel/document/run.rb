# frozen_string_literal: true

module Norvel
  class Document
    # A stretch of text with one formatting. In +text+ a tab is TAB, a line break LF, a page break FF, a column break
    # VT; what has no text of its own is one character: U+FFFC an image or other object, U+FFFA the mark of a note,
    # U+FFF9 a sign that is not seen (of a field, a comment). What each of these stands for is in +objects+, one for
    # each, in order.
    #   within  what the words stand in, from the outside in: Link, Field, FieldResult
    #   source  ordinal in the paragraph it was read from, nil for a new one
    Run = Struct.new(:text, :style_id, :direct, :source, :carried, :spans) do
      self::OBJECT = "\uFFFC"
      self::NOTE = "\uFFFA"
      self::SIGN = "\uFFF9"
      self::SIGNS = /[\uFFFC\uFFFA\uFFF9]/
      self::UNSEEN = "\uFFFC\uFFFA\uFFF9\f\v"
      self::SEEN = /[^\s\u00A0\uFFFC\uFFFA\uFFF9]/
      self::NOTHING = [].freeze
      self::PIECE = /[\t\n\f\v\u00A0\u00AD\u2011\uFFFC\uFFFA\uFFF9]|[^\t\n\f\v\u00A0\u00AD\u2011\uFFFC\uFFFA\uFFF9]+/

      def with(text: self.text, style_id: self.style_id, direct: self.direct, source: self.source,
        carried: self.carried)
        self.class.new(text, style_id, direct, source, carried, spans)
      end

      # What its signs stand for, one for each, in order.
      def objects
        carried || self.class::NOTHING
      end

      # What its words stand in, from the outside in.
      def within
        spans || self.class::NOTHING
      end

      # The stretch from one position to another, with what stands in it.
      #   run.slice(0, 5)
      def slice(from, size)
        return self if from.zero? && size >= text.size
        part = text[from, size].to_s
        return with(text: part) unless carried
        before = text[0, from].scan(self.class::SIGNS).size
        objects = carried[before, part.scan(self.class::SIGNS).size].freeze
        with(text: part, carried: (objects unless objects.empty?))
      end

      # For each object in the line its formula, nil where it is none.
      def formulas
        return [] unless carried&.any? { |one| one.is_a?(Image) && one.formula }
        text.scan(self.class::SIGNS).zip(carried).select { |sign, _| sign == self.class::OBJECT }
          .map { |_, one| one.formula if one.is_a?(Image) }
      end

      # The text as letters and things, in order: strings, Separators and objects.
      #   run.pieces # => ["See ", NoteMark, Separator("tab"), "below", …]
      def pieces
        left = objects.dup
        text.scan(self.class::PIECE).map do |piece|
          next left.shift || Unknown.new(name: "sign") if self.class::SIGNS.match?(piece)
          Separator::BY_CHARACTER.fetch(piece, piece)
        end
      end

      # The text a person reads.
      def words
        plain = text.ascii_only? && !text.include?("\f") && !text.include?("\v")
        plain ? text : text.delete(self.class::UNSEEN)
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
