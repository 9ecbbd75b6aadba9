# frozen_string_literal: true

module Norvel
  class Document
    # The lists of a document (ISO/IEC 29500-1 17.9): what each level of a list looks like, and the marker that each
    # paragraph of one shows. Lists of one definition share its levels and its count. A value: changed by define and
    # with.
    class Numbering
      # Levels, by number from 0; style_id: the list style that stands for it, or nil. Ids are the file's.
      Definition = Struct.new(:levels, :style_id) do
        def with(levels: self.levels, style_id: self.style_id)
          self.class.new(levels, style_id)
        end

        # The same where no level stands for this style.
        def without_style(id)
          with(levels: levels.transform_values { |level| (level.style_id == id) ? level.with(style_id: nil) : level },
            style_id: (style_id == id) ? nil : style_id)
        end
      end

      # The definition it counts with, where it starts anew ({level => number}), and levels that it has otherwise
      # ({level => Level}).
      List = Struct.new(:definition_id, :starts, :overrides) do
        def initialize(definition_id, starts = {}, overrides = {})
          super
        end
      end

      attr_reader :definitions, :lists

      def initialize(definitions = {}, lists = {})
        @definitions = definitions.freeze
        @lists = lists.freeze
      end

      # [The same with one more list, its id].
      def add(list)
        id = (@lists.keys.max || 0) + 1
        [Numbering.new(@definitions, @lists.merge(id => list)), id]
      end

      # [The same with a definition, its id]: a new one unless one is given.
      def define(definition, id = free_definition_id)
        [Numbering.new(@definitions.merge(id => definition), @lists), id]
      end

      # The same where no list and no level stands for this style any more.
      def without_style(id)
        changed = @definitions.select do |_, found|
          found.style_id == id || found.levels.any? { |_, level| level.style_id == id }
        end
        return self if changed.empty?
        Numbering.new(@definitions.merge(changed.transform_values { |found| found.without_style(id) }), @lists)
      end

      def eql?(other)
        equal?(other) || (other.is_a?(Numbering) && @lists == other.lists && @definitions == other.definitions)
      end
      alias_method :==, :eql?

      # Is there a list of this id?
      def known?(id)
        @lists.key?(id)
      end

      # The List of an id, nil for none.
      def list(id)
        @lists[id]
      end

      # The Definition that the list of this id counts with, nil for none.
      def definition_of(id)
        @definitions[@lists[id]&.definition_id]
      end

      # {0 => Level, …} of a list; empty for one that is not there.
      def levels(id)
        @levels ||= {}
        @levels[id] ||= (definition_of(id)&.levels || {}).merge(@lists[id]&.overrides || {})
      end

      # A Level, or nil. Levels count from 0.
      def level(id, number)
        levels(id)[number]
      end

      # The level that names one of the styles (nearest first), or nil.
      def level_of_style(id, style_ids)
        style_ids.each do |style_id|
          (found = levels(id).find { |_, level| level.style_id == style_id }) && (return found.first)
        end
        nil
      end

      # The marker of every listed paragraph, by paragraph id: {17 => "1.2"}. Counted in document order.
      def markers(document)
        found = {}
        count(document) { |paragraph, levels, number, count| found[paragraph.id] = marker(levels, number, count) }
        found
      end

      # The number of every listed paragraph at its level: {17 => 2}.
      def numbers(document)
        found = {}
        count(document) { |paragraph, _, number, count| found[paragraph.id] = count[number] }
        found
      end

      # Yields (paragraph, levels of its list, its level, {level => number}) in document order: a number that is changed
      # there is counted on from.
      def count(document)
        return if @lists.empty?
        counts = Hash.new { |all, definition| all[definition] = [{}, {}] }
        started = {}
        document.paragraphs.each do |paragraph|
          id, number = document.cascade.list_of(paragraph)
          next if id.nil? || paragraph.direct.key?(:list_continues)
          count, starts = counts[@lists[id].definition_id]
          begin_anew(id, count, starts, started)
          step(levels(id), number, count, starts)
          yield paragraph, levels(id), number, count
        end
      end

      private

      def free_definition_id
        ((@definitions.keys.map(&:to_i).max || -1) + 1).to_s
      end

      # A list with starts of its own restarts the count of its definition at its first paragraph.
      def begin_anew(id, count, starts, started)
        return if started[id]
        started[id] = true
        @lists[id].starts.each do |level, start|
          count.delete(level)
          starts[level] = start
        end
      end

      def step(levels, number, count, starts)
        level = levels[number] or return
        count[number] = (count[number] || ((starts.delete(number) || level.start) - 1)) + 1
        count.each_key { |deeper| count.delete(deeper) if deeper > number && restarts?(levels[deeper], number) }
      end

      def marker(levels, number, count)
        levels[number]&.marker(levels, count) || ""
      end

      def restarts?(level, number)
        return true if level.nil? || level.restart_after.nil?
        level.restart_after.positive? && number < level.restart_after
      end
    end
  end
end
