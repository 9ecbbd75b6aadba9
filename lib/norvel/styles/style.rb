# frozen_string_literal: true

module Norvel
  module Styles
    # A named style as it stands in the file. +paragraph+ and +run+ are what it sets itself; +conditions+ (table styles only)
    # maps a condition's name to [paragraph, run] sets. Links to other styles are ids. +priority+ is its place in lists of styles,
    # nil for last (17.7.4.19). A value: changed by with.
    Style = Struct.new(:id, :name, :type, :based_on, :next_id, :link, :paragraph, :run, :conditions, :default, :hidden, :priority, :custom, :bands, :source, keyword_init: true) do
      # +source+ is the place of the style in the file it came from, nil for a new one.
      def initialize(type: "paragraph", paragraph: PropertySet::EMPTY, run: PropertySet::EMPTY, conditions: {}, **)
        super
        freeze
      end

      def with(**changes)
        self.class.new(**to_h, **changes)
      end

      def paragraph?
        type == "paragraph"
      end

      def character?
        type == "character"
      end

      def set(place)
        (place == :run) ? run : paragraph
      end
    end
  end
end
