# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Styles of an OpenDocument text that is taken in by another: a common style of a name that both have is that of
      # the first, the others are added; automatic ones are all added under names that nothing had before.
      class JoiningStyles
        # The families of what elements name by text:style-name and the like; nil stands for any.
        BY_ELEMENT = {
          "p" => "paragraph", "h" => "paragraph", "span" => "text", "a" => "text", "list" => "list", "table" => "table",
          "table-column" => "table-column", "table-row" => "table-row", "table-cell" => "table-cell",
          "covered-table-cell" => "table-cell", "section" => "section", "ruby" => "ruby",
          "index-title-template" => "paragraph", "index-source-style" => "paragraph",
          "table-of-content-entry-template" => "paragraph", "illustration-index-entry-template" => "paragraph",
          "table-index-entry-template" => "paragraph", "object-index-entry-template" => "paragraph",
          "user-index-entry-template" => "paragraph", "alphabetical-index-entry-template" => "paragraph",
          "bibliography-entry-template" => "paragraph"
        }.merge(%w[table-of-content illustration-index table-index object-index user-index alphabetical-index
          bibliography].to_h { |name| [name, "section"] }).freeze
        BY_ATTRIBUTE = {"list-style-name" => "list", "data-style-name" => "data", "text-style-name" => "paragraph",
                        "visited-style-name" => "text", "citation-style-name" => "text",
                        "default-cell-style-name" => "table-cell"}.freeze
        OWN = %w[parent-style-name next-style-name apply-style-name].freeze # of the family of the style that names it
        TYPES = {"paragraph" => "paragraph", "text" => "character"}.freeze
        UNNAMED = %w[default-style outline-style notes-configuration bibliography-configuration
          linenumbering-configuration].freeze

        # The elements to be added, with the names that they have here.
        attr_reader :automatic, :common

        # base, text: Readers
        def initialize(base, text)
          @base, @text = base, text
          @part = text.package.content
          @here = {common: named(base.package.styles, "office:styles"),
                   automatic: named(base.package.content, "office:automatic-styles")}
          @theirs = {common: named(text.package.styles, "office:styles"),
                     automatic: named(text.package.content, "office:automatic-styles")}
          @common_names = @theirs[:common].keys.to_h { |key| [key, common_name(*key)] }
          @names = @theirs[:automatic].keys.to_h { |key| [key, free(*key, @theirs[:automatic].keys)] }
          @automatic = @theirs[:automatic].map { |key, node| taken(node, @part, key, @names[key]) }
          @common = (@theirs[:common].keys - met).map do |key|
            taken(with_defaults(@theirs[:common][key]), text.package.styles, key, @common_names[key])
          end
        end

        # Gives what elements of the text name the names here.
        def rename(nodes)
          nodes.each { |node| node.xpath("descendant-or-self::*").each { |one| in_element(one, @part) } }
        end

        # An automatic style for this paragraph alone, like what it had.
        def of_its_own(node)
          name = @part.attr(node, "text:style-name")
          was = @automatic.find { |one| @part.attr(one, "style:name") == name && family(one) == "paragraph" }
          made = was ? was.dup : @part.create("style:style", "style:family" => "paragraph",
            "style:parent-style-name" => name)
          fresh = free("paragraph", "#{name}begin", @names.values.map { |one| ["paragraph", one] })
          @part.set(made, "style:name", fresh)
          @part.set(node, "text:style-name", fresh)
          @automatic << made
          made
        end

        private

        # {[family, name] => element} of the styles in a section.
        def named(part, section)
          holder = part&.child(part.root, section) or return {}
          holder.element_children.reject { |node| UNNAMED.include?(node.name) }
            .to_h { |node| [[family(node), part.attr(node, "style:name") || part.attr(node, "draw:name")], node] }
            .reject { |(_, name), _| name.nil? }
        end

        # Other drawings' styles (gradients, dashes) are a family by their element.
        def family(node)
          return node.attribute_nodes.find { |one| one.node_name == "family" }&.value if node.name == "style"
          return "list" if node.name == "list-style"
          (node.namespace.href == Names::SPACES["number"]) ? "data" : node.name
        end

        # Keys of common styles that are here already.
        def met
          @met ||= @theirs[:common].keys.select { |key| partner(*key) }
        end

        def common_name(family, name)
          partner(family, name) || free(family, name, [])
        end

        # The name of the style here that a style of the text is, by the name people see.
        def partner(family, name)
          return name if @here[:common].key?([family, name])
          type = TYPES[family] or return
          style = @text.styles.style_sheet[Names.id(name, type)] or return
          own = @base.styles.style_sheet.named(style.name, type) and Names.key(own.id)
        end

        # A name that no style here has, nor one that comes along.
        def free(family, name, coming)
          [name].chain((1..).lazy.map { |number| "#{name}j#{number}" }).find do |one|
            @here.none? { |_, styles| styles.key?([family, one]) } && !(@given ||= {})[[family, one]] &&
              (one == name || !coming.include?([family, one]))
          end.tap { |one| @given[[family, one]] = true }
        end

        def taken(node, part, key, name)
          copy = node.dup
          part.set(copy, part.attr(copy, "style:name") ? "style:name" : "draw:name", name)
          copy.xpath("descendant-or-self::*").each { |one| in_element(one, part, key.first) }
          copy
        end

        # What the text's file says of all text, its own root styles say here.
        def with_defaults(node)
          part = @text.package.styles
          return node if part.attr(node, "style:parent-style-name") || !TYPES.key?(family(node))
          default = named_default(part, family(node)) or return node
          copy = node.dup
          default.element_children.each do |said|
            own = part.place(copy, part.name(said) || next)
            part.attributes(said).each do |name, value|
              part.set(own, name, value) unless name.start_with?("{") || part.attr(own, name)
            end
          end
          copy
        end

        def named_default(part, family)
          part.children(part.child(part.root, "office:styles"), "style:default-style")
            .find { |node| part.attr(node, "style:family") == family }
        end

        def in_element(node, part, own = nil)
          node.attribute_nodes.each do |attribute|
            local = attribute.node_name
            if local == "class-names"
              attribute.value = attribute.value.split.map { |name| here("text", name) }.join(" ")
            elsif local.end_with?("style-name")
              family = OWN.include?(local) ? own : (BY_ATTRIBUTE[local] || by_element(node))
              attribute.value = here(family, attribute.value, common: local == "parent-style-name")
            end
          end
        end

        def by_element(node)
          return "graphic" if node.namespace&.href == Names::SPACES["draw"]
          BY_ELEMENT[node.name] || (node.name.start_with?("index-entry") ? "text" : nil)
        end

        # An automatic style is meant before a common one of its name.
        def here(family, name, common: false)
          keys = family ? [[family, name]] : @names.keys.select { |_, known| known == name }
          (common ? nil : keys.filter_map { |key| @names[key] }.first) || @common_names[[family, name]] || name
        end
      end
    end
  end
end
