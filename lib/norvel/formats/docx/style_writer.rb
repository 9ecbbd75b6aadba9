# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Brings the styles part to what the style sheet says: changed styles are patched, new ones added, gone ones
      # removed.
      class StyleWriter
        NOTHING = Styles::PropertySet::EMPTY
        EMPTY = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n<w:styles xmlns:w="#{Names::TRANSITIONAL}"/>)
          .freeze

        # +nodes+: the elements of the styles by their place in the file.
        def initialize(part, nodes)
          @part = part
          @nodes = nodes
        end

        # Writes what differs between two style sheets into the part.
        def write(was, now)
          defaults(was, now)
          (was.by_id.values - now.by_id.values).each { |style|
            @nodes[style.source].remove unless now[style.id] || style.source.nil?
          }
          now.by_id.each_value { |style| style(was[style.id], style) unless style == was[style.id] }
        end

        private

        def defaults(was, now)
          write_default("rPrDefault", "rPr", :run, was.run_defaults, now.run_defaults)
          write_default("pPrDefault", "pPr", :paragraph, was.paragraph_defaults, now.paragraph_defaults)
        end

        def write_default(holder, name, place, was, now)
          return if was == now
          Formatting.write(@part.place(@part.place(@part.root, "docDefaults"), holder), name, place, was, now, @part)
        end

        def style(was, now)
          node = was&.source ? @nodes[was.source] : added(now)
          value(node, "name", was&.name, now.name) { |name| Names.stored(name) }
          value(node, "basedOn", was&.based_on, now.based_on)
          value(node, "next", was&.next_id, now.next_id)
          value(node, "link", was&.link, now.link)
          value(node, "uiPriority", was&.priority, now.priority)
          unless (was&.hidden || false) == (now.hidden || false)
            now.hidden ? @part.place(node, "semiHidden") : @part.drop(node, "semiHidden")
          end
          Formatting.write(node, "pPr", :paragraph, was ? was.paragraph : NOTHING, now.paragraph, @part)
          Formatting.write(node, "rPr", :run, was ? was.run : NOTHING, now.run, @part)
        end

        def value(node, name, was, now)
          return if was == now
          return @part.drop(node, name) if now.nil?
          @part.set(@part.place(node, name), "val", block_given? ? yield(now) : now)
        end

        def added(style)
          node = @part.create("style", "type" => style.type)
          @part.set(node, "default", "1") if style.default
          @part.set(node, "customStyle", "1") if style.custom
          @part.set(node, "styleId", style.id)
          @part.root.add_child(node)
          @part.place(node, "qFormat")
          waking(style).each { |name, value| @part.set(@part.place(node, name), "val", value) }
          node
        end

        # What the list of built-in styles that the file does not define says of this one, now that it does (17.7.4.5).
        def waking(style)
          @latent ||= (list = @part.child(@part.root, "latentStyles")) ? @part.children(list, "lsdException") : []
          entry = @latent.find { |node| @part.attr(node, "name").to_s.casecmp?(Names.stored(style.name)) } or return {}
          {"uiPriority" => @part.attr(entry, "uiPriority"), "unhideWhenUsed" => @part.attr(entry, "unhideWhenUsed")}
            .compact
        end
      end
    end
  end
end
