# frozen_string_literal: true

module Norvel
  module Intake
    # A document as files of its parts: what stands before the first heading down to a level, and each of these headings
    # with what follows it. Styles, notes, images and page set-up go along; numbers and labels begin anew in each.
    class Divided
      MOST = 100

      # name: of its file, without ending; from, till: places of its paragraphs, till nil at the end
      Part = Value.define(:name, :from, :till)

      # document: as its file has it. Raises Refused where nothing divides it.
      def initialize(document, level: 1)
        @document = document
        @stretches = Formats[document.format].stretches.call(document)
        @starts = starts(level)
        if @starts.empty?
          raise Refused, "Nothing is marked as a heading down to level #{level}: nothing divides the text."
        end
        return if @starts.size <= MOST
        raise Refused, "#{@starts.size} headings would divide the text, more than the #{MOST} files that are made."
      end

      # [Part, …] in their order.
      def parts
        before = @starts.first.zero? ? [] : [0]
        places = before + @starts
        places.each_with_index.map do |from, number|
          Part.new(name: format("%02d %s", number + 1, name(from, before)).strip, from:, till: places[number + 1])
        end
      end

      # {file name => bytes}, each read back and found to say what its part says. The block is told how many there are,
      # and of how many. Raises Unwritable.
      def files
        ending = Formats[@document.format].extension
        parts.each_with_index.to_h do |part, number|
          yield number, parts.size if block_given?
          ["#{part.name}#{ending}", proven(part)]
        end
      end

      private

      def starts(level)
        @document.paragraphs.each_index.select do |place|
          paragraph = @document.paragraphs[place]
          paragraph.container.nil? && !paragraph.blank? && @document.heading_level(paragraph).between?(1, level) &&
            @stretches.begins?(place)
        end
      end

      def name(from, before)
        return "before the first" if before.include?(from)
        @document.paragraphs[from].text.gsub(/[^[:alnum:] -]/, "").squeeze(" ").strip[0, 60]
      end

      def proven(part)
        bytes = @stretches.bytes(part.from, part.till)
        again = Formats.read(bytes, name: part.name)
        return bytes if words(again.paragraphs) == words(@document.paragraphs[part.from...part.till])
        raise Unwritable, "“#{part.name}” could not be divided off without words being lost, so nothing was made."
      end

      def words(paragraphs)
        paragraphs.map(&:text).join.gsub(/[[:space:]]/, "")
      end
    end
  end
end
