# frozen_string_literal: true

module Norvel
  module Edits
    # Changes one level of a list: its marker, where it stands, what it counts. All lists of the definition follow.
    class ChangeListLevel < StyleEdit
      LABELS = {start: "starts at", format: "numerals", text: "marker", legal: "decimals only",
                restart_after: "begins anew", suffix: "separator", align: "marker set"}.freeze

      # definition_id: of the numbering; number: of the level from 0; values: members of Document::ListLevel, or
      # properties of the table: of the paragraph (indents) or of the marker's letters. A property set to nil is set no
      # more.
      def initialize(definition_id, number, values)
        @definition_id = definition_id
        @number = number
        @values = values
      end

      def change(document)
        definition = document.numbering.definitions[@definition_id] or raise Refused,
          "There is no such list in this document."
        level = definition.levels[@number] or raise Refused, "The list has no level #{@number + 1}."
        changed = @values.inject(level) { |now, (name, value)| set(now, name, value) }
        return document if changed == level
        numbering, = document.numbering.define(definition.with(levels: definition.levels.merge(@number => changed)),
          @definition_id)
        document.with(numbering:)
      end

      def title(document)
        definition = document.numbering.definitions[@definition_id]
        style = document.styles[definition&.levels&.[](@number)&.style_id] || document.styles[definition&.style_id]
        changed = @values.keys.map { |name| LABELS.fetch(name) { Styles::Properties[name].label.downcase } }
        "#{style ? style.name : "List"}, level #{@number + 1}: #{changed.join(", ")}"
      end

      private

      def set(level, name, value)
        return with_member(level, name, value) if LABELS.key?(name)
        place = Styles::Properties[name].on
        kept = level[place].without(*Styles::Properties.slots_of(name))
        level.with(place => value.nil? ? kept : Setting.put(kept, name, value, {}))
      end

      # A bullet of a symbol font that becomes a plain sign leaves that font.
      def with_member(level, name, value)
        raise Refused, "A list begins at 0 or later." if name == :start && !value.between?(0, 32_767)
        raise Refused, "A marker without the number of its level would say the same for all." if name == :text &&
          !level.bullet? && level.format != "none" && !value.include?("%#{@number + 1}") && !@values.key?(:format)
        return level.with(name => value) unless name == :text && level.text != value
        level.with(text: value, run: level.run.without(*Styles::Properties.slots_of(:font)))
      end
    end
  end
end
