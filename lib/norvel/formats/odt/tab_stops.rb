# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # style:tab-stops to the words of Styles::Types::TabStops and back: there positions count from the margin, in
      # twips (ISO/IEC 26300-1 17.8). A set of them replaces the one below whole.
      module TabStops
        LEADERS = {"dotted" => "dot", "dash" => "hyphen", "solid" => "underscore", "long-dash" => "hyphen",
                   "dot-dash" => "hyphen"}.freeze
        LEADER_TEXTS = {"." => "dot", "-" => "hyphen", "_" => "underscore", "·" => "middleDot"}.freeze
        TYPES = {"left" => "left", "center" => "center", "right" => "right", "char" => "decimal"}.freeze

        module_function

        # indent: points from the margin that positions are counted from
        def read(stops, part, indent)
          part.children(stops, "style:tab-stop").filter_map do |stop|
            points = Length.from_file(part.attr(stop, "style:position").to_s, "pt") or next
            place = Length.whole(points + indent, "twip").to_s
            leader = leader(part.attr(stop, "style:leader-style"), part.attr(stop, "style:leader-text"))
            [place.to_sym, {val: TYPES.fetch(part.attr(stop, "style:type") || "left", "left"), pos: place, leader:}
              .compact]
          end.to_h
        end

        def leader(style, text)
          return if style == "none"
          LEADER_TEXTS[text] || LEADERS[style]
        end

        # Under a properties element; nil takes them out.
        def write(node, part, tabs, indent)
          part.child(node, "style:tab-stops")&.remove
          return if tabs.nil?
          holder = node.prepend_child(part.create("style:tab-stops"))
          Styles::Types::TabStops.new.effective(tabs).each_value do |stop|
            holder.add_child(part.create("style:tab-stop", attributes(stop, indent)))
          end
        end

        def attributes(stop, indent)
          points = (Length.from_file(stop[:pos].to_s, "twip") || 0.0) - indent
          type = TYPES.key(Styles::Types::TabStops::ALIGNMENTS[stop[:val]].to_s.sub("centred", "center")) || "left"
          {
            "style:position" => Codecs::Measure.text(points), "style:type" => (type unless type == "left"),
            "style:char" => ("." if type == "char"),
            "style:leader-style" => stop[:leader] && (LEADERS.key(stop[:leader]) || "dotted"),
            "style:leader-text" => LEADER_TEXTS.key(stop[:leader])
          }
        end
      end
    end
  end
end
