# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Where frames stand that hang at an anchor (ISO/IEC 26300-1 19.759 text:anchor-type, 20.389 style:wrap, 20.295
      # style:horizontal-pos, 20.387 style:vertical-pos): by their graphic style and its parents.
      class Anchors
        WRAPS = {"none" => "apart", "run-through" => "none", "left" => "beside", "right" => "beside",
                 "parallel" => "beside", "dynamic" => "beside", "biggest" => "beside"}.freeze
        ACROSS = {"page" => "page", "page-content" => "margin", "page-start-margin" => "page"}.freeze
        DOWN = {"page" => "page", "page-content" => "margin"}.freeze
        EDGES = %w[fo:margin-left fo:margin-top fo:margin-right fo:margin-bottom].freeze
        DEEPEST = 20 # parents of a style

        # package: Package
        def initialize(package)
          @package = package
          @known = {}
        end

        # A Document::Anchorage, nil for what stands in its line.
        def read(node, part)
          return if part.attr(node, "text:anchor-type") == Drawings::IN_LINE
          said = said(node, part)
          Document::Anchorage.new(wrap: WRAPS.fetch(said["style:wrap"], "apart"),
            across: across(node, part, said).freeze, down: down(node, part, said).freeze,
            edges: EDGES.map { |name| length(said[name]) }.freeze)
        end

        # What the graphic style of a frame or shape says: {"draw:fill" => "solid", …}
        def said(node, part)
          properties(part.attr(node, "draw:style-name"), part)
        end

        private

        def across(node, part, said)
          side = said["style:horizontal-pos"]
          side = {"inside" => "left", "outside" => "right"}.fetch(side, side)
          from = ACROSS.fetch(said["style:horizontal-rel"], "column")
          [from, %w[left center right].include?(side) ? side : length(part.attr(node, "svg:x"))]
        end

        def down(node, part, said)
          place = said["style:vertical-pos"].to_s.sub("middle", "center")
          from = DOWN.fetch(said["style:vertical-rel"], "paragraph")
          from = "page" if part.attr(node, "text:anchor-type") == "page"
          [from, %w[top center bottom].include?(place) ? place : length(part.attr(node, "svg:y"))]
        end

        def length(text)
          Document::Anchorage.points((text && Length.from_file(text, "pt")) || 0.0)
        end

        # What a graphic style says, with its parents: {"style:wrap" => "none", …}
        def properties(name, part)
          @known[[name, part.path]] ||= chain(name, part).reverse.inject({}) do |said, (node, own)|
            values = own.child(node, "style:graphic-properties")
            values ? said.merge(own.attributes(values)) : said
          end
        end

        # [[element, its part], …] from a style to its last parent.
        def chain(name, part)
          found = []
          while name && found.size < DEEPEST && (one = style(name, part, found.empty?))
            found << one
            name = one[1].attr(one[0], "style:parent-style-name")
          end
          found
        end

        def style(name, part, own)
          places = [([part, "office:automatic-styles"] if own), [@package.styles, "office:styles"]].compact
          places.each do |where, section|
            node = where && named(where, section)[name] and return [node, where]
          end
          nil
        end

        def named(part, section)
          (@named ||= {})[[part.path, section]] ||= part.children(part.child(part.root, section), "style:style")
            .select { |node| part.attr(node, "style:family") == "graphic" }
            .to_h { |node| [part.attr(node, "style:name"), node] }
        end
      end
    end
  end
end
