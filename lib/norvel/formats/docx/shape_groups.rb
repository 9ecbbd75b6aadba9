# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Shapes that stand together in a group or on a canvas (ISO/IEC 29500-1 20.1.2.2.20, 20.1.7.5), as one
      # Document::Shape with parts; none where one of them can't be drawn.
      module ShapeGroups
        HOLDERS = %w[wgp wpc].map { |name| "local-name()='#{name}'" }.join(" or ").freeze
        MEMBERS = %w[wsp grpSp pic graphicFrame contentPart].freeze
        MOST = 400 # shapes
        # What children are measured in: from its left top, so wide and high.
        Space = Struct.new(:x, :y, :width, :height) do
          # A place in it as shares of the whole: [left, top, width, height].
          def shares(x, y, width, height)
            [(x - self.x) / self.width, (y - self.y) / self.height, width / self.width, height / self.height]
          end
        end

        module_function

        # The element that holds the members of a drawing, nil for none.
        def holder(node)
          node.at_xpath(".//*[#{HOLDERS}][not(ancestor::*[local-name()='Fallback'])]")
        end

        # A Document::Shape of a holder, nil for none. The block makes one of a shape's element.
        def read(holder, &)
          parts = members(holder, space(holder), &)
          Document::Shape.new(kind: "group", parts: parts.freeze) if parts&.any? && parts.size <= MOST
        end

        # [[Shape, left, top, width, height], …], nil where one can't be drawn.
        def members(holder, space, &)
          return unless space
          held = holder.element_children.select { |child| MEMBERS.include?(child.name) }
          found = held.map { |child| member(child, space, &) }
          found.flatten(1) if found.all?
        end

        def member(child, space, &shape)
          place = place(child, (child.name == "grpSp") ? "grpSpPr" : "spPr", "off", "ext") or return
          shares = space.shares(*place)
          return members(child, space(child), &shape)&.map { |part| within(shares, *part) } if child.name == "grpSp"
          made = shape.call(child) if child.name == "wsp"
          made && [[made, *shares]]
        end

        # A part of a group within the group around it.
        def within(around, shape, left, top, width, height)
          x, y, wide, tall = around
          [shape, x + (left * wide), y + (top * tall), width * wide, height * tall]
        end

        def space(holder)
          place = (holder.name == "wpc") ? canvas(holder) : place(holder, "grpSpPr", "chOff", "chExt")
          Space.new(*place) if place && place[2].positive? && place[3].positive?
        end

        def canvas(holder)
          extent = holder.ancestors.lazy.filter_map { |above| below(above, "extent") }.first
          extent && [0.0, 0.0, extent["cx"].to_f, extent["cy"].to_f]
        end

        # [x, y, width, height] as a transformation says it; nil where it turns.
        def place(node, holder, from, size)
          set = below(node, holder)
          frame = set && below(set, "xfrm")
          return if frame.nil? || frame["rot"].to_i != 0
          at, extent = below(frame, from), below(frame, size)
          at && extent && [at["x"].to_f, at["y"].to_f, extent["cx"].to_f, extent["cy"].to_f]
        end

        def below(node, name)
          node.element_children.find { |child| child.name == name }
        end

        private_class_method :members, :member, :within, :space, :canvas, :place, :below
      end
    end
  end
end
