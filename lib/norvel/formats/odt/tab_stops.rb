# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # style:tab-stops to Styles::TabStop and back, whose places count from the margin (ISO/IEC 26300-1 17.8). A set of
      # them replaces the one below whole.
      module TabStops
        LEADERS = {"dotted" => "dots", "dash" => "dashes", "solid" => "a line", "long-dash" => "dashes",
                   "dot-dash" => "dashes"}.freeze
        LEADER_TEXTS = {"." => "dots", "-" => "dashes", "_" => "a line", "·" => "middle dots"}.freeze
        TYPES = {"left" => "left", "center" => "centred", "right" => "right", "char" => "decimal"}.freeze

        module_function

        # indent: points from the margin that positions are counted from
        def read(stops, part, indent)
          part.children(stops, "style:tab-stop").filter_map do |stop|
            points = Length.from_file(part.attr(stop, "style:position").to_s, "pt") or next
            place = Styles::Types::TabStops.place(points + indent)
            leader = leader(part.attr(stop, "style:leader-style"), part.attr(stop, "style:leader-text"))
            align = TYPES.fetch(part.attr(stop, "style:type") || "left", "left")
            [place, Styles::TabStop.new(place:, align:, leader:)]
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
          type = TYPES.key(stop.align) || "left"
          {
            "style:position" => Codecs::Measure.text(stop.place - indent), "style:type" => (type unless type == "left"),
            "style:char" => ("." if type == "char"),
            "style:leader-style" => stop.leader && (LEADERS.key(stop.leader) || "dotted"),
            "style:leader-text" => LEADER_TEXTS.key(stop.leader)
          }
        end

        private_class_method :leader, :attributes
      end
    end
  end
end
