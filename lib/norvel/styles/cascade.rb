# frozen_string_literal: true

module Norvel
  module Styles
    # From what every level sets to what is seen. Order of application: ISO/IEC 29500-1 17.7.2; toggles: 17.7.3; table
    # conditions: 17.7.6; a list level's indents stand just before the place that supplied the list.
    # Nothing effective is stored in the document: looks are computed here, once for each combination that occurs.
    class Cascade
      # One level: its kind (:defaults, :table, :style, :list, :direct), the style it is of (if any), and what it sets.
      Layer = Struct.new(:kind, :style, :set)
      # One level of an explanation: the value it sets and whether that is the value seen.
      Step = Struct.new(:kind, :style, :value, :won)

      LINE = 12.0 # points, for spaces counted in lines where the section has no text grid
      AUTOMATIC_SPACE = 14.0 # points, for beforeAutospacing and afterAutospacing: common practice
      TOGGLES = Properties.on(:run).select(&:toggle).map(&:name).freeze
      MERGED = Properties.on(:paragraph).select(&:merges).to_h { |property| [property.name, property.type] }.freeze
      DEFAULTS = {paragraph: Properties.on(:paragraph), run: Properties.on(:run)}
        .transform_values { |list| list.reject { |p| p.default.nil? }.to_h { |p| [p.name, p.default] }.freeze }.freeze

      attr_reader :sheet, :numbering

      # +known+: the cascade of an earlier state; looks that no change of styles between the two can reach are taken from it.
      def initialize(sheet, numbering, known: nil)
        @sheet = sheet
        @numbering = numbering
        @paragraph_looks = Hash.new { |known, style| known[style] = Hash.new { |by_table, table| by_table[table] = {} } }
        @run_looks = Hash.new { |known, style| known[style] = Hash.new { |by_table, table| by_table[table] = Hash.new { |by_character, id| by_character[id] = {} } } }
        @interned = {}
        take(known) if known && known.numbering.equal?(numbering) && known.sheet.paragraph_defaults == sheet.paragraph_defaults && known.sheet.run_defaults == sheet.run_defaults
      end

      # The look of a paragraph. +table+ is the Document::Cell it stands in, or nil.
      def paragraph(paragraph)
        @paragraph_looks[paragraph.style_id][paragraph.table][paragraph.direct] ||= intern(settle_paragraph(layered(paragraph_layers(paragraph.style_id, paragraph.direct, paragraph.table))))
      end

      # The look of a run of that paragraph.
      def run(run, paragraph)
        @run_looks[paragraph.style_id][paragraph.table][run.style_id][run.direct] ||= run_look(paragraph.style_id, paragraph.table, run.style_id, run.direct)
      end

      # The look of a list marker (17.3.1.29, 17.9.25): of the paragraph's style, its mark, the list level; never underlined with the mark.
      def marker(paragraph)
        level = (place = list_of(paragraph)) && @numbering.level(*place)
        direct = level ? paragraph.mark.without(:underline).merge(level.run) : paragraph.mark
        @run_looks[paragraph.style_id][paragraph.table][nil][direct] ||= run_look(paragraph.style_id, paragraph.table, nil, direct)
      end

      # What follows from the styles alone, worked out once a key: memo(:role, id) { … }.
      def memo(subject, key)
        known = (@memo ||= Hash.new { |all, name| all[name] = {} })[subject]
        known.key?(key) ? known[key] : known[key] = yield
      end

      # The look that text in a style has when nothing is set directly, for :paragraph or :run.
      def of_style(style, place)
        id = style&.id
        (place == :paragraph) ? intern(settle_paragraph(layered(paragraph_layers(id, PropertySet::EMPTY, nil)))) : run_look(id, nil, nil, PropertySet::EMPTY)
      end

      # Every level that has a say on one property, from the document's defaults to direct formatting. +run+ is needed for
      # properties of runs. Returns Steps, the winner marked; a list's or automatic unit's say is in its own slot.
      def explain(name, paragraph, run = nil)
        property = Properties[name]
        layers = (property.on == :run) ? run_layers(paragraph.style_id, paragraph.table, run&.style_id, run&.direct || PropertySet::EMPTY) : paragraph_layers(paragraph.style_id, paragraph.direct, paragraph.table)
        slots = Properties.slots_of(property.key)
        said = layers.filter_map { |layer| (slot = slots.find { |s| layer.set.key?(s) }) && Step.new(layer.kind, layer.style, layer.set[slot], false) }
        said.unshift(Step.new(:standard, nil, property.default, false)) if said.empty?
        said.last.won = true
        said
      end

      # The list level that a paragraph's properties point at, or nil. Returns [num_id, level number from 0].
      def list_of(paragraph)
        list_place(paragraph.style_id, paragraph.direct)
      end

      def paragraph_layers(style_id, direct, table)
        chain = @sheet.chain(@sheet.resolve(style_id))
        layers = [Layer.new(:defaults, nil, @sheet.paragraph_defaults), *table_layers(table, 0)]
        place = list_place(style_id, direct)
        supplier = place && (direct.key?(:list_id) ? :direct : chain.reverse.find { |style| style.paragraph.key?(:list_id) })
        level = place && @numbering.level(*place)
        chain.each do |style|
          layers << Layer.new(:list, nil, level.paragraph) if level && style.equal?(supplier)
          layers << Layer.new(:style, style, style.paragraph)
        end
        layers << Layer.new(:list, nil, level.paragraph) if level && supplier == :direct
        layers << Layer.new(:direct, nil, direct)
      end

      def run_layers(style_id, table, character_id, direct)
        styles = @sheet.chain(@sheet.resolve(style_id)).map { |style| Layer.new(:style, style, style.run) }
        characters = character_id ? @sheet.chain(@sheet.resolve(character_id, "character")).map { |style| Layer.new(:character, style, style.run) } : []
        [Layer.new(:defaults, nil, @sheet.run_defaults), *table_layers(table, 1), *styles, *characters, Layer.new(:direct, nil, direct)]
      end

      protected

      attr_reader :paragraph_looks, :run_looks, :interned

      private

      # Other threads may be adding to the earlier cascade: copies are taken in one step each.
      def take(known)
        @interned = known.interned.dup
        same = Hash.new { |found, (id, type)| found[[id, type]] = known.sheet.chain(known.sheet.resolve(id, type)) == sheet.chain(sheet.resolve(id, type)) }
        kept = ->(looks) { looks.to_a.select { |table, _| table.nil? || same[[table.style_id, "table"]] } }
        known.paragraph_looks.to_a.each { |id, by_table| kept[by_table].each { |table, looks| @paragraph_looks[id][table] = looks.dup } if same[[id, "paragraph"]] }
        known.run_looks.to_a.each do |id, by_table|
          next unless same[[id, "paragraph"]]
          kept[by_table].each { |table, by_style| by_style.to_a.each { |style, looks| @run_looks[id][table][style] = looks.dup if style.nil? || same[[style, "character"]] } }
        end
      end

      def intern(values)
        @interned[values] ||= Look.new(values)
      end

      def run_look(style_id, table, character_id, direct)
        layers = run_layers(style_id, table, character_id, direct)
        intern(settle_run(toggled(layers, layered(layers))))
      end

      def layered(layers)
        layers.each_with_object({}) do |layer, seen|
          layer.set.values.each do |slot, value|
            seen[slot] = (MERGED.key?(slot) && seen[slot]) ? seen[slot].merge(value) : value
          end
        end
      end

      # Direct if given; else the defaults, or the exclusive or of table, paragraph and character styles, each chain by plain override.
      def toggled(layers, seen)
        TOGGLES.each do |slot|
          next unless seen.key?(slot)
          direct = layers.last.set[slot]
          seen[slot] = direct.nil? ? inherited_toggle(slot, layers) : direct
        end
        seen
      end

      def inherited_toggle(slot, layers)
        levels = %i[table style character].map { |kind| layers.reverse_each.find { |layer| layer.kind == kind && layer.set.key?(slot) }&.set&.[](slot) || false }
        (layers.first.kind == :defaults && layers.first.set[slot]) || levels.inject(:^)
      end

      # A list that is switched off by id 0 is none. In a paragraph style the level is the one that names the style (17.9.23).
      def list_place(style_id, direct)
        chain = @sheet.chain(@sheet.resolve(style_id))
        supplier = direct.key?(:list_id) ? nil : chain.reverse.find { |style| style.paragraph.key?(:list_id) }
        id = supplier ? supplier.paragraph[:list_id] : direct[:list_id]
        return if id.nil? || id.zero? || !@numbering.known?(id)
        level = direct[:list_level]
        level ||= @numbering.level_of_style(id, chain.reverse.map(&:id)) || supplier.paragraph[:list_level] if supplier
        [id, (level || 0).clamp(0, 8)]
      end

      def table_layers(table, side)
        return [] unless table
        chain = @sheet.chain(@sheet.resolve(table.style_id, "table"))
        whole = chain.map { |style| Layer.new(:table, style, side.zero? ? style.paragraph : style.run) }
        conditional = table.conditions.flat_map { |name| chain.filter_map { |style| style.conditions[name] && Layer.new(:table, style, style.conditions[name][side]) } }
        whole + conditional
      end

      def settle_paragraph(seen)
        values = DEFAULTS[:paragraph].merge(seen)
        em = 10.5
        values[:indent_left] = seen[:indent_left_chars] * em / 100.0 if seen[:indent_left_chars]&.nonzero?
        values[:indent_right] = seen[:indent_right_chars] * em / 100.0 if seen[:indent_right_chars]&.nonzero?
        values[:first_line] = seen[:first_line_chars] * em / 100.0 if seen[:first_line_chars]&.nonzero?
        values[:space_before] = space(values, :space_before)
        values[:space_after] = space(values, :space_after)
        values[:align] = {"left" => "right", "right" => "left"}.fetch(values[:align], values[:align]) if values[:right_to_left]
        MERGED.each { |name, type| values[name] &&= type.effective(values[name]).then { |kept| kept unless kept.empty? } }
        values[:list] = values[:list_id]&.nonzero? ? [values[:list_id], values[:list_level] || 0] : nil
        values
      end

      def space(values, slot)
        return AUTOMATIC_SPACE if values[:"#{slot}_auto"]&.nonzero?
        (lines = values[:"#{slot}_lines"]) ? lines * LINE / 100.0 : values[slot]
      end

      def settle_run(seen)
        values = DEFAULTS[:run].merge(seen)
        if values[:complex_script] || values[:run_right_to_left]
          values[:size] = values[:size_complex] || values[:size]
          values[:bold] = values[:bold_complex] || false
          values[:italic] = values[:italic_complex] || false
        end
        values[:highlight] = values[:highlight_shade] if values[:highlight] == "auto" && values[:highlight_shade]
        values
      end
    end
  end
end
