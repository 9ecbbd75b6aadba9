# frozen_string_literal: true

module Norvel
  module Styles
    # From what every level sets to what is seen. Order of application: ISO/IEC 29500-1 17.7.2; table conditions:
    # 17.7.6. How levels combine beyond that (toggles, units, the place of numbering) is the format's to say (rules).
    # One resolution answers what a value is and where it comes from. Nothing effective is stored in the document: looks
    # are computed here, once for each combination that occurs.
    class Cascade
      # One level: its kind (:defaults, :table, :style, :list, :character, :direct), the style it is of (if any), and
      # what it sets.
      Layer = Struct.new(:kind, :style, :set)
      # One level of an explanation: the value it would give and whether that is the value seen.
      Step = Struct.new(:kind, :style, :value, :won)

      MERGED = Properties.on(:paragraph).select(&:merges).to_h { |property| [property.name, property.type] }.freeze
      DEFAULTS = {paragraph: Properties.on(:paragraph), run: Properties.on(:run)}
        .transform_values { |list| list.reject { |p| p.default.nil? }.to_h { |p| [p.name, p.default] }.freeze }.freeze

      NO_SIZE = -> { 0.0 } # where only the place of a value matters

      attr_reader :style_sheet, :numbering, :rules

      # known: the cascade of an earlier state; looks that no change of styles between the two can reach are taken from
      # it.
      def initialize(sheet, numbering, rules:, known: nil)
        @style_sheet = sheet
        @numbering = numbering
        @rules = rules
        @supplied = {paragraph: [], run: []}.merge(rules.supplied.group_by { |name| Properties[name].on })
        @paragraph_looks = Hash.new { |styles, id| styles[id] = Hash.new { |tables, table| tables[table] = {} } }
        @run_looks = Hash.new do |styles, id|
          styles[id] = Hash.new do |tables, table|
            tables[table] = Hash.new { |characters, character| characters[character] = {} }
          end
        end
        @interned = {}
        take(known) if known && same_ground?(known)
      end

      # The look of a paragraph. +table+ is the Document::CellLook it stands in, or nil.
      def paragraph(paragraph)
        @paragraph_looks[paragraph.style_id][paragraph.table][paragraph.direct] ||=
          look(:paragraph, paragraph_layers(paragraph.style_id, paragraph.direct, paragraph.table),
            size(paragraph.style_id, paragraph.table))
      end

      # The look of a run of that paragraph.
      def run(run, paragraph)
        run_look(paragraph.style_id, paragraph.table, run.style_id, run.direct)
      end

      # The look of a list marker (17.3.1.29, 17.9.25): of the paragraph's style, its mark, the list level; never
      # underlined with the mark.
      def marker(paragraph)
        level = (place = list_of(paragraph)) && @numbering.level(*place)
        direct = level ? paragraph.mark.without(:underline).merge(level.run) : paragraph.mark
        run_look(paragraph.style_id, paragraph.table, nil, direct)
      end

      # What follows from the styles alone, worked out once a key: memo(:role, id) { … }.
      def memo(subject, key)
        known = (@memo ||= Hash.new { |all, name| all[name] = {} })[subject]
        known.key?(key) ? known[key] : known[key] = yield
      end

      # The look that text in a style has when nothing is set directly, for :paragraph or :run; words in a character
      # style stand in the default paragraph style.
      def of_style(style, place)
        return run_look(nil, nil, style.id, PropertySet::EMPTY) if place == :run && style&.type == "character"
        return run_look(style&.id, nil, nil, PropertySet::EMPTY) if place == :run
        look(:paragraph, paragraph_layers(style&.id, PropertySet::EMPTY, nil), size(style&.id, nil))
      end

      # Every level that has a say on one property, from the document's defaults to direct formatting, the one whose
      # value is seen marked. +run+ is needed for properties of runs.
      def explain(name, paragraph, run = nil)
        property = Properties[name]
        layers = layers_for(property, paragraph, run)
        slots = Properties.slots_of(property.key)
        speaking = layers.select { |layer| slots.any? { |slot| layer.set.key?(slot) } }
        return [Step.new(:standard, nil, property.default, true)] if speaking.empty?
        winner = decider(property, layers, speaking)
        size = size(paragraph.style_id, paragraph.table)
        speaking.map do |layer|
          Step.new(layer.kind, layer.style, value_in(property, layer, size), layer.equal?(winner))
        end
      end

      # The Step whose value is seen.
      def decided(name, paragraph, run = nil)
        steps = explain(name, paragraph, run)
        steps.find(&:won) || steps.last
      end

      # The list level that a paragraph's properties point at, or nil. Returns [num_id, level number from 0].
      def list_of(paragraph)
        list_place(paragraph.style_id, paragraph.direct)
      end

      protected

      attr_reader :paragraph_looks, :run_looks, :interned

      private

      def layers_for(property, paragraph, run)
        return paragraph_layers(paragraph.style_id, paragraph.direct, paragraph.table) if property.on == :paragraph
        run_layers(paragraph.style_id, paragraph.table, run&.style_id, run&.direct || PropertySet::EMPTY)
      end

      def paragraph_layers(style_id, direct, table)
        chain = @style_sheet.chain(@style_sheet.resolve(style_id))
        place = list_place(style_id, direct)
        level = place && @numbering.level(*place)
        list = level && Layer.new(:list, nil, level.paragraph)
        supplier = level && (direct.key?(:list_id) ? :direct : chain.reverse
          .find { |style| style.paragraph.key?(:list_id) })
        styles = chain.map { |style| Layer.new(:style, style, style.paragraph) }
        [Layer.new(:defaults, nil, @style_sheet.paragraph_defaults), *table_layers(table, 0),
          *@rules.with_list(styles, Layer.new(:direct, nil, direct), list, supplier)]
      end

      def run_layers(style_id, table, character_id, direct)
        styles = @style_sheet.chain(@style_sheet.resolve(style_id)).map { |style| Layer.new(:style, style, style.run) }
        chain = character_id ? @style_sheet.chain(@style_sheet.resolve(character_id, "character")) : []
        characters = chain.map { |style| Layer.new(:character, style, style.run) }
        [Layer.new(:defaults, nil, @style_sheet.run_defaults), *table_layers(table, 1), *styles, *characters,
          Layer.new(:direct, nil, direct)]
      end

      def table_layers(table, side)
        return [] unless table
        chain = @style_sheet.chain(@style_sheet.resolve(table.style_id, "table"))
        whole = chain.map { |style| Layer.new(:table, style, side.zero? ? style.paragraph : style.run) }
        whole + table.conditions.flat_map { |name| chain.filter_map { |style| conditional(style, name, side) } }
      end

      def conditional(style, name, side)
        sets = style.conditions[name] and Layer.new(:table, style, sets[side])
      end

      # A list that is switched off by id 0 is none. In a paragraph style the level is the one that names the style
      # (17.9.23).
      def list_place(style_id, direct)
        chain = @style_sheet.chain(@style_sheet.resolve(style_id))
        supplier = direct.key?(:list_id) ? nil : chain.reverse.find { |style| style.paragraph.key?(:list_id) }
        id = supplier ? supplier.paragraph[:list_id] : direct[:list_id]
        return if id.nil? || id.zero? || !@numbering.known?(id)
        level = direct[:list_level]
        level ||= @numbering.level_of_style(id, chain.reverse.map(&:id)) || supplier.paragraph[:list_level] if supplier
        level = @rules.level_in_list(level || 0, supplier, direct) or return
        [id, level.clamp(0, 8)]
      end

      def run_look(style_id, table, character_id, direct)
        @run_looks[style_id][table][character_id][direct] ||= look(:run,
          run_layers(style_id, table, character_id, direct))
      end

      # The size of a style's letters, for lengths that are told in characters: worked out when one is.
      def size(style_id, table)
        -> { run_look(style_id, table, nil, PropertySet::EMPTY)[:size] }
      end

      def look(place, layers, size = nil)
        seen = combined(layers)
        values = DEFAULTS[place].merge(seen)
        @supplied[place].each do |name|
          slot, value = @rules.supply(name, seen, size)
          values[name] = value unless slot == name
        end
        intern((place == :paragraph) ? settled(@rules.settle(values)) : values)
      end

      # {slot => value} of all levels together.
      def combined(layers)
        seen = layers.each_with_object({}) do |layer, values|
          layer.set.values.each do |slot, value|
            values[slot] = value.is_a?(Hash) ? joined(slot, values[slot], value) : value
          end
        end
        seen.each_key { |slot| seen[slot] = @rules.toggle(slot, layers).first if @rules.toggle?(slot) }
      end

      # A value over the one below it: entry by entry, or so much of it.
      def joined(slot, below, value)
        return Length.of_share(value, below || Properties[slot].default || 0.0) if value.key?(:share)
        (below && MERGED.key?(slot) && @rules.merges?(slot)) ? below.merge(value) : value
      end

      def settled(values)
        MERGED.each do |name, type|
          values[name] &&= type.effective(values[name]).then { |kept| kept unless kept.empty? }
        end
        values[:list] = values[:list_id]&.nonzero? ? [values[:list_id], values[:list_level] || 0] : nil
        values
      end

      # The layer whose value is seen: the one that sets the slot which supplies it, the last of those that do.
      def decider(property, layers, speaking)
        slot, = @rules.supply(property.key, combined(layers), NO_SIZE)
        return @rules.toggle(slot, layers).last if @rules.toggle?(slot)
        speaking.reverse_each.find { |layer| layer.set.key?(slot) } || speaking.last
      end

      # What a layer alone would give.
      def value_in(property, layer, size)
        slot, value = @rules.supply(property.key, layer.set.values, size)
        value.nil? ? layer.set[Properties.slots_of(property.key).find { |other| layer.set.key?(other) } || slot] : value
      end

      def intern(values)
        @interned[values] ||= Look.new(values)
      end

      def same_ground?(known)
        known.numbering.equal?(numbering) && known.rules.equal?(rules) &&
          %i[paragraph run].all? { |place| known.style_sheet.defaults(place) == style_sheet.defaults(place) }
      end

      # Other threads may be adding to the earlier cascade: copies are taken in one step each.
      def take(known)
        @interned = known.interned.dup
        same = Hash.new do |found, (id, type)|
          found[[id, type]] = chain_of(known.style_sheet, id, type) == chain_of(style_sheet, id, type)
        end
        tables = ->(looks) { looks.to_a.select { |table, _| table.nil? || same[[table.style_id, "table"]] } }
        known.paragraph_looks.to_a.select { |id, _| same[[id, "paragraph"]] }.each do |id, by_table|
          tables[by_table].each { |table, looks| @paragraph_looks[id][table] = looks.dup }
        end
        known.run_looks.to_a.select { |id, _| same[[id, "paragraph"]] }.each do |id, by_table|
          tables[by_table].each { |table, by_style| take_runs(@run_looks[id][table], by_style, same) }
        end
      end

      def take_runs(mine, by_style, same)
        by_style.to_a.each { |style, looks| mine[style] = looks.dup if style.nil? || same[[style, "character"]] }
      end

      def chain_of(sheet, id, type)
        sheet.chain(sheet.resolve(id, type))
      end
    end
  end
end
