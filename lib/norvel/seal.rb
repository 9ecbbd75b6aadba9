# frozen_string_literal: true

module Norvel
  # The proof that the words did not change: digests of all text of a document, notes, tables, boxes, headers and footers
  # included. +words+ takes every white space as one space, +exact+ takes it as it is.
  Seal = Struct.new(:words, :exact, :count) do
    def self.of(document)
      everything = document.everything
      sealed = everything.map(&:sealed_text).reject(&:empty?).join(" ")
      new(Digest::SHA256.hexdigest(sealed), Digest::SHA256.hexdigest(everything.map(&:text).join("\u2029")), document.word_count)
    end

    def same_words?(other)
      words == other.words
    end
  end
end
