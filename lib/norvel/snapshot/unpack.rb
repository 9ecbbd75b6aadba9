# frozen_string_literal: true

module Norvel
  module Snapshot
    # From plain data.
    class Unpack
      def initialize(original, sets)
        @original = original
        @sets = sets.map { |values| Styles::PropertySet.of(Kinds.properties_of(values)) }
        @cells = {}
      end

      # The paragraph that was saved; came: those of the original.
      def paragraph(data, came = @original.paragraphs)
        return came.fetch(data) if data.is_a?(Integer)
        id, part, section, style_id, direct, mark, runs, table, source, holds, container, anchors = data
        Document::Paragraph.new(id, part.to_sym, section, style_id, @sets[direct], @sets[mark],
          runs.map { |run| run(run) }.freeze,
          cell_look(table), source, holds&.to_sym, container, anchors(anchors))
      end

      # The fields that differ, as Document#with takes them.
      def others(data)
        data.to_h { |key, value| [field = Kinds.field_of(key), other(field, value)] }
      end

      # The document once all its fields are there.
      def finish(document, _others)
        document
      end

      private

      def run(data)
        text, style_id, direct, source, objects, within = data
        Document::Run.new(text, style_id, @sets[direct], source, filled(objects), filled(within))
      end

      def filled(list)
        value(list).freeze unless list.nil? || list.empty?
      end

      def anchors(list)
        return Document::Paragraph::NO_ANCHORS unless list
        list.map { |place, object| Document::Anchor.new(place, value(object)) }.freeze
      end

      def other(field, data)
        case field
        when :styles
          Styles::StyleSheet.new(styles: data[:styles].to_h { |style| [style[:id], style(style)] },
            paragraph_defaults: @sets[data[:paragraph]], run_defaults: @sets[data[:run]])
        when :stories then stories(data)
        when :numbering then numbering(data)
        when :decisions then data.to_h { |id, said| [id.to_s.to_i, said] }.freeze
        else value(data).freeze
        end
      end

      def stories(data)
        return named_stories(data) if data.any? { |told| told.is_a?(Hash) && told.key?(:kind) }
        @original.stories.zip(data).map do |came, told|
          told = {paragraphs: told, section: came.section} if told.is_a?(Array)
          now = told[:paragraphs].map { |paragraph| known(paragraph(paragraph, came.paragraphs), came.paragraphs) }
          came.with(paragraphs: now.freeze, section: told[:section])
        end.freeze
      end

      def named_stories(data)
        known = @original.stories.to_h { |story| [story.key, story] }
        data.map do |told|
          came = known[told.values_at(:kind, :id)] || Document::Story.new(**told.slice(:kind, :id, :which))
          own = told[:paragraphs].map { |paragraph| paragraph(paragraph, came.paragraphs) }
          came.with(section: told[:section], which: told[:which], paragraphs: own.freeze)
        end.freeze
      end

      # Ids of what stands beside the text were its own in each part once.
      def known(paragraph, came)
        was = paragraph.source && came[paragraph.source]
        (was.nil? || was.id == paragraph.id) ? paragraph : paragraph.with(id: was.id)
      end

      def numbering(data)
        definitions = data[:definitions].to_h do |id, levels, style_id|
          [id, Document::Numbering::Definition.new(levels(levels), style_id)]
        end
        lists = data[:lists].to_h do |id, definition_id, starts, overrides|
          [id, Document::Numbering::List.new(definition_id, starts.to_h, levels(overrides))]
        end
        Document::Numbering.new(definitions, lists)
      end

      def levels(data)
        data.to_h { |number, level| [number, level(level)] }
      end

      # Values of kinds that earlier editions told without their names.
      def style(data)
        style = value(data)
        style.with(conditions: style.conditions.transform_keys(&:to_s).transform_values { |pair| pair.to_a.freeze }
          .freeze)
      end

      def level(data)
        value(data)
      end

      def value(data)
        case data
        when Array then data.map { |item| value(item) }.freeze
        when Hash
          return @sets[data[:number]] if data[:~] == "set"
          return Kinds.line_of(data) if Kinds::LINE.all? { |name| data.key?(name) }
          members = data.except(:~).transform_values { |item| value(item) }
          data.key?(:~) ? Kinds.make(data[:~], members) : members.freeze
        else data
        end
      end

      def cell_look(table)
        table && (@cells[table] ||= Document::CellLook.new(table[0], table[1].freeze))
      end
    end
  end
end
