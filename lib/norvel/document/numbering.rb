# frozen_string_literal: true

module Norvel
  class Document
    # The lists of a document (ISO/IEC 29500-1 17.9): which levels a list has, and the marker that each paragraph of one shows.
    class Numbering
      # format and text as in the file ("decimal", "%1.%2"); style_id: the paragraph style bound to the level; paragraph: what
      # the level sets on its paragraphs; suffix: "tab", "space" or
      # "nothing" after the marker; restart_after: the level (from 1) whose step restarts this one, 0 never, nil any higher.
      Level = Struct.new(:start, :format, :text, :style_id, :legal, :restart_after, :suffix, :paragraph, keyword_init: true)
      # The definition a list counts with (lists of one definition share a count), its levels, and where it starts anew.
      List = Struct.new(:definition, :levels, :starts)

      attr_reader :lists

      def initialize(lists = {})
        @lists = lists.freeze
      end

      # The same with one more list.
      def with(id, list)
        Numbering.new(@lists.merge(id => list))
      end

      def free_id
        (@lists.keys.max || 0) + 1
      end

      def eql?(other)
        equal?(other) || (other.is_a?(Numbering) && @lists == other.lists)
      end
      alias_method :==, :eql?

      def known?(id)
        @lists.key?(id)
      end

      def list(id)
        @lists[id]
      end

      # A Level, or nil. Levels count from 0.
      def level(id, number)
        @lists[id]&.levels&.[](number)
      end

      # The level that names one of the styles (nearest first), or nil.
      def level_of_style(id, style_ids)
        levels = @lists[id]&.levels or return
        style_ids.each { |style_id| (found = levels.find { |_, level| level.style_id == style_id }) && (return found.first) }
        nil
      end

      # The marker of every listed paragraph, by paragraph id: {17 => "1.2"}. Counted in document order.
      def markers(document)
        return {} if @lists.empty?
        counts = Hash.new { |all, definition| all[definition] = {} }
        started = {}
        document.paragraphs.each_with_object({}) do |paragraph, markers|
          id, number = document.cascade.list_of(paragraph)
          next unless id
          list = @lists[id]
          begin_anew(list, id, counts[list.definition], started)
          markers[paragraph.id] = step(list, number, counts[list.definition])
        end
      end

      private

      # A list with starts of its own restarts the count of its definition at its first paragraph.
      def begin_anew(list, id, count, started)
        return if started[id]
        started[id] = true
        list.starts.each { |level, start| count[level] = start - 1 }
      end

      def step(list, number, count)
        level = list.levels[number] or return ""
        count[number] = (count[number] || (level.start - 1)) + 1
        count.each_key { |deeper| count.delete(deeper) if deeper > number && restarts?(list.levels[deeper], number) }
        marker(list, level, count)
      end

      def restarts?(level, number)
        return true if level.nil? || level.restart_after.nil?
        level.restart_after.positive? && number < level.restart_after
      end

      def marker(list, level, count)
        return level.text if level.format == "bullet"
        level.text.gsub(/%([1-9])/) do
          other = list.levels[$1.to_i - 1] or next ""
          value = count[$1.to_i - 1] || other.start
          Numerals.write(value, level.legal ? "decimal" : other.format)
        end
      end
    end
  end
end
