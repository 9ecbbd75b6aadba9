# frozen_string_literal: true

require "zip"

module Norvel
  module Formats
    # A zip archive from a stranger, read within limits: nothing is trusted that it says of itself, nothing is written
    # to disk, and every fault is an UnreadableFile with a sentence. Source of the limits: our own
    # (docs/file-formats.md). It holds bytes and places in them and no stream, so any number of threads may read it at
    # once.
    class Container
      LARGEST_FILE = 100_000_000
      ENTRIES = 5_000
      UNPACKED = 512_000_000
      XML_PART = 64_000_000
      RATIO = 200
      RATIO_FROM = 16_000_000 # honest repetitive text passes 250:1 in small parts
      END_RECORD = "PK\x05\x06".b
      LOCAL_HEAD = 30 # bytes of a local header before the name (APPNOTE 4.3.7)
      CHUNK = 1 << 20
      DAMAGED = [Zip::Error, Zlib::Error, EOFError].freeze

      attr_reader :bytes

      # Raises UnreadableFile for a size that no text document has.
      def self.refuse_larger(size, name)
        return unless size > LARGEST_FILE
        raise UnreadableFile, "#{name} is larger than #{LARGEST_FILE / 1_000_000} MB, which no text document needs " \
          "to be."
      end

      def initialize(bytes)
        Container.refuse_larger(bytes.bytesize, "The file")
        @bytes = bytes
        @unpacked = 0
        @parts = {}
        @guard = Monitor.new
        @entries = directory
      end

      # The names of its parts, as they stand in it.
      def names
        @entries.keys
      end

      # Is there a part of this name, in whatever case?
      def include?(name)
        @entries.key?(name) || @entries.key?(@folded[name.downcase])
      end

      # The bytes of an entry, checked against its sum; nil when there is none.
      def read(name)
        entry = @entries[name] || @entries[@folded[name.downcase]] or return
        @guard.synchronize { @parts[entry.name] ||= unpack(entry).freeze }
      end

      # A fresh archive over the same bytes, with a cursor of its own, for a writer that copies entries as they are.
      def archive
        Zip::File.open_buffer(StringIO.new(@bytes))
      end

      private

      def directory
        declared = declared_count
        if declared > ENTRIES
          raise UnreadableFile, "The archive says it holds #{declared} files, far more than a document has."
        end
        entries = listed
        unique = entries.map { |entry| entry.name.downcase }.uniq.size
        if entries.size != declared || unique != entries.size
          raise UnreadableFile, "The archive lists a file twice: it is damaged or was made to mislead."
        end
        entries.each { |entry| vet(entry) }
        @folded = entries.to_h { |e| [e.name.downcase, e.name] }
        entries.reject(&:directory?).to_h { |e| [e.name, e] }
      end

      # The zip library documents Zip::Error; the others are what its readers of records meet in damaged ones.
      def listed
        archive.entries
      rescue *DAMAGED, ArgumentError, RangeError, NoMethodError, EncodingError => error
        raise unless error.is_a?(Zip::Error) || within_zip?(error)
        raise UnreadableFile, "The file is damaged or incomplete: its table of contents can't be read."
      end

      # Did the zip library itself stumble, or something of ours?
      def within_zip?(error)
        error.backtrace_locations.to_a.first(3).any? do |place|
          place.path.include?("/zip/") || place.path.start_with?("<internal")
        end
      end

      # Entries by the end-of-directory record, which must be there (a truncated file has lost it).
      def declared_count
        at = @bytes.b.rindex(END_RECORD) or
          raise UnreadableFile, "The file is cut off: its end is missing. Copy or download it again."
        @bytes.byteslice(at + 10, 2)&.unpack1("v") || 0
      end

      def vet(entry)
        raise UnreadableFile, "The archive holds a file with a forbidden name." if unsafe?(entry.name.b) ||
          raw_backslash?(entry)
        if entry.gp_flags.anybits?(1)
          raise UnreadableFile, "The file is protected by a password: take it off where the file was written and " \
            "save it again."
        end
        return if [0, 8].include?(entry.compression_method)
        raise UnreadableFile, "The archive uses a packing method that a document must not use."
      end

      def unsafe?(name)
        name.include?("\0") || name.include?("\\") || name.start_with?("/") || name.match?(/\A[a-z]:/in) ||
          name.split("/").include?("..")
      end

      # The zip library turns a backslash into a slash, so the name is looked at as it stands in the file.
      def raw_backslash?(entry)
        local = entry.local_header_offset
        length = @bytes.byteslice(local + 26, 2)&.unpack1("v") or return false
        @bytes.byteslice(local + LOCAL_HEAD, length).to_s.b.include?("\\")
      end

      # The declared size may lie: at most one chunk over the limit is ever unpacked.
      def unpack(entry)
        limit = entry.name.match?(/\.(?:xml|rels)\z/i) ? XML_PART : UNPACKED
        limit = [limit, UNPACKED - @unpacked].min
        content = inflated(entry, limit)
        if content.bytesize > limit
          raise UnreadableFile, "The file unpacks to more than #{limit / 1_000_000} MB: it is damaged or was made to " \
            "do harm."
        end
        if content.bytesize > RATIO_FROM && content.bytesize > entry.compressed_size * RATIO
          raise UnreadableFile, "A part of the file unpacks to more than #{RATIO} times its size: " \
            "it was made to do harm."
        end
        if Zlib.crc32(content) != entry.crc
          raise UnreadableFile, "The file is damaged: the part #{entry.name.inspect} does not match its check sum."
        end
        @unpacked += content.bytesize
        content
      end

      def inflated(entry, limit)
        packed = packed(entry)
        return packed if entry.compression_method.zero?
        inflate = Zlib::Inflate.new(-Zlib::MAX_WBITS)
        content = +"".b
        packed.bytesize.fdiv(CHUNK).ceil.times do |number|
          inflate.inflate(packed.byteslice(number * CHUNK, CHUNK)) do |piece|
            content << piece if content.bytesize <= limit
          end
          break if content.bytesize > limit
        end
        content
      rescue *DAMAGED
        raise UnreadableFile, "The file is damaged: the part #{entry.name.inspect} can't be unpacked."
      ensure
        inflate&.close
      end

      # The entry's bytes as they are packed: after its local header, as long as the directory says.
      def packed(entry)
        local = entry.local_header_offset
        name, extra = @bytes.byteslice(local + 26, 4).to_s.unpack("vv")
        raise Zip::Error, "no local header" unless extra && @bytes.byteslice(local, 4) == Signature::ARCHIVE
        content = @bytes.byteslice(local + LOCAL_HEAD + name + extra, entry.compressed_size)
        raise EOFError, "cut off" unless content&.bytesize == entry.compressed_size
        content
      end
    end
  end
end
