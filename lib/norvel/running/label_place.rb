# frozen_string_literal: true

module Norvel
  module Running
    # Where the labels of pages stand in the heads and feet of a section, and what these would say for them to stand
    # elsewhere.
    class LabelPlace
      KINDS = %w[header footer].freeze
      EDGES = {"top" => "header", "bottom" => "footer"}.freeze
      SIDES = {"left" => :left, "center" => :middle, "right" => :right}.freeze
      # A number that was typed where a label stands: "12", "Page 12", "– iv –".
      TYPED = /\A[^\p{L}\d]*(?:(?:page|p\.|seite|s\.|pagina|página)\s*)?(\d{1,3}|[ivxlc]{1,6})[^\p{L}\d]*\z/i

      # The words of the guides for where a label stands in a line: "bottom_center"; nil for nowhere.
      def self.of(line, kind)
        side = line.place_of("page") and "#{EDGES.key(kind)}_#{SIDES.key(side)}"
      end

      # sections: numbers from 1, of one matter
      def initialize(document, sections)
        @document = document
        @sections = sections
      end

      # What heads and feet would say for labels to stand there, for each way that pages differ; nil where something
      # else stands in the way.
      #   lines("bottom_center") # => {"default" => {"footer" => Running::Line, …}, …}
      def lines(place)
        edge, side = place.split("_")
        changes = ways.to_h { |which| [which, moved(lines_of(which), EDGES.fetch(edge), SIDES.fetch(side))] }
        changes.value?(nil) ? nil : changes.reject { |_, lines| lines.empty? }
      end

      # The same for typed numbers to become labels, where they stand; {} where none was typed.
      def typed
        found = ways.to_h do |which|
          lines = lines_of(which)
          next [which, {}] if lines.value?(nil) || lines.any? { |_, line| line.holds?("page") }
          [which, lines.transform_values { |line| counted(line) }.compact]
        end
        found.reject { |_, lines| lines.empty? }
      end

      private

      # Pages that have heads and feet of their own. A first page that shows nothing goes on so.
      def ways
        first = @document.sections[@sections.first - 1].title_page && !lines_of("first").values.compact.all?(&:blank?)
        ["default", ("even" if @document.settings.even_and_odd), ("first" if first)].compact
      end

      # {"header" => Running::Line, nil where it can't be told, …}
      def lines_of(which)
        KINDS.to_h do |kind|
          story = @document.head(@sections.first, kind, which)
          [kind, story ? Line.read(story, @document) : Line.new]
        end
      end

      def moved(lines, kind, side)
        return if lines.value?(nil)
        from, at = lines.filter_map { |one, line| [one, line.place_of("page")] if line.place_of("page") }.first
        label = from ? lines[from][at] : "{page}"
        without = from ? lines.merge(from => lines[from].with(at => "")) : lines
        return unless without[kind][side].strip.empty?
        now = without.merge(kind => without[kind].with(side => label))
        now.reject { |one, line| line == lines[one] }
      end

      def counted(line)
        side = line.sides.find { |one| TYPED.match?(line[one]) } or return
        line.with(side => line[side].sub(line[side][TYPED, 1], "{page}"))
      end
    end
  end
end
