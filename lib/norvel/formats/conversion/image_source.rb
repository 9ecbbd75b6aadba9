# frozen_string_literal: true

module Norvel
  module Formats
    # Where the images of a dressed text are: those that came with it, and those of the template.
    class ImageSource
      def initialize(images, template)
        @images = images
        @template = template
      end

      def include?(path)
        @images.key?(path) || @template.include?(path)
      end

      def read(path)
        @images[path] || @template.read(path)
      end
    end
  end
end
