# frozen_string_literal: true

module Norvel
  module Layout
    # The flows of a document: its text, its cells and boxes, its notes, its heads and feet.
    class Stories
      EDGES = {top: 0.0, right: 0.0, bottom: 0.0, left: 0.0}.freeze
      DEEPEST = 12 # tables within tables; what is nested deeper is set as text alone
      NOTHING_HUNG = Hung.new([].freeze, [].freeze, true, false).freeze
      TALLEST = 0.9 # of a column that an object may take

      attr_reader :document, :numbers, :setting

      # values: FieldValues::InText; earlier: LayoutBefore or nil
      def initialize(document, values, earlier: nil)
        @document = document
        @values = values
        @earlier = earlier
        @same = earlier&.same_parts(values)
        @numbers = numbers_of_notes
        @setting = TextSetting.new(document, @numbers, earlier:, boxes: method(:box))
        @measures = {}
        @notes = {}
        @heads = {}
        @depth = 0
      end

      # The text of the document, with endnotes after it.
      def body
        @body ||= flow(text + endnotes)
      end

      # The blocks of the text, as many as it has parts unless tables were nested too deep.
      def text
        @text ||= (@same && @numbers.equal?(@earlier.result.stories.numbers)) ? text_from(*@same) : set(document.blocks)
      end

      # Lets go of the layout before, whose blocks it has taken over: what is asked for later is set by itself.
      def done
        body
        @earlier = @same = nil
        setting.done
      end

      # A block of the text as it is in another measure.
      def set_for(block, measure)
        return table(block.table, measure, block.section, false, @values).first if block.is_a?(TableBlock)
        return block if block.beside? || block.setting.measure == measure
        again(block, measure, block.setting.hung)
      end

      # A block whose lines from one on stand in another measure.
      def turned(block, line, measure)
        hung = block.setting.hung || NOTHING_HUNG
        turns = [*hung.turns, [line, block.setting.measure - measure]]
        again(block, block.setting.measure, hung.dup.tap { |one| one.turns = turns })
      end

      # A block whose lines give way to what stands at places of the sheet: Placements::Place. pushed: does it begin a
      # page?
      def giving_way(block, places, pushed)
        hung = block.setting.hung || NOTHING_HUNG
        apart, beside = places.partition { |one| one.wrap == "apart" }
        again(block, block.setting.measure, Hung.new(hung.taking + beside.map { |one| one.to_a.drop(1) },
          hung.apart + apart.map { |one| [one.top, one.bottom] }, true, pushed, hung.turns))
      end

      # Are blocks set as sheets are filled, since their lines hang on where they come to stand?
      def set_late?
        body
        setting.elsewhere? || document.sections.any?(&:unequal_columns)
      end

      # Is each part of the text one block?
      def whole?
        text.size == document.blocks.size
      end

      # The Flow of a note, by its story's id.
      def note(id)
        @notes[id] ||= begin
          story = story("footnote", id)
          story ? beside(story, note_measure(id)) : flow([])
        end
      end

      # The Flow of a head or foot. values: what says the values of fields on a sheet
      def head(story, measure, values)
        blocks = blocks(story.blocks, beside: true, values:) { measure }
        flow(blocks)
      end

      # The measure of a column of a section, by its number.
      def measure(section)
        @measures[section] ||= begin
          told = document.sections[section - 1] || document.sections.last
          [Frame.columns(told).map(&:last).min, LineBreaker::LEAST].max
        end
      end

      # The height of a column of text, about, for objects that stand in it.
      def room(section)
        told = document.sections[section - 1] || document.sections.last
        [(told.height - told.margin_top.abs - told.margin_bottom.abs) * TALLEST, 36.0].max
      end

      def inspect
        "#<Stories of #{document.name}>"
      end

      private

      def again(block, measure, hung)
        setting.block(block.paragraph, measure, section: block.section, values: @values, room: room(block.section),
          hung:)
      end

      def set(parts)
        blocks(parts) { |section| measure(section) }
      end

      # What is the same before and after, with what is set anew between.
      def text_from(before, after)
        was = @earlier.result.stories
        setting.take_over(was.setting)
        parts = document.blocks
        was.text.first(before) + set(parts[before...(parts.size - after)]) + was.text.last(after)
      end

      def flow(blocks)
        Flow.new(blocks, document.cascade.rules, document.settings)
      end

      # Blocks of paragraphs and tables; the measure is asked for by section.
      def blocks(parts, beside: false, values: @values, section: nil)
        last = nil
        found = parts.each_with_index.flat_map do |part, place|
          if part.is_a?(Document::Table)
            last = nil
            inside = part.cells.filter_map { |cell| first_paragraph(cell.blocks) }.first
            number = section || inside&.section || 1
            table(part, yield(number), number, beside, values)
          elsif !setting.hidden?(part)
            number = section || part.section
            hung = hung_before(last, part, parts[place + 1])
            made = setting.block(part, yield(number), section: number, beside:, values:, room: room(number), hung:)
            last = [part, made]
            made
          end
        end
        found.compact
      end

      # Those of the layout before where nothing but words is another, and no page counts.
      def numbers_of_notes
        by_page = NoteNumbers.by_page?(document)
        return @earlier.result.stories.numbers if !by_page && @same && @earlier.same_notes?(*@same)
        NoteNumbers.new(document, @values.note_sheets)
      end

      # What of the paragraph before hangs beside this one too, as Hung; nil where nothing does and nothing
      # may hang at this one. last: [paragraph, its block] before it, or nil
      def hung_before(last, part, following)
        above, block = last
        return if part.plain? && !(block && block.hung?)
        left = (block && above.section == part.section) ? block.left_over : []
        goes_on = following.is_a?(Document::Paragraph) && following.section == part.section
        return (Hung.new([].freeze, [].freeze, goes_on) if goes_on) if left.empty?
        space = document.cascade.rules.space_between(document.look(above), document.look(part),
          same_style: above.style_id == part.style_id, settings: document.settings)
        still = left.filter_map { |height, *takes| [0.0, height - space, *takes] if height > space }
        Hung.new(still, [].freeze, goes_on)
      end

      def first_paragraph(blocks)
        first = blocks.first
        first.is_a?(Document::Table) ? first.cells.filter_map { |cell| first_paragraph(cell.blocks) }.first : first
      end

      # A table as a TableBlock; as the blocks in its cells where tables are nested too deep.
      def table(table, measure, section, beside, values)
        if @depth >= DEEPEST
          return table.cells.flat_map { |cell| blocks(cell.blocks, beside:, values:, section:) { measure } }
        end
        @depth += 1
        columns = TableColumns.new(table, measure)
        rows = table.rows.map { |row| row(row, columns, section, beside, values) }
        [TableBlock.new(table, rows, x: columns.x, width: columns.width, section:)]
      ensure
        @depth -= 1 if @depth.positive?
      end

      def row(row, columns, section, beside, values)
        column = row.skipped
        cells = row.cells.filter_map do |cell|
          x, width = columns.cell(column, cell.columns)
          column += cell.columns
          next if cell.continued
          margins = EDGES.merge(document.conventions.cell_margins, cell.margins)
          room = [width - margins[:left] - margins[:right], LineBreaker::LEAST].max
          inside = flow(blocks(cell.blocks, beside:, values:, section:) { room })
          TableRow::Cell.new(x, width, inside, cell.rows, margins, cell.borders, cell.shading, cell.vertical_align)
        end
        TableRow.new(cells, told: row.height, rule: row.height_rule, header: row.header, may_split: row.may_split)
      end

      # The Flow of a text box.
      def box(box, width)
        @boxes ||= Document::Blocks.new(document.paragraphs, document.tables)
        flow(blocks(@boxes.in(box.id), beside: false, section: 1) { [width, LineBreaker::LEAST].max })
      end

      def story(kind, id)
        @by_name ||= document.stories.to_h { |one| [[one.kind, one.id], one] }
        @by_name[[kind, id]]
      end

      def beside(story, measure)
        flow(blocks(story.blocks, beside: true) { measure })
      end

      # A note is as wide as the text it is called in.
      def note_measure(id)
        @note_sections ||= document.paragraphs.each_with_object({}) do |paragraph, found|
          next if paragraph.plain?
          paragraph.runs.each do |run|
            run.objects.each { |object| found[object.note] ||= paragraph.section if object.is_a?(Document::NoteMark) }
          end
        end
        measure(@note_sections[id] || 1)
      end

      def endnotes
        return [] if numbers.endnotes.empty?
        last = document.sections.size
        numbers.endnotes.flat_map do |id|
          story = story("endnote", id)
          story ? blocks(story.blocks, beside: true, section: last) { measure(last) } : []
        end
      end
    end
  end
end
