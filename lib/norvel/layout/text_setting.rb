# frozen_string_literal: true

module Norvel
  module Layout
    # Sets the paragraphs of one document: set_items from the runs, lines from the measure, heights from the look.
    class TextSetting
      # How a block was set: what its set_items was made of, and what its lines were broken by. Where both are the same,
      # the block is the same for another look that only spaces it otherwise.
      Key = Struct.new(:paragraph, :looks, :measure, :indents, :tabs, :marker, :values, :hung, :grid)

      TABS = Styles::Properties[:tabs].type
      PIECE = /[\t\n\f\v\uFFFC\uFFFA\uFFF9]|[^\t\n\f\v\uFFFC\uFFFA\uFFF9]+/
      SEPARATORS = "\t\n\f\v"
      # A picture, box or part of a formula in a line, as it is set: from the baseline up; inside: the Column of a box;
      # formula: Formulas::Box
      InlineObject = Struct.new(:object, :width, :height, :inside, :formula) do
        # From the baseline down.
        def depth
          formula ? formula.descent : 0.0
        end
      end
      # Where objects of a paragraph stand: what hangs at it, as it is found; the most that one may be high, or nil; the
      # Document::Section; text: are they in the text itself?
      Around = Struct.new(:floats, :room, :section, :text)
      BOX_EDGE = 7.2 # points from the edge of a box to its text: ISO/IEC 29500-1 20.4.2.22, 91440 EMU
      NOT = %w[0 false off].freeze
      BREAKS = {"\n" => SetItems::LINE, "\f" => SetItems::PAGE, "\v" => SetItems::COLUMN}.freeze

      attr_reader :document

      # numbers: NoteNumbers; earlier: LayoutBefore or nil; boxes: called with a text box and its width, gives its Flow
      def initialize(document, numbers, earlier: nil, boxes: nil)
        @document = document
        @numbers = numbers
        @earlier = earlier
        @known = earlier&.blocks
        @boxes = boxes
        @cascade = document.cascade
        @letters = {}.compare_by_identity
        @tab_rows = {}.compare_by_identity
        @markers = document.markers
        @blocks = {}.compare_by_identity
        @computed = []
        @formulas = FormulaSetting.new(document)
      end

      # {paragraph => TextBlock} of what it has set, by identity; computed: paragraphs that hold more than words.
      attr_reader :blocks, :computed

      # The TextBlock of a paragraph in a measure, in points.
      #   section: its number; beside: does it stand in a note, head or foot? room: the most that an object may be high;
      #   values: what says the values of its fields
      #   hung: Hung, or nil
      def block(paragraph, measure, section:, values:, beside: false, room: nil, hung: nil)
        Thread.pass # one of thousands: who has little to do goes before
        known = @known && (@known[paragraph] || @earlier.twin(paragraph))
        block = (untouched(known, paragraph, measure, section) unless hung&.any?) ||
          set_anew(known, paragraph, measure, section, values, beside, room, hung)
        @computed << paragraph if block.setting.values && !beside
        @narrowed ||= block.narrowed?
        @elsewhere ||= !beside && block.floats.any?(&:elsewhere?)
        @blocks[paragraph] = block
      end

      # Do lines of any paragraph stand beside what hangs at one before?
      def narrowed?
        @narrowed
      end

      # Does text give way to anything that stands at a place of the page?
      def elsewhere?
        @elsewhere
      end

      # Is nothing of it seen, its end included? Then it takes no room.
      def hidden?(paragraph)
        mark = paragraph.mark[:hidden] or return false
        mark && paragraph.runs.all? { |run| @cascade.run(run, paragraph)[:hidden] }
      end

      # A known block as it is or under its new look, told without looking at its runs: only words, in the same letters,
      # broken by the same measures.
      def untouched(known, paragraph, measure, section)
        key = known&.setting
        return if known&.placed? || known&.narrowed?
        return unless key && key.measure == measure && key.values.nil? && key.marker == @markers[paragraph.id]
        return unless @earlier.same_letters?(paragraph)
        look = document.look(paragraph)
        return unless key.grid == grid(paragraph, look, section)
        return known if known.look.equal?(look) && known.section == section && known.paragraph.equal?(paragraph)
        known.dressed(look, section:, paragraph:) if same_indents?(key.indents, look) && key.tabs == look[:tabs]
      end

      # Holds what another setting made of paragraphs that are still there, until it is made anew.
      def take_over(other)
        @blocks = other.blocks.dup.keep_if { |paragraph, _| document.same_paragraph?(paragraph) }
        @narrowed = other.narrowed?
        @elsewhere = other.elsewhere?
        @computed = other.computed.select { |paragraph| document.same_paragraph?(paragraph) }
      end

      # Lets go of the layout before.
      def done
        @earlier = @known = nil
      end

      # The TextBlock of a paragraph, from one known where that is set alike.
      def set_anew(known, paragraph, measure, section, values, beside, room, hung)
        look = document.look(paragraph)
        key = key(paragraph, look, measure, values, hung, (grid(paragraph, look, section) unless beside))
        return set(paragraph, look, key, section, beside, room, known) if known&.setting != key || known.placed?
        (known.look.equal?(look) && known.section == section) ? known : known.dressed(look, section:)
      end

      # Letters of a look, one object each.
      def letters(look)
        @letters[look] ||= Letters.new(look)
      end

      def inspect
        "#<TextSetting of #{document.name}>"
      end

      private

      def key(paragraph, look, measure, values, hung, grid)
        looks = paragraph.runs.map { |run| @cascade.run(run, paragraph) }
        marker = @markers[paragraph.id]
        looks << @cascade.marker(paragraph) if marker
        looks << mark(paragraph) if paragraph.runs.empty?
        values = paragraph.plain? ? nil : fields_in(paragraph, values)
        number = unsigned_number(paragraph) and values = {LEAD => number, **values.to_h}
        Key.new(paragraph, looks, measure, indents(look), look[:tabs], marker, values, hung, grid)
      end

      def same_indents?(indents, look)
        indents[0] == look[:indent_left] && indents[1] == look[:indent_right] && indents[2] == look[:first_line]
      end

      def indents(look)
        [look[:indent_left], look[:indent_right], look[:first_line]]
      end

      # {field or note => its text} of what is computed in a paragraph.
      def fields_in(paragraph, values)
        marks = paragraph.runs.flat_map { |run| run.objects.grep(Document::NoteMark) }
        notes = marks.to_h { |mark| [mark, @numbers.of(mark, paragraph)] }
        notes.merge(values&.of(paragraph) || {})
      end

      LEAD = :lead # before the words of a note that has no sign of its own

      # The number of a note whose file puts none at its begin.
      def unsigned_number(paragraph)
        return unless Document::Story.id?(paragraph.id)
        story = @document.story_of(paragraph.id)
        return unless story.note? && story.paragraphs.first.equal?(paragraph)
        signed = paragraph.runs.any? { |run| run.objects.any? { |object| object.is_a?(Document::NoteMark) } }
        @numbers.of_story(story) unless signed
      end

      def mark(paragraph)
        @cascade.run(Document::Run.new("", nil, paragraph.mark), paragraph)
      end

      def set(paragraph, look, key, section, beside, room, known)
        floats = []
        around = Around.new(floats, room, document.sections[section - 1] || document.sections.last,
          !beside && paragraph.part == :body)
        set_items = scaled(known, key) || set_items(paragraph, look, key, around)
        set_items, lines = lines(set_items, paragraph, look, key, floats)
        TextBlock.new(paragraph, look, set_items, lines, section:, beside:, floats:, hung: key.hung, setting: key,
          style_id: document.style_of(paragraph)&.id)
      end

      # --- set_items ---

      # Copy that is known in another size: its words are not measured again.
      def scaled(known, key)
        return if known.nil? || known.set_items.cut? || known.set_items.objects || key.values || known.floats.any?
        was = known.setting
        return unless was.values.nil? && was.marker == key.marker && was.looks.size == key.looks.size
        held = known.set_items.kinds
        places = held.map { |letters| was.looks.index { |look| look.equal?(letters.look) } }
        now = places.map { |at| at && letters(key.looks[at]) }
        return unless held.zip(now).all? { |one, other| other && one.like?(other) }
        sizes = held.zip(now).to_h.compare_by_identity
        known.set_items.scaled(sizes)
      end

      def set_items(paragraph, look, key, around)
        first = letters(key.looks.first || mark(paragraph))
        return single(paragraph, first) if key.marker.nil? && key.values.nil? && simple?(paragraph)
        base = letters(visible(paragraph, key) || mark(paragraph))
        set_items = SetItems.new(base)
        unless key.marker.to_s.empty?
          put_marker(set_items, paragraph, look, letters(key.looks[paragraph.runs.size]))
        end
        set_items.words("#{key.values[LEAD]} ", base) if key.values&.key?(LEAD)
        put_runs(set_items, paragraph, key, around)
        set_items.finish
      end

      def put_runs(set_items, paragraph, key, around)
        @shown_fields = {}
        return put_among_equations(set_items, paragraph, key, around) if paragraph.equations.any?
        paragraph.runs.each_with_index { |run, number|
          put_run(set_items, run, letters(key.looks[number]), paragraph, key, around)
        }
      end

      def put_among_equations(set_items, paragraph, key, around)
        equations = paragraph.equations.dup
        place = 0
        paragraph.runs.each_with_index do |run, number|
          letters = letters(key.looks[number])
          @formulas.put_all(set_items, equations.delete(place), letters, key.measure)
          put_run(set_items, run, letters, paragraph, key, around)
          place += run.text.size
        end
        last = key.looks[paragraph.runs.size - 1] || mark(paragraph)
        @formulas.put_all(set_items, equations.values.flatten, letters(last), key.measure)
      end

      def simple?(paragraph)
        paragraph.runs.size == 1 && paragraph.plain? && !special?(paragraph.runs[0], paragraph.runs[0].text)
      end

      # Are there more than words in it?
      def special?(run, text)
        run.carried || text.count(SEPARATORS).positive?
      end

      def single(paragraph, letters)
        set_items = SetItems.new(letters)
        set_items.words(paragraph.runs[0].text, letters) unless letters.look[:hidden]
        set_items.finish
      end

      # The look of the first run that has letters; a paragraph without any is as high as its mark.
      def visible(paragraph, key)
        at = paragraph.runs.index { |run| run.text.match?(/[^\uFFF9]/) }
        at && key.looks[at]
      end

      def put_run(set_items, run, letters, paragraph, key, around)
        return if letters.look[:hidden]
        text = field_text(run, key) || run.text
        return set_items.words(text, letters) unless special?(run, text)
        objects = run.objects.dup
        text.scan(PIECE) do |piece|
          case piece
          when "\t" then set_items.tab(letters)
          when "\uFFFC", "\uFFFA" then put_object(set_items, objects.shift, letters, key, around)
          when "\uFFF9" then objects.shift
          when *BREAKS.keys then set_items.break(BREAKS[piece], letters)
          else set_items.words(piece, letters)
          end
        end
      end

      # What a field says now, where it is computed from pages; nil where the words are the file's.
      def field_text(run, key)
        return unless run.spans && key.values
        field = run.within.reverse_each.find { |span| span.is_a?(Document::FieldResult) || span.is_a?(Document::Field) }
        return unless field && (value = key.values[id = field.is_a?(Document::Field) ? field.id : field.field])
        return if run.text.match?(/\uFFF9/) && !run.text.match?(/[^\uFFF9]/)
        return "" if @shown_fields[id]
        @shown_fields[id] = true
        value
      end

      def put_object(set_items, object, letters, key, around)
        case object
        when Document::NoteMark then put_note(set_items, object, letters, key)
        when Document::Image, Document::TextBox then put_inline(set_items, object, letters, key, around)
        end
      end

      def put_note(set_items, mark, letters, key)
        set_items.note(mark.note) if mark.note && mark.of == "footnote"
        number = key.values[mark]
        set_items.words(number, marking(raised(letters))) if number
      end

      # Letters of their own, so that the mark of a note is told from the words around it.
      def marking(letters)
        (@marking ||= {}.compare_by_identity)[letters] ||= letters.of_note
      end

      # In a format that says nothing of it, the mark of a note is raised (ISO/IEC 26300-1 16.27.31: common practice).
      def raised(letters)
        return letters unless @document.conventions.note_marks_raised && letters.look[:position] == "normal"
        (@raised ||= {}.compare_by_identity)[letters] ||= Letters.new(
          Styles::Look.new(letters.look.values.merge(position: "super"))
        )
      end

      # An object is never wider than its line, nor higher than a page.
      def put_inline(set_items, object, letters, key, around)
        return @formulas.put(set_items, object, letters, key.measure) if object.is_a?(Document::Image) && object.formula
        width, height = object.width || 72.0, object.height || 36.0
        scale = [1.0, key.measure / [width, 1.0].max].min
        width, height = width * scale, height * scale
        height = [height, around.room].compact.min
        inside = boxed(object, width) if object.is_a?(Document::TextBox)
        height = [[height, inside.height].max, around.room].compact.min if inside
        return set_items.object(InlineObject.new(object, width, height, inside), width, letters) unless object.floating
        around.floats << Hanging.new(object, width, height, inside, measure: key.measure, section: around.section,
          text: around.text)
      end

      # What stands in a box, in one column.
      def boxed(box, width)
        @boxes&.call(box, width - (2 * BOX_EDGE))&.whole
      end

      def put_marker(set_items, paragraph, look, letters)
        level = @document.numbering.level(*@cascade.list_of(paragraph))
        set_items.words(@markers[paragraph.id], letters)
        case level&.suffix
        when "tab" then set_items.tab(letters)
        when "space" then set_items.words(" ", letters)
        end
        set_items.end_marker
      end

      # --- lines ---

      def lines(set_items, paragraph, look, key, floats)
        left, right, first = key.indents
        room = key.measure - left - right
        stops = tab_row(look, left, first)
        breaker = LineBreaker.new(set_items, [left + first, room - first], [left, room], stops:,
          hyphenation: hyphenation(look, set_items.letters), beside: beside(floats, key, look, set_items.letters))
        lines = breaker.lines
        [breaker.set_items, lines]
      end

      # What lines lose to what stands beside them: Hung#lines, nil for nothing.
      def beside(floats, key, look, letters)
        hung = key.hung || Hung::NONE
        own = floats.select(&:beside?).map { |one| [*one.span, *one.takes] }
        return hung.turned if own.empty? && hung.taking.empty?
        lead, = LineHeight.of(look[:line_spacing], letters.ascent, letters.descent, grid: key.grid)
        hung.lines(own, lead)
      end

      def tab_row(look, left, first)
        @tab_rows[look] ||= TabRow.new(TABS.seen(look[:tabs]), (left if first.negative?),
          @document.settings.default_tab_stop || 36.0)
      end

      ON_GRID = %w[lines linesAndChars snapToChars].freeze

      # The pitch that lines of the text stand on, nil for none; those in tables don't (common practice).
      def grid(paragraph, look, section)
        grid = (document.sections[section - 1] || document.sections.last)&.line_grid
        return unless grid && paragraph.part == :body && ON_GRID.include?(grid[:type])
        grid[:pitch] if grid[:pitch]&.positive? && !off?(look[:snapToGrid_paragraph])
      end

      def off?(carried)
        !carried.nil? && NOT.include?((carried.is_a?(Hash) ? carried[:val] : carried).to_s)
      end

      def hyphenation(look, letters)
        return (Hyphenation if letters.look[:hyphenated]) if @document.conventions.hyphenated_by_letters
        return unless @document.settings.hyphenated
        off = look[:suppressAutoHyphens_paragraph]
        Hyphenation if off.nil? || off?(off)
      end
    end
  end
end
