# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # What is drawn of a shape or around a box: of a drawing (ISO/IEC 29500-1 20.1.2, 20.1.4.1) or of the older kind
      # (ISO/IEC 29500-4 19.1). Forms that have no name here are none.
      module Shapes
        KINDS = {"rect" => "rectangle", "ellipse" => "ellipse", "line" => "line", "straightConnector1" => "line",
                 "roundRect" => "rounded", "flowChartProcess" => "rectangle", "flowChartTerminator" => "rounded",
                 "flowChartAlternateProcess" => "rounded", "flowChartConnector" => "ellipse",
                 "triangle" => "triangle", "rtTriangle" => "right_triangle", "diamond" => "diamond",
                 "flowChartDecision" => "diamond", "parallelogram" => "parallelogram",
                 "flowChartInputOutput" => "parallelogram", "hexagon" => "hexagon",
                 "flowChartPreparation" => "hexagon", "homePlate" => "pentagon", "chevron" => "chevron",
                 "rightArrow" => "right_arrow", "leftArrow" => "left_arrow", "upArrow" => "up_arrow",
                 "downArrow" => "down_arrow"}.freeze
        HEADS = {"headEnd" => "start", "tailEnd" => "end"}.freeze # of a line (20.1.8.38, 20.1.8.57)
        OLDER = {"rect" => "rectangle", "oval" => "ellipse", "roundrect" => "rounded", "line" => "line"}.freeze
        NAMES = {"tx1" => "text1", "tx2" => "text2", "bg1" => "background1", "bg2" => "background2", "dk1" => "dark1",
                 "lt1" => "light1", "dk2" => "dark2", "lt2" => "light2"}.freeze
        OFF = %w[f false 0].freeze
        EMU = Pictures::EMU

        module_function

        # A Document::Shape, nil for none. text: does a box of text stand in it, which has a form of its own at least?
        def read(node, theme, text: false)
          found = node.xpath(".//*[local-name()='wsp'][not(ancestor::*[local-name()='Fallback'])]")
          return older(node, text) if found.empty?
          group = ShapeGroups.holder(node)
          return (ShapeGroups.read(group) { |shape| drawn(shape, theme, false) } unless text) if group
          drawn(found.first, theme, text) if found.size == 1
        end

        # The elements that say a shape's fill and line.
        def look(shape)
          heads = HEADS.filter_map { |name, which| %(<a:#{name} type="triangle"/>) if shape.heads&.include?(which) }
          line = "<a:ln w=\"#{Length.whole(shape.weight, "emu")}\">#{filled(shape.line)}#{heads.join}</a:ln>"
          "#{filled(shape.fill) unless shape.kind == "line"}#{line}"
        end

        def filled(colour)
          return "<a:noFill/>" unless colour
          %(<a:solidFill><a:srgbClr val="#{colour.delete("#").upcase}"/></a:solidFill>)
        end

        # --- drawings ---

        def drawn(shape, theme, text)
          set = below(shape, "spPr") or return
          form = below(set, "prstGeom")
          kind = KINDS[form&.[]("prst")] || ("rectangle" if text) or return
          line = below(set, "ln")
          frame = below(set, "xfrm")
          return if Document::Shape::POLYGONS.key?(kind) && (adjusted?(form) || flipped?(frame))
          Document::Shape.new(kind:, fill: (fill(shape, set, theme) unless kind == "line"),
            line: line_colour(shape, line, theme), weight: weight(line), heads: (heads(line, frame) if kind == "line"),
            rises: (frame&.[]("flipV") == "1") ^ (frame&.[]("flipH") == "1"))
        end

        # Were the corners of a preset form moved?
        def adjusted?(form)
          !below(form, "avLst")&.first_element_child.nil?
        end

        def flipped?(frame)
          %w[flipH flipV].any? { |name| frame&.[](name) == "1" }
        end

        # Where the frame is flipped across, a line goes from right to left.
        def heads(line, frame)
          found = HEADS.select { |name, _| line && !["none", nil].include?(below(line, name)&.[]("type")) }.values
          Document::Shape.heads(*found, leftwards: frame&.[]("flipH") == "1")
        end

        def below(node, name)
          node.element_children.find { |child| child.name == name }
        end

        def fill(shape, set, theme)
          return if below(set, "noFill")
          solid = below(set, "solidFill")
          solid ? colour(solid, theme) : by_style(shape, "fillRef", theme)
        end

        def line_colour(shape, line, theme)
          return if line && below(line, "noFill")
          solid = line && below(line, "solidFill")
          solid ? colour(solid, theme) : by_style(shape, "lnRef", theme)
        end

        # What a shape says by its style alone: the colour beside a number that is not 0.
        def by_style(shape, name, theme)
          said = below(shape, "style")&.then { |style| below(style, name) }
          colour(said, theme) if said && said["idx"].to_i.positive?
        end

        def weight(line)
          (line && line["w"]) ? (line["w"].to_f / EMU).clamp(0.0, 200.0) : 0.75
        end

        # The colour in an element, lighter or darker where that is said (20.1.2.3.20, 20.1.2.3.21).
        def colour(holder, theme)
          said = holder.first_element_child or return
          base = case said.name
          when "srgbClr" then Colour.hex(said["val"])
          when "sysClr" then Colour.hex(said["lastClr"])
          when "schemeClr" then theme.colour(nil, NAMES.fetch(said["val"], said["val"]))
          end
          base && shaded(base, said)
        end

        def shaded(base, said)
          share, more = %w[lumMod lumOff].map { |name| below(said, name)&.[]("val") }
          return base unless share || more
          hue, saturation, light = Colour.hsl(base)
          light = (light * (share || 100_000).to_f / 100_000) + (more.to_f / 100_000)
          Colour.from_hsl(hue, saturation, light.clamp(0.0, 1.0))
        end

        # --- the older kind ---

        def older(node, text)
          shape = node.at_xpath(".//*[#{OLDER.keys.map { |name| "local-name()='#{name}'" }.join(" or ")}]")
          shape ||= node.at_xpath(".//*[local-name()='shape']") if text
          return unless shape
          kind = OLDER.fetch(shape.name, "rectangle")
          Document::Shape.new(kind:, fill: (older_colour(shape, "fill", "#ffffff") unless kind == "line"),
            line: older_colour(shape, "stroke", "#000000"), weight: older_weight(shape["strokeweight"]))
        end

        def older_colour(shape, name, usual)
          switch = (name == "fill") ? "filled" : "stroked"
          return if OFF.include?(shape[switch])
          said = shape["#{name}color"].to_s[/\A\S+/]
          said ? Colour.hex(said) || Colour.named(said) || usual : usual
        end

        def older_weight(said)
          points = said && Length.from_file(said, "pt")
          points ? points.clamp(0.0, 200.0) : 0.75
        end

        private_class_method :filled, :drawn, :adjusted?, :flipped?, :heads, :below, :fill, :line_colour, :by_style,
          :weight, :colour, :shaded, :older, :older_colour, :older_weight
      end
    end
  end
end
