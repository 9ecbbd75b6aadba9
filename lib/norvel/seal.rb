# frozen_string_literal: true

module Norvel
  # The proof that the words did not change: digests of all text of a document, notes, tables, boxes, headers and
  # footers included. +words+ takes every white space as one space, +exact+ takes it as it is. What has no text counts
  # too: +objects+ digests images, note marks, fields, links, equations, boxes, comments, bookmarks, tables and cells,
  # each kind for itself; +counts+ says how many of each there are: {image: 3, note_mark: 12, …}.
  Seal = Struct.new(:words, :exact, :objects, :counts, :count) do
    # That of a document, digested once.
    def self.of(document)
      document.reading[Seal] ||= digest(document)
    end

    # The Seal of a document: digests of its words and of what else it holds.
    def self.digest(document)
      everything = document.everything
      sealed = everything.map(&:sealed_text).reject(&:empty?).join(" ")
      inventory = Document::Inventory.of(document)
      new(Digest::SHA256.hexdigest(sealed), Digest::SHA256.hexdigest(everything.map(&:text).join("\u2029")),
        inventory.digests, inventory.counts, document.word_count)
    end
    private_class_method :digest

    # Are all words of another state the same, white space aside?
    def same_words?(other)
      words == other.words
    end

    # but: kinds that may differ
    def same_objects?(other, but: [])
      objects.except(*but) == other.objects.except(*but)
    end

    # What differs in another state in a word for a sentence, nil when nothing does: "words", "images", "note marks".
    def lost_in(other)
      same_words?(other) ? kind_lost_in(other) : "words"
    end

    # The same of objects alone.
    def kind_lost_in(other)
      kind = (objects.keys | other.objects.keys).find { |name| objects[name] != other.objects[name] }
      kind && "#{kind.to_s.tr("_", " ")}s"
    end
  end
end
