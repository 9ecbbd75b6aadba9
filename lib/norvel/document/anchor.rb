# frozen_string_literal: true

module Norvel
  class Document
    # Something that stands between letters and takes no room in the text: a bookmark's edge, a comment's, an equation.
    #   place  a position in the paragraph's raw text
    Anchor = Struct.new(:place, :object) do
      def initialize(*)
        super
        freeze
      end

      # The same at another place.
      def at(other)
        (other == place) ? self : Anchor.new(other, object)
      end

      # Does it stay when the paragraph that it stands in goes?
      def stays?
        object.is_a?(Bookmark) || object.is_a?(CommentMark)
      end

      # The same anchors in a text that was changed: those before the change stay, those after it move along, those
      # inside stand where it begins.
      def self.moved(anchors, was, now)
        return anchors if anchors.empty? || was == now
        head = was.each_char.zip(now.each_char).take_while { |one, other| one == other }.size
        most = [was.size, now.size].min - head
        tail = (1..most).take_while { |back| was[-back] == now[-back] }.size
        anchors.map { |anchor| anchor.at(place_after(anchor.place, head, was.size - tail, now.size - was.size)) }.freeze
      end

      def self.place_after(place, head, tail_begins, grown)
        return place if place <= head
        (place >= tail_begins) ? place + grown : head
      end
      private_class_method :place_after
    end
  end
end
