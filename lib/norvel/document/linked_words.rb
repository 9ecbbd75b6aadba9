# frozen_string_literal: true

module Norvel
  class Document
    # Words of a paragraph that stand in one link: an element, or a field of this paragraph.
    #   link    Link or Computed::Link, which have an address or a bookmark; a Computed::Reference or PageReference,
    #           which have a bookmark, where references are asked for
    #   words   as they are read; from, to: the letters of the paragraph before them, and up to their end, white space
    #           and signs left out
    LinkedWords = Value.define(:link, :words, :from, :to) do
      self::BESIDE = /[\s\u00A0\u00AD\-\uFFF9-\uFFFC]/

      # Letters of a text that are counted.
      def self.letters(text)
        text.gsub(self::BESIDE, "").size
      end

      self::KINDS = [Computed::Link].freeze
      self::REFERENCES = [Computed::Link, Computed::Reference, Computed::PageReference].freeze

      # Those of a paragraph, in order. references: those that refer to other places among them?
      def self.of(paragraph, references: false)
        kinds = references ? self::REFERENCES : self::KINDS
        fields = Field.in(paragraph).to_h { |field| [field.id, field.computes] }
        at = 0
        leading = ->(run) { link(run, fields, kinds) }
        paragraph.runs.chunk_while { |one, other| leading[one].equal?(leading[other]) }.filter_map do |runs|
          words = runs.map(&:words).join
          from, at = at, at + letters(words)
          link = leading[runs.first]
          link && new(link:, words: words.strip, from:, to: at)
        end
      end

      # What the words of a run stand in, where that is a link.
      def self.link(run, fields, kinds)
        shown = run.within.grep(FieldResult).map { |result| fields[result.field] } +
          run.within.grep(Field).map(&:computes)
        run.within.grep(Link).first || shown.find { |one| kinds.include?(one.class) }
      end
      private_class_method :link
    end
  end
end
