# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Frames and shapes to images and boxes, and what they say of themselves (ISO/IEC 26300-1 10.4): svg:desc is
      # announced, svg:title is a short name.
      module Drawings
        IN_LINE = "as-char"

        module_function

        # The box with text in a drawing, nil when it is none.
        def box(node, part)
          return node if node.name == "text-box"
          part.child(node, "draw:text-box") || (node if shape_with_text?(node, part))
        end

        # Shapes hold paragraphs themselves.
        def shape_with_text?(node, part)
          node.name != "frame" && !part.children(node, "text:p", "text:h", "text:list").empty? &&
            !node.content.strip.empty?
        end

        # {width:, height:, floating:} of a frame, in points.
        def size(node, part)
          width, height = %w[svg:width svg:height].map do |name|
            text = part.attr(node, name) and Length.from_file(text, "pt")
          end
          {width:, height:, floating: part.attr(node, "text:anchor-type") != IN_LINE}
        end

        # A Document::Image. more: its formula and shape. The block says the path of the bytes of an image element, or
        # nil.
        def image(id, node, part, anchorage = nil, **more)
          said = described(node, part)
          picture = part.child(node, "draw:image")
          Document::Image.new(id:, description: said, path: picture && yield(picture), anchorage:, **more,
            **size(node, part))
        end

        # [left, top, right, bottom] of a clip, "rect(top, right, bottom, left)", as parts of an image; nil where
        # nothing is cut off, or it is not known how large the image is.
        def crop(clip, bytes)
          told = clip[/\Arect\(([^)]+)\)/, 1].to_s.split(/[\s,]+/).map { |text| Length.from_file(text, "pt") || 0.0 }
          width, height = Markup::ImageSize.points(bytes)
          return unless told.size == 4 && width&.positive? && height&.positive?
          top, right, bottom, left = told
          parts = [left / width, top / height, right / width, bottom / height].map { |part| part.clamp(0.0, 1.0) }
          parts.freeze if parts.any?(&:positive?) && parts[0] + parts[2] < 0.99 && parts[1] + parts[3] < 0.99
        end

        def described(node, part)
          %w[svg:desc svg:title].filter_map { |name|
            text = part.child(node, name)&.content.to_s.strip
            text unless text.empty?
          }.first
        end

        # Title and description stand after what the frame shows.
        def describe(node, part, text)
          found = part.child(node, "svg:desc")
          return found&.remove unless text
          found ||= (part.child(node, "svg:title") || node.element_children.last).then do |before|
            made = part.create("svg:desc")
            before ? before.add_next_sibling(made) : node.add_child(made)
            made
          end
          found.content = text
        end

        private_class_method :shape_with_text?, :described
      end
    end
  end
end
