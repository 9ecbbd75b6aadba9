# frozen_string_literal: true

module Norvel
  module Layout
    # What another state of the document was laid out to, and how much of it holds for this one: blocks whose paragraph
    # and letters are the same, sheets up to the first block that is another, and sheets from where pages begin at the
    # same places again.
    class LayoutBefore
      attr_reader :result

      def initialize(result, document)
        @result = result
        @document = document
        @was = result.document
      end

      # {paragraph => TextBlock}, by identity.
      def blocks
        @result.stories.setting.blocks
      end

      # The block of a paragraph that is the same but for the number of its section; nil for none.
      def twin(paragraph)
        return if @was.sections.equal?(@document.sections)
        @twins ||= blocks.to_h { |was, block| [was.id, block] }
        block = @twins[paragraph.id] or return
        block if block.paragraph.same_elsewhere?(paragraph)
      end

      # Do looks and lists come from the same styles, so that the same paragraph is the same block?
      def same_styles?
        @was.cascade.equal?(@document.cascade) && @was.settings.equal?(@document.settings)
      end

      # Are the letters of a paragraph set as they were, whatever its own look is?
      def same_letters?(paragraph)
        return true if same_styles? || styled_alike?(paragraph)
        formatting = paragraph.whole_formatting
        @same_letters ||= {}
        @same_letters.fetch(formatting) do
          @same_letters[formatting] = looks(@was, paragraph) == looks(@document, paragraph)
        end
      end

      # [how many parts of the text are the same from its begin, how many to its end], where the same parts are the same
      # blocks; nil where they may not be. values: FieldValues::InText of now
      def same_parts(values)
        return unless same_styles? && @was.sections.equal?(@document.sections) && same_markers?
        return if @result.stories.setting.narrowed?
        return unless values.equal?(@result.values) && @result.stories.whole?
        before = LayoutBefore.common(@was.blocks, @document.blocks) { |list, n| list[n] }
        most = [@was.blocks.size, @document.blocks.size].min - before
        [before, [LayoutBefore.common(@was.blocks, @document.blocks) { |list, n| list[-1 - n] }, most].min]
      end

      # Is nothing but words in the parts between, so that notes count as before?
      def same_notes?(before, after)
        [@was, @document].all? do |document|
          document.blocks[before...(document.blocks.size - after)].all? do |part|
            part.is_a?(Document::Paragraph) && part.plain?
          end
        end
      end

      # Sheets that hold, for the flow of Stories; nil where page set-ups, notes or heads are others, and where blocks
      # are set as sheets are filled.
      def sheets_for(stories)
        blocks = stories.body.blocks
        return if [stories, @result.stories].any?(&:set_late?)
        Sheets.new(@result.sheets, @result.stories.body.blocks, blocks) if same_pages?
      end

      def inspect
        "#<LayoutBefore #{@was.name}>"
      end

      # How many members of two lists are the very same, as the block picks them.
      def self.common(was, now)
        count = 0
        most = [was.size, now.size].min
        count += 1 while count < most && same?(yield(was, count), yield(now, count))
        count
      end

      # Tables are filled anew with what may be the same paragraphs.
      def self.same?(was, now)
        return was.equal?(now) unless was.is_a?(Document::Table) && now.is_a?(Document::Table)
        was.rows.size == now.rows.size && was.cells.zip(now.cells).all? { |one, other| same_cell?(one, other) } &&
          was.with(rows: []) == now.with(rows: [])
      end

      # Does a cell hold what it held before, set alike?
      def self.same_cell?(was, now)
        other = now or return false
        was.blocks.size == other.blocks.size && was.blocks.zip(other.blocks).all? { |one, two| same?(one, two) } &&
          was.with(blocks: []) == other.with(blocks: [])
      end
      private_class_method :same_cell?

      private

      # Do its styles set letters as they did?
      def styled_alike?(paragraph)
        return false if paragraph.table || !same_ground?
        letters_of?(paragraph.style_id, "paragraph") &&
          paragraph.runs.all? { |run| run.style_id.nil? || letters_of?(run.style_id, "character") }
      end

      def same_ground?
        return @same_ground unless @same_ground.nil?
        @same_ground = @was.numbering.equal?(@document.numbering) &&
          @was.styles.run_defaults == @document.styles.run_defaults
      end

      def letters_of?(id, type)
        known = (@letters_of ||= Hash.new { |all, kind| all[kind] = {} })[type]
        known.fetch(id) do
          known[id] = [@was, @document].map { |one|
            one.styles.chain(one.styles.resolve(id, type)).map(&:run)
          }.uniq.size == 1
        end
      end

      def looks(document, paragraph)
        ways = paragraph.whole_formatting.letters.map { |run| document.run_look(run, paragraph) }
        [*ways, document.run_look(Document::Run.new("", nil, paragraph.mark), paragraph),
          document.cascade.marker(paragraph)]
      end

      def same_markers?
        @was.markers == @document.markers
      end

      def same_pages?
        @was.sections.equal?(@document.sections) && @was.stories.equal?(@document.stories) &&
          @was.settings.equal?(@document.settings) && @was.styles.equal?(@document.styles) || same_beside?
      end

      # With other styles, the same while nothing stands beside the text.
      def same_beside?
        @was.sections.equal?(@document.sections) && @was.settings.equal?(@document.settings) &&
          @was.stories.empty? && @document.stories.empty?
      end

      # The sheets of a flow that still hold for another.
      class Sheets
        def initialize(sheets, was, now)
          @sheets = sheets
          @same_before = LayoutBefore.common(was, now) { |list, n| list[n] }
          most = [was.size, now.size].min - @same_before
          @same_after = [LayoutBefore.common(was, now) { |list, n| list[-1 - n] }, most].min
          @shift = now.size - was.size
          @joins_from = now.size - @same_after
          @now = now
        end

        # Those before the change. A page's end may hang on what follows it: the one before the change is laid out anew.
        def before
          @before ||= @sheets.first([begins - 1, 0].max)
        end

        # [place, what it came with, section] from which it goes on after them.
        def going_on
          first = @sheets[before.size]
          [first.start, first.came, @now[first.start.block].section]
        end

        # The rest, where a sheet that begins so is known; nil for none.
        def from(place, came, count)
          return if place.block < @joins_from
          @by_start ||= @sheets.each_with_index.select { |sheet, _| sheet.start }
            .to_h { |sheet, n| [[sheet.start.block + @shift, sheet.start.part], n] }
          number = @by_start[[place.block, place.part]] or return
          return unless @sheets[number].came == came
          @sheets.drop(number).each_with_index.map { |sheet, n| moved(sheet, count + n + 1) }
        end

        private

        # The number of the sheet that the change is on, or of one before it that can be begun at.
        def begins
          number = @sheets.rindex { |sheet| sheet.start && sheet.start.block < @same_before - 1 } || 0
          number -= 1 while number.positive? && (@sheets[number - 1].start.nil? || @sheets[number].start.nil?)
          number
        end

        def moved(sheet, page)
          return sheet if @shift.zero? && sheet.page == page
          start = sheet.start && Column::Place.new(sheet.start.block + @shift, sheet.start.part)
          sheet.with(page:, start:)
        end
      end
    end
  end
end
