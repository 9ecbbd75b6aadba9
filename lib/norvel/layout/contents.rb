# frozen_string_literal: true

module Norvel
  module Layout
    # What a contents list of the document says: its headings by level, with the labels of their pages.
    class Contents
      # index: of the paragraph, from 1
      Entry = Struct.new(:paragraph, :index, :level, :marker, :text, :label)

      def initialize(result)
        @result = result
        @document = result.document
      end

      # levels: the ones that are listed
      def entries(levels = 1..9)
        @document.paragraphs.each.with_index(1).filter_map do |paragraph, index|
          level = @document.heading_level(paragraph)
          next unless levels.cover?(level) && !paragraph.blank?
          Entry.new(paragraph, index, level, @document.markers[paragraph.id], paragraph.text.strip.gsub(/\s+/, " "),
            @result.label_of(paragraph.id))
        end
      end
    end
  end
end
