# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Brings the common styles to what the style sheet says: changed styles are patched, new ones added, gone ones
      # removed (ISO/IEC 26300-1 16.2).
      class StyleWriter
        NOTHING = Styles::PropertySet::EMPTY
        FAMILIES = {"paragraph" => "paragraph", "character" => "text"}.freeze

        # nodes: the elements of the styles by their place in the file; numbered: ->(style) { the name of the list style
        # it is bound to, "" for none, nil where it says nothing }
        def initialize(part, holder, nodes, keys, &numbered)
          @part = part
          @holder = holder
          @nodes = nodes
          @keys = keys
          @numbered = numbered
        end

        # was, now: StyleSheets
        def write(was, now)
          @was, @now = was, now
          defaults
          words = ->(sheet) { sheet.by_id.values.select { |style| FAMILIES.key?(style.type) } }
          words[was].each { |style| @nodes[style.source].remove unless now[style.id] || style.source.nil? }
          words[now].each { |style| style(was[style.id], style) unless same?(was[style.id], style) }
        end

        private

        # Tab stops of a style are counted from an indent that may be its base's.
        def same?(was, now)
          was == now && (!now.paragraph.key?(:tabs) || indents(now.id).uniq.size == 1)
        end

        def indents(id)
          [Indents.of(@was, id), Indents.of(@now, id)]
        end

        def defaults
          places = %i[paragraph run].reject { |place| @was.defaults(place) == @now.defaults(place) }
          places.each do |place|
            Formatting.write(default_style, place, @was.defaults(place), @now.defaults(place), @part)
          end
        end

        def default_style
          @part.children(@holder, "style:default-style")
            .find { |node| @part.attr(node, "style:family") == "paragraph" } ||
            @holder.prepend_child(@part.create("style:default-style", "style:family" => "paragraph"))
        end

        def style(was, now)
          node = was&.source ? @nodes[was.source] : added(now)
          say(node, "style:display-name", was&.name, now.name) unless was.nil? && now.name == @keys[now.id]
          say(node, "style:parent-style-name", @keys[was&.based_on], @keys[now.based_on])
          say(node, "style:next-style-name", @keys[was&.next_id], @keys[now.next_id])
          lists(node, was, now) if now.paragraph?
          Formatting.write(node, :paragraph, was ? was.paragraph : NOTHING, now.paragraph, @part,
            indents: indents(now.id))
          Formatting.write(node, :run, was ? was.run : NOTHING, now.run, @part)
        end

        def lists(node, was, now)
          level = ->(style) { style&.paragraph&.[](:outline_level).then { |one| one if one&.positive? } }
          say(node, "style:default-outline-level", level[was], level[now])
          list = ->(style) { style&.paragraph&.slice(:list_id, :list_level) }
          say(node, "style:list-style-name", nil, @numbered.call(now), anyway: true) unless list[was] == list[now]
        end

        def say(node, name, was, now, anyway: false)
          return if was == now && !anyway
          now.nil? ? @part.unset(node, name) : @part.set(node, name, now)
        end

        def added(style)
          node = @part.create("style:style", "style:name" => @keys[style.id],
            "style:family" => FAMILIES.fetch(style.type))
          last = @part.children(@holder, "style:style").last
          last ? last.add_next_sibling(node) : @holder.add_child(node)
          node
        end
      end
    end
  end
end
