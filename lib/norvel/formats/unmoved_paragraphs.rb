# frozen_string_literal: true

module Norvel
  module Formats
    # Which paragraphs of a story can stay where they stand in the file, for a writer: in each container the longest
    # list of them that is in the order of the file, and goes with its tables, which stay.
    class UnmovedParagraphs
      # {source => true} of those that need not be moved. document and original: Document or Story
      def self.of(document, original)
        new(document, original).sources
      end

      def initialize(document, original)
        @document = document
        @original = original
      end

      # {ordinal in the original => true} of those that did not move.
      def sources
        lists = Hash.new { |all, container| all[container] = [] }
        tables = Tables.new(@document.tables, @original.paragraphs)
        @document.paragraphs.each do |paragraph|
          tables.fresh(paragraph.container).each { |parent, source| lists[parent] << [source, true] }
          lists[paragraph.container] << [paragraph.source, false] if in_its_place?(paragraph)
        end
        lists.values.flat_map { |list| longest(between_tables(list)) }.to_h { |source| [source, true] }
      end

      private

      def in_its_place?(paragraph)
        paragraph.source && (was = @original.paragraphs[paragraph.source]) && was.container == paragraph.container
      end

      # Paragraphs that stand on the same sides of their tables as in the file.
      def between_tables(list)
        stretches = list.slice_when { |_, (_, table)| table }.to_a
        stretches.each_with_index.flat_map do |stretch, number|
          first = stretch.first.last ? stretch.first.first : -1
          following = stretches[number + 1]&.first&.first || Float::INFINITY
          stretch.reject(&:last).map(&:first).select { |source| source > first && source < following }
        end
      end

      # The longest increasing subsequence, by the tails of those of each length.
      def longest(sources)
        return sources if sources.each_cons(2).all? { |one, other| one < other }
        tails, before = [], {}
        sources.each do |source|
          at = tails.bsearch_index { |tail| tail >= source } || tails.size
          before[source] = tails[at - 1] if at.positive?
          tails[at] = source
        end
        kept = [tails.last]
        kept << before[kept.last] while before[kept.last]
        kept
      end

      # Where tables are met in a walk through the text: each once, with those it is nested in first.
      class Tables
        def initialize(tables, came)
          @tables = tables.flat_map { |table| table.cells.map { |cell| [cell.id, table] } }.to_h
          @firsts = {}
          came.each { |paragraph| met(paragraph.container, paragraph.source) }
          @seen = {}
        end

        # [[the container that it stands in, the source of its first paragraph], …] of tables that begin here.
        def fresh(container)
          table = @tables[container]
          return [] if table.nil? || @seen[table.id]
          @seen[table.id] = true
          fresh(table.parent) << [table.parent, @firsts[table.id] || 0]
        end

        private

        # The first paragraph of a table and of those that it is nested in; cells may hold none.
        def met(container, source)
          while (table = @tables[container]) && !@firsts.key?(table.id)
            @firsts[table.id] = source
            container = table.parent
          end
        end
      end
    end
  end
end
