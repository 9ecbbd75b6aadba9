# frozen_string_literal: true

module Norvel
  module Styles
    # A named style as it stands in the file. +paragraph+ and +run+ are what it sets itself; +conditions+ (table styles
    # only) maps a condition's name to [paragraph, run] sets. Links to other styles are ids. +priority+ is its place in
    # lists of styles, nil for last (17.7.4.19). A value: changed by with.
    # +source+ is the place of the style in the file it came from, nil for a new one.
    Style = Value.define(:id, :name, :type, :based_on, :next_id, :link, :paragraph, :run, :conditions, :default,
      :hidden, :priority, :custom, :bands, :source,
      type: "paragraph", paragraph: PropertySet::EMPTY, run: PropertySet::EMPTY, conditions: {}.freeze) do
      # Is it a style of paragraphs?
      def paragraph?
        type == "paragraph"
      end

      # Is it a style of words?
      def character?
        type == "character"
      end

      # Is it made of another for some of what that is for: "Heading 1 Unnumbered", based on Heading 1?
      def variant_of?(other)
        based_on == other.id && name.start_with?("#{other.name} ")
      end

      # What it sets on :paragraph or :run.
      def set(place)
        (place == :run) ? run : paragraph
      end
    end
  end
end
