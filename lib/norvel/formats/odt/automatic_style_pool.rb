# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The automatic styles of a part, for a writer. They are shared by whatever is set alike, so none is ever changed:
      # one with the wanted properties is looked for, and made when there is none (ISO/IEC 26300-1 3.15.3).
      class AutomaticStylePool
        STEMS = {"paragraph" => "P", "text" => "T", "table" => "Table", "table-column" => "Column",
                 "table-row" => "Row", "table-cell" => "Cell", "graphic" => "Frame"}.freeze
        PLAIN = %w[style:name style:family style:parent-style-name].freeze
        NOTHING = Styles::PropertySet::EMPTY

        # package: whose pools may be one
        def initialize(part, package)
          @part = part
          @holder = package.section(part, "office:automatic-styles")
          @names = Hash.new { |all, family| all[family] = names(family) }
          @texts = {}
        end

        # The name of a style of letters with these properties over a style of words (its key, or nil); nil where none
        # is needed.
        def text(parent, set)
          return parent if set.empty?
          @texts[[parent, set]] ||= begin
            node = @part.create("style:style", "style:family" => "text", "style:parent-style-name" => parent)
            Formatting.write(node, :run, NOTHING, set, @part)
            kept(node, "text", parent)
          end
        end

        # The name for a paragraph that had +node+ (an automatic style's element, or nil) and now is in the style
        # +parent+: the block changes what it sets. Nil where neither is needed.
        def paragraph(node, parent)
          made = node ? node.dup : @part.create("style:style", "style:family" => "paragraph")
          @part.unset(made, "style:name")
          parent ? @part.set(made, "style:parent-style-name", parent) : @part.unset(made, "style:parent-style-name")
          yield made
          kept(made, "paragraph", parent)
        end

        # A style of another family (table, cell, column …) with these properties; nil where there are none.
        def other(family, properties)
          properties = properties.compact
          return if properties.empty?
          node = @part.create("style:style", "style:family" => family)
          node.add_child(@part.create("style:#{family}-properties", properties))
          kept(node, family, nil)
        end

        DROPPED = %w[paragraph text].freeze # families of which nothing stays that nobody wears any more

        # The names of automatic styles that the part's content is in: {name => true}
        def used
          names = styles.map { |node| @part.attr(node, "style:name") }.to_h { |name| [name, false] }
          @part.root.xpath("//@*[contains(local-name(), 'style-name') or local-name() = 'class-names']").each do |value|
            value.content.split.each { |name| names[name] = true if names.key?(name) }
          end
          names.select { |_, worn| worn }
        end

        # Takes out styles that were worn before and are not any more.
        def drop_unused(before)
          still = used
          styles.each do |node|
            name = @part.attr(node, "style:name")
            node.remove if before[name] && !still[name] && DROPPED.include?(@part.attr(node, "style:family"))
          end
        end

        # The element of a style by its name, or nil.
        def node(name, family)
          styles.find { |one| @part.attr(one, "style:name") == name && @part.attr(one, "style:family") == family }
        end

        private

        def kept(node, family, parent)
          @part.children(node, *PropertyTable::ELEMENTS.values).each do |one|
            one.remove if one.attribute_nodes.all? { |value| trace?(value) } && one.element_children.empty?
          end
          return parent if (@part.attributes(node).keys - PLAIN).empty? && node.element_children.empty?
          known[signature(node)] ||= add(node, family)
        end

        # When something was typed, as some writers note: it sets nothing.
        def trace?(attribute)
          attribute.node_name.end_with?("rsid")
        end

        def add(node, family)
          name = (1..).lazy.map { |number| "#{STEMS[family]}#{number}" }.find { |one| !@names[family].key?(one) }
          @names[family][name] = true
          @part.set(node, "style:name", name)
          @holder.add_child(node)
          name
        end

        def known
          @known ||= styles.each_with_object({}) do |node, found|
            found[signature(node)] ||= @part.attr(node, "style:name") if STEMS.key?(@part.attr(node, "style:family"))
          end
        end

        # What a style says but for its name.
        def signature(node)
          own = @part.attributes(node).except("style:name").sort
          [own, node.element_children.map { |child| content(child) }]
        end

        def content(node)
          [@part.name(node), @part.attributes(node).sort, node.element_children.map { |child| content(child) }]
        end

        def styles
          @part.children(@holder, "style:style")
        end

        def names(family)
          styles.select { |node| @part.attr(node, "style:family") == family }
            .to_h { |node| [@part.attr(node, "style:name"), true] }
        end
      end
    end
  end
end
