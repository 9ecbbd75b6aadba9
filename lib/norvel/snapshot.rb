# frozen_string_literal: true

require "zlib"

module Norvel
  # A state of a document as bytes, told by what differs from the document as it came: what is untouched is named by its
  # place in the file. Likewise a change, told by what takes it back. Plain data (JSON, deflated), so that it outlives
  # releases.
  module Snapshot
    VERSION = 3 # 1 and 2 knew no objects in the line (UnpackBefore)
    READABLE = [1, 2, 3].freeze

    module_function

    # The bytes for a document that was made from +original+ by edits.
    def dump(document, original)
      pack = Pack.new(original)
      paragraphs = document.paragraphs.map { |paragraph| pack.paragraph(paragraph) }
      deflate(version: VERSION, paragraphs:, others: pack.others(document), sets: pack.sets)
    end

    # The document again. Raises Error on what dump did not write.
    def load(bytes, original)
      data = inflate(bytes)
      unpack = unpacking(data, original)
      paragraphs = data[:paragraphs].map { |paragraph| unpack.paragraph(paragraph) }
      unpack.finish(original.with(paragraphs: paragraphs.freeze, **unpack.others(data[:others])), data[:others])
    end

    # The bytes that take a change back.
    def dump_change(change, original)
      pack = Pack.new(original)
      splices = change.splices.map do |position, before, after|
        [position, before.map { |one| pack.paragraph(one) }, after.size]
      end
      others = change.others.to_h { |field, (before, _)| [Kinds.field_key(field), pack.other(field, before)] }
      deflate(version: VERSION, title: change.title, splices:, others:, sets: pack.sets)
    end

    # The document before that change. +document+ is the one the change led to.
    def take_back(bytes, document, original)
      data = inflate(bytes)
      unpack = unpacking(data, original)
      paragraphs = document.paragraphs.dup
      data[:splices].reverse_each do |position, before, size|
        paragraphs[position, size] = before.map { |paragraph| unpack.paragraph(paragraph) }
      end
      unpack.finish(document.with(paragraphs: paragraphs.freeze, **unpack.others(data[:others])), data[:others])
    end

    # Plain data as bytes.
    def deflate(data)
      Zlib.deflate(JSON.generate(data), Zlib::BEST_SPEED)
    end

    # The plain data of such bytes. Raises Error for another edition's.
    def inflate(bytes)
      data = JSON.parse(Zlib.inflate(bytes), symbolize_names: true)
      raise Error, "This document was saved by another edition of Norvel." unless READABLE.include?(data[:version])
      data
    end

    def unpacking(data, original)
      ((data[:version] < VERSION) ? UnpackBefore : Unpack).new(original, data[:sets])
    end
    private_class_method :unpacking
  end
end
