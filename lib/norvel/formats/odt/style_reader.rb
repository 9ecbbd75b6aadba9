# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The common styles to a StyleSheet (ISO/IEC 26300-1 16.2), and what the styles say besides of lists and pages.
      class StyleReader
        TYPES = {"paragraph" => "paragraph", "text" => "character"}.freeze
        USUAL = "Standard" # the style of paragraphs that name none: common practice
        # What OpenDocument means where a file says nothing (16.2, 20.292): no control of widows, letters of 12 pt.
        UNSAID = {paragraph: {widow_control: false}.freeze, run: {size: 12.0}.freeze}.freeze
        CHAIN = 100 # styles based on one another, at most

        attr_reader :nodes, :part, :formatting

        # lists: ListReader
        def initialize(part, formatting, lists)
          @part = part
          @formatting = formatting
          @lists = lists
          @nodes = []
          @holder = part&.child(part.root, "office:styles")
          @elements = elements
        end

        # The Styles::StyleSheet of the package.
        def style_sheet
          @style_sheet ||= Styles::StyleSheet.new(styles: styles.merge(@lists.styles),
            paragraph_defaults: defaults(:paragraph), run_defaults: defaults(:run))
        end

        # A paragraph style's element by its name, or nil.
        def element(name, family = "paragraph")
          @elements.dig(family, name)
        end

        # The first that an attribute is set at, on the way from a style to its bases; nil for none.
        def inherited(name, attribute)
          chain(name).filter_map { |node| @part.attr(node, attribute) }.first
        end

        # The left indent of a paragraph style, which tab stops are counted from.
        def indent(name)
          @indents ||= Hash.new do |known, key|
            own = chain(key).filter_map { |node| margin(node) }.first
            known[key] = own || defaults(:paragraph)[:indent_left].then { |points| points.is_a?(Float) ? points : 0.0 }
          end
          @indents[name]
        end

        # Distance of tab stops that no one set, in points.
        def tab_distance
          node = default_style && @part.child(default_style, "style:paragraph-properties")
          text = node && @part.attr(node, "style:tab-stop-distance")
          text && Length.from_file(text, "pt")
        end

        private

        def elements
          return {} unless @holder
          found = Hash.new { |all, family| all[family] = {} }
          @part.children(@holder, "style:style").each do |node|
            name = @part.attr(node, "style:name") and found[@part.attr(node, "style:family")][name] ||= node
          end
          found
        end

        def styles
          Styles::StyleSheet.refuse_more(@elements.each_value.sum(&:size))
          TYPES.flat_map { |family, type| @elements.fetch(family, {}).map { |name, node| style(name, node, type) } }
            .sort_by(&:source).to_h { |style| [style.id, style] }
        end

        def style(name, node, type)
          @nodes << node
          Styles::Style.new(
            id: Names.id(name, type), name: @part.attr(node, "style:display-name") || Names.decoded(name), type:,
            based_on: (base = @part.attr(node, "style:parent-style-name")) && Names.id(base, type),
            next_id: (following = @part.attr(node, "style:next-style-name")) && Names.id(following, type),
            paragraph: (type == "paragraph") ? paragraph(name, node) : Styles::PropertySet::EMPTY,
            run: @formatting.read(node, :run, @part), default: type == "paragraph" && name == USUAL,
            custom: true, source: @nodes.size - 1
          )
        end

        def paragraph(name, node)
          set = @formatting.read(node, :paragraph, @part, indent: indent(@part.attr(node, "style:parent-style-name")))
          level = @part.attr(node, "style:default-outline-level").to_i
          values = level.between?(1, 9) ? {outline_level: level} : {}
          set.merge(values.merge(@lists.of_style(@part.attr(node, "style:list-style-name"), level)))
        end

        def defaults(place)
          @defaults ||= {}
          @defaults[place] ||= begin
            said = default_style ? @formatting.read(default_style, place, @part) : Styles::PropertySet::EMPTY
            Styles::PropertySet.of(UNSAID[place].merge(said.values.transform_values { |value| whole(value, place) }))
          end
        end

        # A share of nothing.
        def whole(value, place)
          return value unless Length.share?(value)
          (place == :run) ? Length.of_share(value, UNSAID[:run][:size]) : 0.0
        end

        def default_style
          @default_style ||= @holder && @part.children(@holder, "style:default-style")
            .find { |node| @part.attr(node, "style:family") == "paragraph" }
        end

        # The elements of a style and its bases, the nearest first.
        def chain(name)
          line, seen = [], {}
          while (node = element(name)) && !seen[name] && line.size < CHAIN
            seen[name] = true
            line << node
            name = @part.attr(node, "style:parent-style-name")
          end
          line
        end

        def margin(node)
          properties = @part.child(node, "style:paragraph-properties") or return
          text = @part.attr(properties, "fo:margin-left") || @part.attr(properties, "fo:margin") or return
          Codecs::Measure.length(text).then { |points| points if points.is_a?(Float) }
        end
      end
    end
  end
end
