# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The list styles of a document that is written: which definition of the numbering stands where, under which name,
      # and which one numbers the headings.
      class ListDefinitions
        STEM = "L"

        def initialize(document, original, reader, keys)
          @document = document
          @original = original
          @reader = reader
          @package = reader.package
          @keys = keys
          @nodes = reader.lists.nodes.dup
          @names = {}
          @touched = []
        end

        # The parts that were changed.
        attr_reader :touched

        # Changed definitions are patched; that of the headings stands where headings are numbered from; list styles
        # that people named are there whether or not a text uses them.
        def write
          changed = @document.numbering.definitions.reject { |id, now| @original.numbering.definitions[id] == now }
          changed.each do |id, now|
            came = @original.numbering.definitions[id]
            if id == heading_definition then number_headings(now)
            elsif came then patch(id, came, now)
            elsif @document.styles[now.style_id]&.type == "numbering" then name(id, @package.styles)
            end
          end
          unnumber_headings if numbered_before? && heading_definition.nil?
          list_styles
        end

        # The name of a definition's list style for lists of a part; a new one is made there.
        def name(id, part)
          return if id == ListReader::BARE
          own, node = @nodes[id]
          return own.attr(node, "style:name") if node && node.name == "list-style"
          @names[[id, part]] ||= make(id, part)
        end

        # The name for a list, whose levels may differ from those of its definition.
        def name_of(list, part)
          return name(list.definition_id, part) if list.overrides.empty?
          @varied ||= {}
          @varied[[list.definition_id, list.overrides]] ||= begin
            levels = @document.numbering.definitions.fetch(list.definition_id).levels.merge(list.overrides)
            add(part, Document::Numbering::Definition.new(levels, nil))
          end
        end

        # The level of a list.
        def level(list, number)
          list.overrides[number] || @document.numbering.definitions[list.definition_id]&.levels&.[](number)
        end

        # The same of a list style in a part.
        def level_of_style(name, number, part)
          pool = part.equal?(@package.content) ? "content" : "styles"
          id = @reader.lists.definition(name, pool) || @made&.[]([name, part])
          definition = id.is_a?(String) ? @document.numbering.definitions[id] : id
          definition&.levels&.[](number)
        end

        # Are headings of this level numbered in a document, the one that came or the one that is written?
        def numbered?(document, level)
          id = document.equal?(@original) ? ListReader::OUTLINE : heading_definition
          found = document.numbering.definitions[id]&.levels&.[](level - 1)
          !found.nil? && (found.format != "none" || !found.text.empty?)
        end

        # Is it the definition that headings of a document are numbered by?
        def headings?(document, id)
          id == ListReader::OUTLINE || (id == heading_definition && !document.equal?(@original))
        end

        # What a paragraph style says of its list style.
        def of_style(style)
          return unless style.paragraph.key?(:list_id)
          id = style.paragraph[:list_id]
          return "" if id.zero?
          definition = @document.numbering.list(id)&.definition_id
          return if definition.nil? || definition == heading_definition || definition == ListReader::OUTLINE
          common_name(definition)
        end

        private

        # A common style can only name a common list style.
        def common_name(id)
          own, node = @nodes[id]
          return own.attr(node, "style:name") if node && node.parent.name == "styles"
          definition = @document.numbering.definitions.fetch(id)
          style = definition.style_id && @document.styles[definition.style_id]
          add_common(id, style&.name || free_shown, definition)
        end

        # The definition that headings are numbered by: one level of it is bound to each of their styles.
        def heading_definition
          return @heading_definition if defined?(@heading_definition)
          @heading_definition = headings.filter_map { |style|
            id = @document.numbering.list(style.paragraph[:list_id])&.definition_id
            id if id == ListReader::OUTLINE || bound?(id, style)
          }.first
        end

        def bound?(id, style)
          level = @document.numbering.definitions[id]&.levels&.[](style.paragraph[:outline_level] - 1)
          level && level.style_id == style.id
        end

        def headings
          @document.styles.by_id.values.select do |style|
            style.paragraph? && style.paragraph[:outline_level]&.positive? && style.paragraph[:list_id]&.positive?
          end
        end

        def numbered_before?
          @original.numbering.definitions.key?(ListReader::OUTLINE)
        end

        def number_headings(definition)
          part = @package.styles
          holder = @package.section(part, "office:styles")
          node = part.child(holder, "text:outline-style") ||
            holder.add_child(part.create("text:outline-style", "style:name" => "Outline"))
          ListWriter.new.write(part, node, @original.numbering.definitions[ListReader::OUTLINE], definition)
          @touched << part
        end

        # Headings that are not numbered any more.
        def unnumber_headings
          part, node = @nodes[ListReader::OUTLINE]
          node.element_children.each do |level|
            part.set(level, "style:num-format", "")
            part.unset(level, "style:num-prefix", "style:num-suffix", "text:display-levels")
          end
          @touched << part
        end

        # Renamed ones, and those that are gone.
        def list_styles
          @original.styles.by_id.each_value.select { |style| style.type == "numbering" }.each do |style|
            now = @document.styles[style.id]
            next if now == style
            part, node = @nodes["common:#{Names.key(style.id)}"]
            now ? part.set(node, "style:display-name", now.name) : node.remove
            @touched << part
          end
        end

        def patch(id, came, now)
          part, node = @nodes[id]
          return unless node
          ListWriter.new.write(part, node, came, now)
          @touched << part
        end

        # A list style that people named stands among the common ones, others are automatic.
        def make(id, part)
          definition = @document.numbering.definitions.fetch(id)
          style = definition.style_id && @document.styles[definition.style_id]
          style ? add_common(id, style.name, definition) : add(part, definition)
        end

        def add_common(id, shown, definition)
          part, holder = common
          name = Names.encoded(shown)
          node = part.create("text:list-style", "style:name" => name,
            "style:display-name" => (shown unless shown == name))
          @nodes[id] = [part, fill(part, holder, node, definition)]
          (@made ||= {})[[name, @package.content]] = definition
          name
        end

        def add(part, definition)
          holder = @package.section(part, "office:automatic-styles")
          name = free_name(part, holder)
          fill(part, holder, part.create("text:list-style", "style:name" => name), definition)
          (@made ||= {})[[name, part]] = definition
          name
        end

        def fill(part, holder, node, definition)
          holder.add_child(node)
          ListWriter.new.write(part, node, nil, definition)
          @touched << part
          node
        end

        def free_shown
          part, holder = common
          taken = part.children(holder, "text:list-style").map { |node| part.attr(node, "style:name") }
          (1..).lazy.map { |number| "Numbering#{number}" }.find { |one| !taken.include?(one) }
        end

        def common
          part = @package.styles
          [part, @package.section(part, "office:styles")]
        end

        def free_name(part, holder)
          taken = part.children(holder, "text:list-style").map { |node| part.attr(node, "style:name") }
          (1..).lazy.map { |number| "#{STEM}#{number}" }.find { |one| !taken.include?(one) }
        end
      end
    end
  end
end
