# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # List styles, common and automatic, and the numbering of headings to a Numbering (ISO/IEC 26300-1 16.30–16.37);
      # and the lists of the text, as a TextReader meets them.
      class ListReader
        FORMATS = {"1" => "decimal", "i" => "lower_roman", "I" => "upper_roman", "a" => "lower_letter",
                   "A" => "upper_letter", "" => "none"}.freeze
        FOLLOWED = {"listtab" => "tab", "space" => "space", "nothing" => "nothing"}.freeze
        ALIGNMENTS = {"end" => "right", "right" => "right", "center" => "center"}.freeze
        OUTLINE = "outline"
        OUTLINE_LIST = 1
        BULLET = "•" # for pictures as bullets
        BARE = "bare" # the definition of lists that name no style
        DEEPEST = 10
        # The id that a list has where it was met last.
        Standing = Struct.new(:id)

        # nodes: the elements of list styles by definition id, for a writer
        attr_reader :nodes

        # pools: {"common" => [part, element], "content" => …, "styles" => …}; text_styles: {part => (name to set)}
        def initialize(pools, formatting)
          @pools = pools
          @formatting = formatting
          @definitions = {}
          @lists = {}
          @nodes = {}
          @last = {}
          @named, @standing = {}, {}
          @count = OUTLINE_LIST
          @of_styles = {}
          read
        end

        # The Document::Numbering of the lists that were read.
        def numbering
          Document::Numbering.new(@definitions, @lists)
        end

        # The definition that a list counts with, and a level of it.
        def definition_of(id)
          @lists.fetch(id).definition_id
        end

        # The ListLevel of a list, as the list has it.
        def level(id, number)
          list = @lists.fetch(id)
          list.overrides[number] || @definitions[list.definition_id].levels[number]
        end

        # Common list styles as styles of the document, by id.
        def styles
          @definitions.filter_map { |id, definition|
            next unless definition.style_id
            part, node = @nodes[id]
            name = part.attr(node, "style:name")
            style = Styles::Style.new(id: definition.style_id, type: "numbering", custom: true,
              name: part.attr(node, "style:display-name") || Names.decoded(name),
              paragraph: Styles::PropertySet.of(list_id: list_of_style(id)))
            [style.id, style]
          }.to_h
        end

        # What a paragraph style with this list style, or without one at this outline level, says of lists.
        def of_style(list_style, level)
          return {list_id: 0} if list_style == ""
          if list_style && (id = definition(list_style, "common"))
            return {list_id: list_of_style(id), list_level: [level - 1, 0].max}
          end
          numbered?(level) ? {list_id: OUTLINE_LIST, list_level: level - 1} : {}
        end

        # Are headings of this level numbered by the document?
        def numbered?(level)
          found = @definitions[OUTLINE]&.levels&.[](level - 1)
          !found.nil? && (found.format != "none" || !found.text.empty?)
        end

        # The definition id of a list style that is named in a pool; common ones are known in all. Nil for none.
        def definition(name, pool)
          ["#{pool}:#{name}", "common:#{name}"].find { |id| @definitions.key?(id) }
        end

        # A list of the text begins. Returns its id.
        #   continues: the xml:id of the list it goes on with, or true for the last one of its kind
        def begin(definition_id, continues: nil, named: nil)
          definition_id ||= bare
          id = (continues == true) ? @last[definition_id] : @named[continues]&.id
          id = add(definition_id, starts(definition_id)) unless id && @lists[id]&.definition_id == definition_id
          named(id, named) if named
          @last[definition_id] = id
        end

        # A block's name stands for its list as it counts last.
        def named(id, name)
          @named[name] = @standing[id] ||= Standing.new(id)
        end

        # The id of the same list from where a level begins at another number, or where levels look otherwise.
        def vary(id, starts: {}, overrides: {})
          list = @lists.fetch(id)
          changed = add(list.definition_id, starts, list.overrides.merge(overrides))
          standing = @standing.delete(id) and (@standing[changed] = standing).id = changed
          @last[list.definition_id] = changed
        end

        # Levels of a list style from one on, as overrides.
        def levels_from(definition_id, depth)
          (@definitions[definition_id]&.levels || {}).select { |number, _| number >= depth }
        end

        private

        def read
          @pools.each do |pool, (part, holder)|
            part.children(holder, "text:list-style").each { |node| define(pool, part, node) }
          end
          part, holder = @pools["common"]
          outline = part&.child(holder, "text:outline-style") and outline(part, outline)
        end

        def define(pool, part, node)
          name = part.attr(node, "style:name") or return
          id = "#{pool}:#{name}"
          return if @definitions.key?(id)
          @nodes[id] = [part, node]
          @definitions[id] = Document::Numbering::Definition.new(levels(part, node),
            (Names.id(name, "numbering") if pool == "common"))
        end

        def outline(part, node)
          levels = levels(part, node)
          @nodes[OUTLINE] = [part, node]
          return if levels.values.all? { |level| level.format == "none" && level.text.empty? }
          @definitions[OUTLINE] = Document::Numbering::Definition.new(levels, nil)
          @lists[OUTLINE_LIST] = Document::Numbering::List.new(OUTLINE)
        end

        def levels(part, node)
          node.element_children.filter_map { |child|
            number = part.attr(child, "text:level").to_i
            [number - 1, level_of(part, child, number)] if number.between?(1, DEEPEST)
          }.to_h
        end

        def level_of(part, node, number)
          properties = part.child(node, "style:list-level-properties")
          alignment = properties && part.child(properties, "style:list-level-label-alignment")
          Document::ListLevel.new(
            start: (part.attr(node, "text:start-value") || 1).to_i, **marker(part, node, number),
            suffix: FOLLOWED.fetch((alignment && part.attr(alignment, "text:label-followed-by")) || "listtab", "tab"),
            align: ALIGNMENTS.fetch(properties && part.attr(properties, "fo:text-align"), "left"),
            paragraph: indents(part, properties, alignment), run: @formatting.read(node, :run, part)
          )
        end

        def marker(part, node, number)
          prefix, suffix = %w[style:num-prefix style:num-suffix].map { |name| part.attr(node, name).to_s }
          unless part.is?(node, "text:list-level-style-number") || part.is?(node, "text:outline-level-style")
            return {format: "bullet", text: "#{prefix}#{part.attr(node, "text:bullet-char") || BULLET}#{suffix}"}
          end
          format = FORMATS.fetch(part.attr(node, "style:num-format").to_s, "decimal")
          {format:, text: text(part, node, number, format, prefix, suffix)}
        end

        # The marker with %1 … %9 for the numbers of levels. Version 1.3 may say it as "%1%.%2%".
        def text(part, node, number, format, prefix, suffix)
          said = node.attribute_nodes.find { |attribute| attribute.node_name == "num-list-format" }&.value
          return said.gsub(/%(\d{1,2})%/) { "%#{$1}" } if said
          return "#{prefix}#{suffix}" if format == "none"
          shown = (part.attr(node, "text:display-levels") || 1).to_i.clamp(1, number)
          "#{prefix}#{((number - shown + 1)..number).map { |one| "%#{one}" }.join(".")}#{suffix}"
        end

        # Where lines and marker stand; the older mode tells it by the room of the marker (16.35).
        def indents(part, properties, alignment)
          return Styles::PropertySet::EMPTY unless properties
          measure = ->(node, name) { (text = part.attr(node, name)) && Length.from_file(text, "pt") }
          if alignment
            return @formatting.share({indent_left: measure[alignment, "fo:margin-left"],
                                      first_line: measure[alignment, "fo:text-indent"]}.compact)
          end
          room = measure[properties, "text:min-label-width"] || 0.0
          left = (measure[properties, "text:space-before"] || 0.0) + room
          @formatting.share({indent_left: left, first_line: -room})
        end

        def list_of_style(definition_id)
          @of_styles[definition_id] ||= add(definition_id, {})
        end

        def bare
          @definitions[BARE] ||= Document::Numbering::Definition.new({}, nil)
          BARE
        end

        def starts(definition_id)
          @definitions[definition_id].levels.transform_values(&:start)
        end

        def add(definition_id, starts, overrides = {})
          id = @count += 1
          @lists[id] = Document::Numbering::List.new(definition_id, starts, overrides)
          id
        end
      end
    end
  end
end
