# frozen_string_literal: true

module Norvel
  module Formats
    # A format of text that wears no styles.
    #   name, label, extensions  as of a Format
    #   reader   ->(source) { Markup::Text }; source: a String in UTF-8
    #   writer   ->(text, report, document:, styles:) { String }
    #   guesses  are the roles of its paragraphs suggested by their words, as it has no signs for them?
    MarkupFormat = Value.define(:name, :label, :extensions, :reader, :writer, :guesses, guesses: false) do
      self::LARGEST = 10_000_000 # bytes: a text of a million words has fewer
      self::MARKS = {"\xEF\xBB\xBF".b => "UTF-8", "\xFF\xFE".b => "UTF-16LE", "\xFE\xFF".b => "UTF-16BE"}.freeze

      # The usual extension.
      def extension
        extensions.keys.first
      end

      # There are no templates of it.
      def kinds
      end

      # What a file of it with this name is served as.
      def media_type(name)
        extensions.fetch(File.extname(name).downcase, extensions.values.first)
      end

      # The Markup::Text in a file. Raises UnreadableFile.
      def read(bytes)
        if bytes.bytesize > self.class::LARGEST
          megabytes = self.class::LARGEST / 1_000_000
          raise UnreadableFile, "The text is larger than #{megabytes} MB, which no text needs to be."
        end
        text = reader.call(self.class.decoded(bytes))
        raise UnreadableFile, "The file holds no words." if text.blocks.all?(&:blank?)
        guesses ? GuessedRoles.of(text) : text
      end

      # Text as its bytes say by their mark; else UTF-8, or what was usual before it.
      def self.decoded(bytes)
        mark, encoding = self::MARKS.find { |mark, _| bytes.b.start_with?(mark) }
        text = mark ? bytes.byteslice(mark.bytesize..).dup.force_encoding(encoding) : bytes.dup.force_encoding("UTF-8")
        text = bytes.dup.force_encoding("Windows-1252") unless text.valid_encoding?
        text = text.encode("UTF-8", invalid: :replace, undef: :replace)
        return text unless text.count("\0") > text.size / 100
        raise UnreadableFile, "This is no text: the file holds other data."
      end
    end
  end
end
