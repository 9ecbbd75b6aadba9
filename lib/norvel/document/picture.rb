# frozen_string_literal: true

module Norvel
  class Document
    # An image with the paragraph that holds it.
    Picture = Struct.new(:image, :paragraph) do
      extend Forwardable

      def_delegators :image, :id, :description, :decorative, :path, :width, :height, :floating, :mute?
    end
  end
end
