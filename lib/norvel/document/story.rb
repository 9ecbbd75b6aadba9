# frozen_string_literal: true

module Norvel
  class Document
    # A part beside the text: a note, a comment, a running head or foot. A value.
    #   kind        "header", "footer", "footnote", "endnote" or "comment"
    #   id          by which marks and sections name it
    #   section     number of the first section that shows it, nil for notes and comments
    #   which       of heads and feet: "default", "first" or "even"
    #   paragraphs  in reading order; tables: as of a document
    #   author      of a comment
    Story = Value.define(:kind, :id, :section, :which, :paragraphs, :tables, :author, paragraphs: [].freeze,
      tables: [].freeze) do
      # What tells it from all others.
      def key
        [kind, id]
      end

      # Ids of paragraphs beside the text begin here, so many for each story.
      self::IDS = 1_000_000

      # The paragraphs of a story with ids of their own in the document; number: of the story, from 1.
      def self.apart(paragraphs, number)
        paragraphs.map { |one| (one.id > self::IDS) ? one : one.with(id: (number * self::IDS) + one.id) }.freeze
      end

      # Is this the id of a paragraph beside the text?
      def self.id?(id)
        id > self::IDS
      end

      # Paragraphs and tables, in order.
      def blocks
        Blocks.of(paragraphs, tables)
      end

      # Is it a footnote or endnote?
      def note?
        %w[footnote endnote].include?(kind)
      end

      # Is it a running head or foot?
      def head?
        %w[header footer].include?(kind)
      end

      # Its words, a line for each paragraph.
      def text
        paragraphs.map(&:text).join("\n")
      end
    end
  end
end
