# frozen_string_literal: true

module Norvel
  module Formats
    # Where the images of a dressed text are: those that came with it, and those of the template.
    class ImageSource
      def initialize(images, template)
        @images = images
        @template = template
      end

      # Is there an image or a part of this path?
      def include?(path)
        @images.key?(path) || @template.include?(path)
      end

      # The bytes of a path, nil for none.
      def read(path)
        @images[path] || @template.read(path)
      end
    end
  end
end
