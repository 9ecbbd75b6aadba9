# frozen_string_literal: true

require "zlib"

module Norvel
  # A state of a document as bytes, told by what differs from the document as it came: what is untouched is named by its
  # place in the file. Likewise a change, told by what takes it back. Plain data (JSON, deflated), so that it outlives releases.
  module Snapshot
    VERSION = 2
    READABLE = [1, 2].freeze

    module_function

    # The bytes for a document that was made from +original+ by edits.
    def dump(document, original)
      pack = Pack.new(original)
      paragraphs = document.paragraphs.map { |paragraph| pack.paragraph(paragraph) }
      deflate(version: VERSION, paragraphs:, others: pack.others(document), sets: pack.sets)
    end

    # The document again. Raises Error on what dump did not write.
    def load(bytes, original)
      data = inflate(bytes)
      unpack = Unpack.new(original, data[:sets])
      original.with(paragraphs: data[:paragraphs].map { |paragraph| unpack.paragraph(paragraph) }.freeze, **unpack.others(data[:others]))
    end

    # The bytes that take a change back.
    def dump_change(change, original)
      pack = Pack.new(original)
      splices = change.splices.map { |position, before, after| [position, before.map { |p| pack.paragraph(p) }, after.size] }
      others = change.others.to_h { |field, (before, _)| [field, pack.other(field, before)] }
      deflate(version: VERSION, title: change.title, splices:, others:, sets: pack.sets)
    end

    # The document before that change. +document+ is the one the change led to.
    def take_back(bytes, document, original)
      data = inflate(bytes)
      unpack = Unpack.new(original, data[:sets])
      paragraphs = document.paragraphs.dup
      data[:splices].reverse_each { |position, before, size| paragraphs[position, size] = before.map { |p| unpack.paragraph(p) } }
      document.with(paragraphs: paragraphs.freeze, **unpack.others(data[:others]))
    end

    def deflate(data)
      Zlib.deflate(JSON.generate(data), Zlib::BEST_SPEED)
    end

    def inflate(bytes)
      data = JSON.parse(Zlib.inflate(bytes), symbolize_names: true)
      raise Error, "This document was saved by another edition of Norvel." unless READABLE.include?(data[:version])
      data
    end

    # To plain data. Equal property sets are told once.
    class Pack
      attr_reader :sets

      def initialize(original)
        @original = original
        @sets = []
        @numbers = {}
      end

      # +came+: the paragraphs of the file among which it may stand unchanged
      def paragraph(paragraph, came = @original.paragraphs)
        return paragraph.source if paragraph.source && paragraph.equal?(came[paragraph.source])
        [paragraph.id, paragraph.part, paragraph.section, paragraph.style_id, set(paragraph.direct), set(paragraph.mark),
          paragraph.runs.map { |run| [run.text, run.style_id, set(run.direct), run.source] }, paragraph.table&.to_a, paragraph.source, paragraph.holds]
      end

      def others(document)
        %i[sheet sections page_styles pictures stories info numbering].reject { |field| document.public_send(field).equal?(@original.public_send(field)) }.to_h { |field| [field, other(field, document.public_send(field))] }
      end

      def other(field, value)
        case field
        when :sheet then {styles: value.styles.values.map { |style| style(style) }, paragraph: set(value.paragraph_defaults), run: set(value.run_defaults)}
        when :sections, :page_styles, :pictures then value.map(&:to_h)
        when :stories then value.zip(@original.stories).map { |story, came| story.paragraphs.map { |p| paragraph(p, came.paragraphs) } }
        when :numbering then {definitions: value.definitions.map { |id, definition| [id, levels(definition.levels), definition.style_id] }, lists: value.lists.map { |id, list| [id, list.definition_id, list.starts.to_a, levels(list.overrides)] }}
        else value
        end
      end

      private

      def style(style)
        style.to_h.merge(paragraph: set(style.paragraph), run: set(style.run), conditions: style.conditions.map { |name, (paragraph, run)| [name, set(paragraph), set(run)] })
      end

      def levels(levels)
        levels.map { |number, level| [number, level.to_h.merge(paragraph: set(level.paragraph), run: set(level.run))] }
      end

      def set(set)
        @numbers[set] ||= (@sets << set.values).size - 1
      end
    end

    # From plain data.
    class Unpack
      def initialize(original, sets)
        @original = original
        @sets = sets.map { |values| Styles::PropertySet.of(values) }
        @cells = {}
      end

      def paragraph(data, came = @original.paragraphs)
        return came.fetch(data) if data.is_a?(Integer)
        id, part, section, style_id, direct, mark, runs, table, source, holds = data
        runs = runs.map { |text, character, set, run_source| Document::Run.new(text, character, @sets[set], run_source) }
        Document::Paragraph.new(id, part.to_sym, section, style_id, @sets[direct], @sets[mark], runs.freeze, cell(table), source, holds&.to_sym)
      end

      def others(data)
        data.to_h { |field, value| [field, other(field, value)] }
      end

      private

      def other(field, value)
        case field
        when :sheet then Styles::StyleSheet.new(styles: value[:styles].to_h { |style| [style[:id], style(style)] }, paragraph_defaults: @sets[value[:paragraph]], run_defaults: @sets[value[:run]])
        when :sections then value.map { |section| Document::Section.new(**section) }.freeze
        when :pictures then value.map { |picture| Document::Picture.new(**picture) }.freeze
        when :stories then @original.stories.zip(value).map { |came, paragraphs| Document::Story.new(came.kind, came.section, paragraphs.map { |p| paragraph(p, came.paragraphs) }.freeze) }.freeze
        when :page_styles then value.map { |style| Document::PageStyle.new(**style) }.freeze
        when :numbering then numbering(value)
        else value.freeze
        end
      end

      def style(data)
        conditions = data[:conditions].to_h { |name, paragraph, run| [name, [@sets[paragraph], @sets[run]]] }
        Styles::Style.new(**data, paragraph: @sets[data[:paragraph]], run: @sets[data[:run]], conditions:)
      end

      def numbering(data)
        return first_numbering(data) if data.is_a?(Array)
        definitions = data[:definitions].to_h { |id, levels, style_id| [id, Document::Numbering::Definition.new(levels(levels), style_id)] }
        Document::Numbering.new(definitions, data[:lists].to_h { |id, definition_id, starts, overrides| [id, Document::Numbering::List.new(definition_id, starts.to_h, levels(overrides))] })
      end

      # As version 1 told it, list by list with its levels: those that the file lacks are new ones.
      def first_numbering(data)
        data.inject(@original.numbering) do |now, (id, _, levels, starts)|
          next now if now.known?(id)
          now, definition_id = now.define(Document::Numbering::Definition.new(levels(levels)))
          Document::Numbering.new(now.definitions, now.lists.merge(id => Document::Numbering::List.new(definition_id, starts.to_h)))
        end
      end

      def levels(data)
        data.to_h { |number, level| [number, Document::ListLevel.new(**level, paragraph: @sets[level[:paragraph]], run: level[:run] ? @sets[level[:run]] : Styles::PropertySet::EMPTY)] }
      end

      def cell(data)
        data && (@cells[data] ||= Document::Cell.new(data[0], data[1].freeze))
      end
    end
  end
end
