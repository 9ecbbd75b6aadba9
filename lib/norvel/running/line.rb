# frozen_string_literal: true

module Norvel
  module Running
    # What a running head or foot says in one line: at the left, in the middle, at the right. What is computed stands in
    # braces: "{chapter}", "Page {page} of {pages}".
    Line = Value.define(:left, :middle, :right, left: "", middle: "", right: "") do
      # What can be computed, by its name in braces.
      self::FIELDS = {"page" => Document::Computed::PageNumber, "pages" => Document::Computed::PageCount,
                      "title" => Document::Computed::Title, "author" => Document::Computed::Author,
                      "chapter" => Document::Computed::StyleText}.freeze
      # {what a Document::Field does => that name}
      self::DOES = self::FIELDS.to_h { |name, computed| [computed.new.kind, name] }.freeze
      self::TOKEN = /\{(#{self::FIELDS.keys.join("|")})\}/
      self::SIDES = {"left" => :left, "justify" => :left, "center" => :middle, "right" => :right}.freeze
      self::STOPS = {"centred" => :middle, "right" => :right}.freeze

      # What a Story says; nil where it is more than one line of words, or set otherwise.
      def self.read(story, document)
        Text.new(story, document).line
      end

      # Does it say nothing?
      def blank?
        to_a.all? { |part| part.strip.empty? }
      end

      # Does it say what is computed under this name?
      def holds?(name)
        to_a.any? { |part| part.include?("{#{name}}") }
      end

      # Where a field stands: :left, :middle or :right; nil for nowhere.
      def place_of(name)
        members.find { |side| self[side].include?("{#{name}}") }
      end

      # The parts that say something: [:left, :right]
      def sides
        members.reject { |side| self[side].strip.empty? }
      end

      # The line as pieces of text and names of what is computed, with tabs between its parts where it has several.
      #   Running::Line.new(left: "{chapter}", right: "{page}").pieces # => ["{chapter}", "\t", "\t", "{page}"]
      def pieces
        text = (sides.size == 1) ? self[sides.first].strip : to_a.map(&:strip).join("\t").sub(/\t+\z/, "")
        text.split(/(#{self.class::TOKEN.source.sub("(", "(?:")}|\t)/).reject(&:empty?)
      end
    end
  end
end
