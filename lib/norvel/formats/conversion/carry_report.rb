# frozen_string_literal: true

module Norvel
  module Formats
    # What was not carried from one format into another as it was: each kind once with how often, and the places of what
    # is not there any more.
    class CarryReport
      # what: a word for people; how: what stands there instead, nil where nothing does; places: numbers of paragraphs
      Entry = Struct.new(:what, :how, :count, :places)
      MOST_PLACES = 1_000

      def initialize
        @entries = {}
      end

      # Something is there in another way: count of them.
      def approximate(what, how, count: 1, place: nil)
        note(what, how, count, place)
      end

      # Something is not there any more. place: the number of its paragraph, nil for none.
      def lost(what, place: nil, count: 1)
        note(what, nil, count, place)
      end

      # An image that is written whole and upright, whatever part of it was shown, and how it stood.
      def shown_whole(image)
        approximate("images cut to a part or turned", "whole and upright") unless image.whole?
      end

      # What came over in another way.
      def approximated
        @entries.values.select(&:how)
      end

      # What did not come over.
      def not_carried
        @entries.values.reject(&:how)
      end

      # Did all come over as it was?
      def empty?
        @entries.empty?
      end

      # As the command line's JSON has it.
      def to_h
        {approximate: approximated.map { |entry| {what: entry.what, count: entry.count, how: entry.how} },
         not_carried: not_carried.map { |entry| {what: entry.what, count: entry.count, places: entry.places} }}
      end

      private

      def note(what, how, count, place)
        entry = @entries[[what, how]] ||= Entry.new(what, how, 0, [])
        entry.count += count
        entry.places << place if place && entry.places.size < MOST_PLACES && entry.places.last != place
      end
    end
  end
end
