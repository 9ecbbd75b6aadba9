# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Where drawings stand that hang at an anchor (ISO/IEC 29500-1 20.4.2.3, 20.4.2.10, 20.4.2.11), and older shapes
      # by their style (29500-4 19.1.2.19).
      module Anchors
        WRAPS = {"wrapNone" => "none", "wrapSquare" => "beside", "wrapTight" => "beside", "wrapThrough" => "beside",
                 "wrapTopAndBottom" => "apart"}.freeze
        OLDER = {"square" => "beside", "tight" => "beside", "through" => "beside", "topAndBottom" => "apart"}.freeze
        ACROSS = {"page" => "page", "leftMargin" => "page", "insideMargin" => "page", "margin" => "margin"}.freeze
        DOWN = {"page" => "page", "topMargin" => "page", "margin" => "margin"}.freeze
        SIDES = {"inside" => "left", "outside" => "right"}.freeze
        ENDS = {"inside" => "top", "outside" => "bottom"}.freeze

        module_function

        # A Document::Anchorage, nil for what stands in its line or says nothing.
        def read(node)
          anchor = node.at_xpath(".//*[local-name()='anchor']")
          return of_anchor(anchor) if anchor
          style = node.at_xpath(".//*[#{Pictures::SHAPES}]")&.[]("style").to_s
          older(style, node) if style.include?("position:absolute")
        end

        def of_anchor(anchor)
          wrap = anchor.element_children.find { |child| WRAPS.key?(child.name) }
          edges = %w[distL distT distR distB].map { |name| [points(anchor[name] || wrap&.[](name)), 0.0].max }
          across, down = simple(anchor) || [place(anchor, "positionH", ACROSS, SIDES) || ["column", 0.0],
            place(anchor, "positionV", DOWN, ENDS) || ["paragraph", 0.0]]
          Document::Anchorage.new(wrap: WRAPS.fetch(wrap&.name, "apart"), across: across.freeze, down: down.freeze,
            edges: edges.freeze)
        end

        # From the corner of the page (20.4.2.13).
        def simple(anchor)
          return unless on?(anchor["simplePos"])
          at = anchor.at_xpath("./*[local-name()='simplePos']")
          [["page", points(at["x"])], ["page", points(at["y"])]] if at
        end

        def points(text)
          Document::Anchorage.points(text.to_f / Pictures::EMU)
        end

        def on?(value)
          XmlPart::TRUE_WORDS.compact.include?(value)
        end

        def place(anchor, name, from, sides)
          position = anchor.at_xpath("./*[local-name()='#{name}']") or return
          said = position.element_children.find { |child| %w[align posOffset].include?(child.name) } or return
          base = from.fetch(position["relativeFrom"].to_s, (name == "positionH") ? "column" : "paragraph")
          return [base, points(said.content)] if said.name == "posOffset"
          [base, sides.fetch(said.content.strip, said.content.strip)]
        end

        def older(style, node)
          said = style.scan(/([\w-]+)\s*:\s*([^;]+)/).to_h { |name, value| [name, value.strip] }
          wrap = node.at_xpath(".//*[local-name()='wrap']")&.[]("type")
          across = [ACROSS.fetch(said["mso-position-horizontal-relative"], "column"), along(said, "horizontal", "left")]
          down = [DOWN.fetch(said["mso-position-vertical-relative"], "paragraph"), along(said, "vertical", "top")]
          Document::Anchorage.new(wrap: OLDER.fetch(wrap.to_s, "none"), across: across.freeze, down: down.freeze)
        end

        def along(said, way, margin)
          aligned = said["mso-position-#{way}"]
          return aligned if %w[left center right top bottom].include?(aligned)
          Document::Anchorage.points(Length.from_file(said["margin-#{margin}"].to_s, "pt") || 0.0)
        end

        private_class_method :of_anchor, :simple, :points, :on?, :place, :older, :along
      end
    end
  end
end
