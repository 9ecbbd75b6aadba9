# frozen_string_literal: true

module Norvel
  module Styles
    # The usual set of styles, as plain as they can be: what a style begins with that neither a template nor a guide
    # defines. Names: those of ISO/IEC 29500-1 built-in styles; measures: common practice.
    module Usual
      # scale: size beside the document's text; values: by names of the property table; list: the name of the list style
      # whose markers it has, and the form that begins with (Edits::DefineListStyle)
      Entry = Value.define(:name, :values, :next, :scale, :list, scale: 1.0)

      KEPT = {keep_with_next: true, keep_together: true, first_line: 0.0, align: "left"}.freeze
      SCALES = [1.5, 1.25, 1.1, 1.0, 1.0, 1.0].freeze
      BEFORE = [24.0, 18.0, 12.0, 12.0, 12.0, 12.0].freeze

      HEADINGS = (1..6).map do |level|
        slope = (level == 4) ? {italic: true} : {}
        Entry.new(name: "Heading #{level}", next: "Body Text", scale: SCALES[level - 1],
          values: {bold: level < 6, **slope, **KEPT, space_before: BEFORE[level - 1], space_after: 6.0,
                   outline_level: level})
      end

      LIST = [
        Entry.new(name: "Body Text", values: {}),
        *HEADINGS,
        Entry.new(name: "Title", next: "Body Text", scale: 1.75, values: {bold: true, **KEPT, space_after: 12.0}),
        Entry.new(name: "Subtitle", next: "Body Text", scale: 1.25, values: {**KEPT, space_after: 12.0}),
        Entry.new(name: "Block Quote", next: "Body Text",
          values: {indent_left: 36.0, indent_right: 36.0, first_line: 0.0}),
        Entry.new(name: "Caption", next: "Body Text", scale: 0.9,
          values: {first_line: 0.0, space_before: 6.0, space_after: 12.0}),
        Entry.new(name: "List Bullet", list: %w[Bullets bullets], values: {}),
        Entry.new(name: "List Number", list: %w[Numbers numbers], values: {}),
        Entry.new(name: "List Paragraph", values: {indent_left: 36.0, first_line: 0.0}),
        Entry.new(name: "Table Text", values: {first_line: 0.0, space_before: 0.0, space_after: 0.0}),
        Entry.new(name: "Plain Text", values: {font: "Courier New", align: "left", first_line: 0.0}),
        Entry.new(name: "Bibliography", values: {indent_left: 36.0, first_line: -36.0}),
        Entry.new(name: "Footnote Text", scale: 0.85, values: {first_line: 0.0})
      ].freeze

      NAMES = LIST.map(&:name).freeze
      ALL = LIST.to_h { |entry| [entry.name.downcase, entry] }.freeze

      module_function

      # The Entry of that name, nil for any other.
      def [](name)
        ALL[name.to_s.downcase]
      end

      # {property => value} that a style of that name sets over the base style of a document; empty for unknown names.
      def values(name, document)
        entry = self[name] or return {}
        base = document.styles.default
        given = {paragraph: document.cascade.of_style(base, :paragraph), run: document.cascade.of_style(base, :run)}
        size = (given[:run][:size] * entry.scale * 2).round / 2.0
        {size:, **entry.values}.reject { |key, value| same?(key, value, given) }
      end

      def same?(key, value, given)
        property = Properties[key]
        property.same?(given[property.on][key], value)
      end
      private_class_method :same?
    end
  end
end
