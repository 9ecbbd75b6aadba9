# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Page layouts to what the model says of sheets, margins, heads, columns and labels (ISO/IEC 26300-1 16.5, 17.2).
      class PageLayouts
        SIDES = {margin_top: "fo:margin-top", margin_bottom: "fo:margin-bottom", margin_left: "fo:margin-left",
                 margin_right: "fo:margin-right"}.freeze
        EDGES = {header: :margin_top, footer: :margin_bottom}.freeze
        USAGES = Masters::STARTS.invert.freeze

        # reader: Reader, whose masters wear them
        def initialize(reader)
          @package = reader.package
          @masters = reader.masters
          @part = reader.masters.part
        end

        # Changes a master's layout from one set-up to another; one that other masters share is copied first.
        def set_up(master, now, was)
          body = @masters.following(master)
          if body.layout.nil? || @masters.all.values.count { |other| other.layout == body.layout } > 1
            body.layout = own(body, body.layout)
          end
          node = @masters.properties(body.layout) ||
            body.layout.prepend_child(@part.create("style:page-layout-properties"))
          sheet(node, was, now)
          margins(body, node, was, now)
          columns(node, now[:columns]) unless was[:columns] == now[:columns]
          labels(body, node, was, now)
        end

        # A layout for a master alone, like another or a new one.
        def own(master, like)
          taken = @part.children(layouts, "style:page-layout").map { |node| @part.attr(node, "style:name") }
          name = Names.free("Mpm1", taken)
          node = like ? like.dup : @part.create("style:page-layout")
          @part.set(node, "style:name", name)
          layouts.add_child(node)
          @part.set(master.node, "style:page-layout-name", name)
          node
        end

        private

        def labels(body, node, was, now)
          return unless now.key?(:number_format)
          unless was[:number_format] == now[:number_format]
            @part.set(node, "style:num-format", ListReader::FORMATS.key(now[:number_format]) || "1")
          end
          usage(body.layout, now) unless was.values_at(:starts, :mirrored) == now.values_at(:starts, :mirrored)
        end

        # What stands on one side alone is a first page, which has a master of its own.
        def usage(layout, now)
          word = now[:mirrored] ? "mirrored" : nil
          word ? @part.set(layout, "style:page-usage", word) : @part.unset(layout, "style:page-usage")
        end

        def layouts
          @package.section(@part, "office:automatic-styles")
        end

        def sheet(node, was, now)
          return if [was[:width], was[:height]] == [now[:width], now[:height]]
          @part.set(node, "fo:page-width", Codecs::Measure.text(now[:width]))
          @part.set(node, "fo:page-height", Codecs::Measure.text(now[:height]))
          @part.set(node, "style:print-orientation", (now[:width] > now[:height]) ? "landscape" : "portrait")
        end

        # A margin ends at the head or foot where there is one, and its room is the rest.
        def margins(master, node, was, now)
          names = SIDES.keys + EDGES.keys
          return if names.all? { |name| was[name] == now[name] } && EDGES.keys.all? { |kind| roomy?(master, kind) }
          Formatting.spread(node, @part)
          %i[margin_left margin_right].each { |name| @part.set(node, SIDES[name], Codecs::Measure.text(now[name])) }
          EDGES.each { |kind, margin| edge(master, node, kind, now[kind], now[margin]) }
        end

        # Is room told for a head or foot where there is one?
        def roomy?(master, kind)
          holder = master.layout && @part.child(master.layout, "style:#{kind}-style")
          master.heads.dig(kind, :default).nil? == (holder.nil? || holder.element_children.empty?)
        end

        def edge(master, node, kind, distance, margin)
          shown = master.heads.dig(kind, :default)
          distance = shown ? [distance, margin].min : margin
          @part.set(node, SIDES[EDGES[kind]], Codecs::Measure.text(distance))
          return unless shown
          holder = @part.child(master.layout, "style:#{kind}-style") ||
            master.layout.add_child(@part.create("style:#{kind}-style"))
          box = @part.place(holder, "style:header-footer-properties")
          name = @part.attr(box, "svg:height") ? "svg:height" : "fo:min-height"
          @part.set(box, name, Codecs::Measure.text((margin - distance).round(4)))
        end

        def columns(node, count)
          found = @part.child(node, "style:columns") ||
            node.prepend_child(@part.create("style:columns", "fo:column-gap" => "12pt"))
          @part.children(found, "style:column").each(&:remove)
          @part.set(found, "fo:column-count", count)
        end
      end
    end
  end
end
