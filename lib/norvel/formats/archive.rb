# frozen_string_literal: true

require "zip"

Zip.write_zip64_support = false # a text document needs none, and not every reader knows it

module Norvel
  module Formats
    # Writes a zip archive anew from one that came: the same entries in the same order, copied as they are unless
    # changed. Deterministic: changed entries carry the earliest time a zip can say.
    module Archive
      EARLIEST = Zip::DOSTime.local(1980, 1, 1)

      module_function

      # +changed+: bytes by entry name; names the archive lacks are added at the end. +only+: names of the entries to
      # take along. +first+: [name, bytes] of an entry that stands before all others and is not packed, as a mark.
      def write(container, changed, only: nil, first: nil)
        rest = changed.dup
        buffer = Zip::OutputStream.write_buffer(StringIO.new(+"".b)) do |zip|
          store(zip, *first) if first
          container.archive.entries.reject { |entry| entry.directory? || entry.name == first&.first }.each do |entry|
            content = rest.delete(entry.name)
            next unless only.nil? || only.include?(entry.name)
            next zip.copy_raw_entry(entry) if content.nil? && entry.gp_flags.nobits?(8)
            put(zip, entry.name, content || container.read(entry.name))
          end
          rest.each { |name, content| put(zip, name, content) }
        end
        buffer.string
      end

      # An archive of these entries alone.
      def build(entries, first: nil)
        buffer = Zip::OutputStream.write_buffer(StringIO.new(+"".b)) do |zip|
          store(zip, *first) if first
          entries.each { |name, content| put(zip, name, content) }
        end
        buffer.string
      end

      def store(zip, name, content)
        zip.put_next_entry(Zip::Entry.new(nil, name, time: EARLIEST), nil, nil, Zip::Entry::STORED)
        zip.write(content)
      end

      def put(zip, name, content)
        zip.put_next_entry(Zip::Entry.new(nil, name, time: EARLIEST))
        zip.write(content)
      end

      private_class_method :store, :put
    end
  end
end
