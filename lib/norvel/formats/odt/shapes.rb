# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # What is drawn of a shape or around a frame with text, by its element and its style (ISO/IEC 26300-1 10.3,
      # 20.116 draw:fill, 20.167 draw:stroke, 20.175 fo:background-color, 20.176 fo:border).
      module Shapes
        KINDS = {"rect" => "rectangle", "ellipse" => "ellipse", "circle" => "ellipse", "line" => "line"}.freeze
        FORMS = {"rectangle" => "rectangle", "round-rectangle" => "rounded", "ellipse" => "ellipse",
                 "flowchart-process" => "rectangle", "flowchart-terminator" => "rounded",
                 "flowchart-connector" => "ellipse", "mso-spt202" => "rectangle",
                 "isosceles-triangle" => "triangle", "right-triangle" => "right_triangle", "diamond" => "diamond",
                 "flowchart-decision" => "diamond", "parallelogram" => "parallelogram", "hexagon" => "hexagon",
                 "pentagon-right" => "pentagon", "chevron" => "chevron", "right-arrow" => "right_arrow",
                 "left-arrow" => "left_arrow", "up-arrow" => "up_arrow", "down-arrow" => "down_arrow"}.freeze

        # {kind => the form of a shape of one's own}
        WRITTEN = {**FORMS.invert, "rectangle" => "rectangle", "rounded" => "round-rectangle", "ellipse" => "ellipse",
                   "diamond" => "diamond"}.freeze

        # The head of an arrow that lines name: a draw:marker of ISO/IEC 26300-1.
        ARROW = {"draw:name" => "Arrow", "svg:viewBox" => "0 0 20 20", "svg:d" => "M10 0 0 20h20z"}.freeze

        module_function

        # --- writing ---

        # What a graphic style says for a shape; frame: for one around text.
        def properties(shape, frame: false)
          weight = Codecs::Measure.text(shape.weight)
          if frame
            return {"fo:background-color" => shape.fill || "transparent",
                    "fo:border" => shape.line ? "#{weight} solid #{shape.line}" : "none"}
          end
          {"draw:fill" => shape.fill ? "solid" : "none", "draw:fill-color" => shape.fill,
           "draw:stroke" => shape.line ? "solid" : "none", "svg:stroke-color" => shape.line,
           "svg:stroke-width" => (weight if shape.line), **markers(shape)}
        end

        # Heads three times as wide as the line is thick, as they are drawn here.
        def markers(shape)
          (shape.heads || []).each_with_object({}) do |which, said|
            said["draw:marker-#{which}"] = ARROW["draw:name"]
            said["draw:marker-#{which}-width"] = Codecs::Measure.text(3 * [shape.weight, 1.0].max)
          end
        end

        # The element of a shape so wide and high, in points.
        def element(shape, part, width, height)
          width, height = [width, height].map { |points| Codecs::Measure.text(points) }
          if shape.kind == "line"
            from, to = shape.rises ? [height, "0cm"] : ["0cm", height]
            return part.create("draw:line", "svg:x1" => "0cm", "svg:y1" => from, "svg:x2" => width, "svg:y2" => to)
          end
          made = part.create("draw:custom-shape", "svg:width" => width, "svg:height" => height)
          made.add_child(part.create("draw:enhanced-geometry", "draw:type" => WRITTEN.fetch(shape.kind)))
          made
        end

        # --- reading ---

        # A Document::Shape, nil for none. said: what its graphic style says
        def read(node, part, said)
          kind = kind(node, part) or return
          made = Document::Shape.new(kind:, fill: (fill(node, said) unless kind == "line"), **line(node, said),
            **((kind == "line") ? course(node, part, said) : {}))
          made unless made.nothing?
        end

        def kind(node, part)
          return "rectangle" if node.name == "frame"
          return KINDS[node.name] unless node.name == "custom-shape"
          form = part.child(node, "draw:enhanced-geometry")
          FORMS[form && part.attr(form, "draw:type")]
        end

        # Frames have a ground as paragraphs have, shapes a fill.
        def fill(node, said)
          return Colour.hex(said["fo:background-color"].to_s) if node.name == "frame" && said["draw:fill"].nil?
          Colour.hex(said["draw:fill-color"].to_s) if said["draw:fill"] == "solid"
        end

        def line(node, said)
          return border(said) if node.name == "frame"
          return {line: nil} if said.fetch("draw:stroke", "none") == "none"
          width = said["svg:stroke-width"] && Length.from_file(said["svg:stroke-width"], "pt")
          {line: Colour.hex(said["svg:stroke-color"].to_s) || "#000000", weight: (width || 0.0).clamp(0.25, 200.0)}
        end

        # The line around a frame, where all sides have the same: "0.5pt solid #000000".
        def border(said)
          width, kind, colour = said["fo:border"].to_s.split
          return {line: nil} if kind.nil? || kind == "none"
          points = Length.from_file(width, "pt") || 0.75
          {line: Colour.hex(colour.to_s) || "#000000", weight: points.clamp(0.25, 200.0)}
        end

        # A line says where it begins and ends, and what it has there.
        def course(node, part, said)
          x1, y1, x2, y2 = %w[svg:x1 svg:y1 svg:x2 svg:y2].map { |name|
            Length.from_file(part.attr(node, name).to_s, "pt") || 0.0
          }
          ends = %w[start end].reject { |which| said["draw:marker-#{which}"].to_s.empty? }
          leftwards = ([x2, y2] <=> [x1, y1]).negative?
          {rises: (x2 - x1) * (y2 - y1) < 0, heads: Document::Shape.heads(*ends, leftwards:)}
        end

        private_class_method :markers, :kind, :fill, :line, :border, :course
      end
    end
  end
end
