# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Where paragraphs stand among the lists of a story, as lists nest (ISO/IEC 26300-1 5.3), and what that says of
      # each: its list, its level, whether it has a marker.
      class ListPlaces
        # A list: its id, its level from 0.
        Place = Struct.new(:list_id, :level)

        # automatic: AutomaticStyles of the part; shared: Reader, which knows the lists of all stories
        def initialize(part, automatic, shared)
          @part = part
          @automatic = automatic
          @shared = shared
          @lists = []
        end

        # Is nothing open?
        def none?
          @lists.empty?
        end

        # What the block reads stands in the list of an element.
        def within(node)
          @lists.push(list_of(node))
          yield
        ensure
          @lists.pop
        end

        # The same of a numbered paragraph, which names its list (5.3.6).
        def numbered(node)
          id = (@numbered ||= {})[@part.attr(node, "text:list-id")] ||= list_of(node).list_id
          level = (@part.attr(node, "text:level") || 1).to_i.clamp(1, 9) - 1
          @lists.push(Place.new(id, level))
          @marked = false
          yield
        ensure
          @lists.pop
        end

        # What the block reads stands in a cell or box: in no list of those around it.
        def apart
          outside, @lists = @lists, []
          yield
        ensure
          @lists = outside
        end

        # An item or header of the innermost list begins: its first paragraph has the marker.
        def item(node)
          start = @part.attr(node, "text:start-value")
          if start && (id = @lists.last.list_id)
            begun = @shared.lists.vary(id, starts: {@lists.size - 1 => start.to_i})
            @lists.each { |open| open.list_id = begun }
          end
          @marked = node.name == "list-header"
        end

        # What a paragraph's place says: {list_id:, list_level:, list_continues:}, as far as its style does not. level:
        # of a heading, 0 for none
        def of(node, worn, level)
          at = @lists.last
          if at
            at = at.list_id && {list_id: at.list_id, list_level: [at.level, 8].min}
            return @marked ? at.merge(list_continues: true) : at
          end
          return {list_id: 0} if level.positive? && @part.attr(node, "text:is-list-header") == "true"
          wanted = level.zero? ? {} : @shared.lists.of_style(worn.list_style, level)
          wanted = {} if wanted[:list_id]&.zero?
          return restarted(node, wanted) if wanted.any? && @part.attr(node, "text:restart-numbering") == "true"
          return {} if wanted == styles_list(worn, level)
          wanted.empty? ? {list_id: 0} : wanted
        end

        # A paragraph was read: those after it in the same item have no marker.
        def taken
          @marked = true
        end

        private

        # A heading from which numbers begin anew.
        def restarted(node, place)
          number = (@part.attr(node, "text:start-value") || 1).to_i
          {list_id: @shared.lists.vary(place[:list_id], starts: {place[:list_level] => number}),
           list_level: place[:list_level]}
        end

        # What the paragraph's style says of lists: headings are numbered by their own level.
        def styles_list(worn, level)
          own = @shared.list_of(worn.style_id)
          return own if own.empty? || worn.level.zero? || level == worn.level
          level.zero? ? {} : own.merge(list_level: level - 1)
        end

        def list_of(node)
          outer = @lists.last
          name = @part.attr(node, "text:style-name")
          definition = name && @shared.lists.definition(name, @shared.pool(@part))
          return nested(node, outer, definition) if outer
          named = node.attribute_with_ns("id", Names::XML_SPACE)&.value || @part.attr(node, "text:id")
          continues = @part.attr(node, "text:continue-list") ||
            (@part.attr(node, "text:continue-numbering") == "true" || nil)
          definition ||= styled(node)
          id = @shared.lists.begin(definition, continues:, named:)
          Place.new(id, 0)
        end

        # A list in a list may have levels of another style. After another one in the same entry it begins anew.
        def nested(node, outer, definition)
          level = outer.level + 1
          id = outer.list_id
          if node.previous_element&.name == "list" && @part.attr(node, "text:continue-numbering") != "true"
            start = @shared.lists.level(id, level)&.start || 1
            id = @shared.lists.vary(id, starts: {level => start})
          end
          if definition && @shared.lists.definition_of(id) != definition
            id = @shared.lists.vary(id, overrides: @shared.lists.levels_from(definition, level))
          end
          Place.new(id, level)
        end

        # A list that names no style has that of its first paragraph.
        def styled(node)
          first = node.xpath(".//*[local-name()='p' or local-name()='h']").first or return
          name = @automatic.paragraph(@part.attr(first, "text:style-name")).list_style
          name && @shared.lists.definition(name, @shared.pool(@part))
        end
      end
    end
  end
end
