# frozen_string_literal: true

require "zip"

module Norvel
  module Formats
    # A zip archive from a stranger, read within limits: nothing is trusted that it says of itself, nothing is written
    # to disk, and every fault is an UnreadableFile with a sentence. Source of the limits: our own (docs/file-formats.md).
    class Container
      LARGEST_FILE = 100_000_000
      ENTRIES = 5_000
      UNPACKED = 512_000_000
      XML_PART = 64_000_000
      RATIO = 200
      RATIO_FROM = 16_000_000 # honest repetitive text passes 250:1 in small parts
      END_RECORD = "PK\x05\x06".b

      attr_reader :bytes

      def initialize(bytes)
        raise UnreadableFile, "The file is larger than #{LARGEST_FILE / 1_000_000} MB, which no text document needs to be." if bytes.bytesize > LARGEST_FILE
        @bytes = bytes
        @unpacked = 0
        @parts = {}
        @entries = directory
      end

      def names
        @entries.keys
      end

      def include?(name)
        @entries.key?(name) || @entries.key?(@folded[name.downcase])
      end

      # The bytes of an entry, checked against its sum; nil when there is none.
      def read(name)
        entry = @entries[name] || @entries[@folded[name.downcase]] or return
        @parts[entry.name] ||= unpack(entry)
      end

      # Each entry as it stands in the archive, for a writer that copies it.
      def each_entry(&)
        @entries.each_value(&)
      end

      private

      def directory
        declared = declared_count
        raise UnreadableFile, "The archive says it holds #{declared} files, far more than a document has." if declared > ENTRIES
        entries = Zip::File.open_buffer(StringIO.new(@bytes)).entries
        raise UnreadableFile, "The archive lists a file twice: it is damaged or was made to mislead." if entries.size != declared || entries.map { |e| e.name.downcase }.uniq.size != entries.size
        entries.each { |entry| vet(entry) }
        @folded = entries.to_h { |e| [e.name.downcase, e.name] }
        entries.reject(&:directory?).to_h { |e| [e.name, e] }
      rescue Zip::Error, Zlib::Error, EOFError, ArgumentError, RangeError, NoMethodError, EncodingError
        # the zip library meets damaged records with whatever they make it stumble over
        raise UnreadableFile, "The file is damaged or incomplete: its table of contents can't be read."
      end

      # Entries by the end-of-directory record, which must be there (a truncated file has lost it).
      def declared_count
        at = @bytes.b.rindex(END_RECORD) or raise UnreadableFile, "The file is cut off: its end is missing. Copy or download it again."
        @bytes.byteslice(at + 10, 2)&.unpack1("v") || 0
      end

      def vet(entry)
        name = entry.name.b
        unsafe = name.include?("\0") || name.include?("\\") || name.start_with?("/") || name.match?(/\A[a-z]:/in) || name.split("/").include?("..")
        raise UnreadableFile, "The archive holds a file with a forbidden name." if unsafe || raw_backslash?(entry)
        raise UnreadableFile, "The file is protected by a password: take it off where the file was written and save it again." if entry.gp_flags.anybits?(1)
        raise UnreadableFile, "The archive uses a packing method that a document must not use." unless [0, 8].include?(entry.compression_method)
      end

      # The zip library turns a backslash into a slash, so the name is looked at as it stands in the file.
      def raw_backslash?(entry)
        local = entry.local_header_offset
        length = @bytes.byteslice(local + 26, 2)&.unpack1("v") or return false
        @bytes.byteslice(local + 30, length).to_s.b.include?("\\")
      end

      # The declared size may lie: at most one byte over the limit is ever unpacked.
      def unpack(entry)
        limit = entry.name.match?(/\.(?:xml|rels)\z/i) ? XML_PART : UNPACKED
        limit = [limit, UNPACKED - @unpacked].min
        content = entry.get_input_stream { |stream| stream.read(limit + 1) } || +""
        raise UnreadableFile, "The file unpacks to more than #{limit / 1_000_000} MB: it is damaged or was made to do harm." if content.bytesize > limit
        if content.bytesize > RATIO_FROM && content.bytesize > entry.compressed_size * RATIO
          raise UnreadableFile, "A part of the file unpacks to more than #{RATIO} times its size: it was made to do harm."
        end
        raise UnreadableFile, "The file is damaged: the part #{entry.name.inspect} does not match its check sum." if Zlib.crc32(content) != entry.crc
        @unpacked += content.bytesize
        content
      rescue Zip::Error, Zlib::Error, EOFError, NoMethodError
        raise UnreadableFile, "The file is damaged: the part #{entry.name.inspect} can't be unpacked."
      end
    end
  end
end
