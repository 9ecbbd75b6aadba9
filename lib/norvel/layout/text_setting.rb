# frozen_string_literal: true

module Norvel
  module Layout
    # Sets the paragraphs of one document: copy from the runs, lines from the measure, heights from the look.
    class TextSetting
      # How a block was set: what its copy was made of, and what its lines were broken by. Where both are the same, the
      # block is the same for another look that only spaces it otherwise.
      Key = Struct.new(:paragraph, :looks, :measure, :indents, :tabs, :marker, :values)

      TABS = Styles::Properties[:tabs].type
      PIECE = /[\t\n\f\v\uFFFC\uFFFA\uFFF9]|[^\t\n\f\v\uFFFC\uFFFA\uFFF9]+/
      SEPARATORS = "\t\n\f\v"
      # A picture or box as it is set; inside: the Column of a box.
      InlineObject = Struct.new(:object, :width, :height, :inside)
      BOX_EDGE = 7.2 # points from the edge of a box to its text: ISO/IEC 29500-1 20.4.2.22, 91440 EMU
      NOT = %w[0 false off].freeze
      BREAKS = {"\n" => SetItems::LINE, "\f" => SetItems::PAGE, "\v" => SetItems::COLUMN}.freeze

      attr_reader :document

      # numbers: NoteNumbers; earlier: Earlier or nil; boxes: called with a text box and its width, gives its Flow
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
      end

      # {paragraph => TextBlock} of what it has set, by identity; computed: paragraphs that hold more than words.
      attr_reader :blocks, :computed

      # The TextBlock of a paragraph in a measure, in points.
      #   section: its number; beside: does it stand in a note, head or foot? room: the most that an object may be high;
      #   values: what says the values of its fields
      def block(paragraph, measure, section:, values:, beside: false, room: nil)
        Thread.pass # one of thousands: who has little to do goes before
        known = @known && (@known[paragraph] || @earlier.twin(paragraph))
        block = untouched(known, paragraph, measure, section) ||
          set_anew(known, paragraph, measure, section, values, beside, room)
        @computed << paragraph if block.setting.values && !beside
        @blocks[paragraph] = block
      end

      # Is nothing of it seen, its end included? Then it takes no room.
      def hidden?(paragraph)
        mark = paragraph.mark[:hidden] or return false
        mark && paragraph.runs.all? { |run| @cascade.run(run, paragraph)[:hidden] }
      end

      # A known block as it is or under its new look, told without looking at its runs: only words, in the same letters,
      # broken by the same measures.
      def untouched(known, paragraph, measure, section)
        way = known&.setting
        return unless way && way.measure == measure && way.values.nil? && way.marker == @markers[paragraph.id]
        return unless @earlier.same_letters?(paragraph)
        look = document.look(paragraph)
        return known if known.look.equal?(look) && known.section == section && known.paragraph.equal?(paragraph)
        known.dressed(look, section:, paragraph:) if same_indents?(way.indents, look) && way.tabs == look[:tabs]
      end

      # Holds what another setting made of paragraphs that are still there, until it is made anew.
      def take_over(other)
        @blocks = other.blocks.dup.keep_if { |paragraph, _| document.same_paragraph?(paragraph) }
        @computed = other.computed.select { |paragraph| document.same_paragraph?(paragraph) }
      end

      # Lets go of the layout before.
      def done
        @earlier = @known = nil
      end

      def set_anew(known, paragraph, measure, section, values, beside, room)
        look = document.look(paragraph)
        way = way(paragraph, look, measure, values)
        return set(paragraph, look, way, section, beside, room, known) unless known && known.setting == way
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

      def way(paragraph, look, measure, values)
        looks = paragraph.runs.map { |run| @cascade.run(run, paragraph) }
        marker = @markers[paragraph.id]
        looks << @cascade.marker(paragraph) if marker
        looks << mark(paragraph) if paragraph.runs.empty?
        values = paragraph.plain? ? nil : told_in(paragraph, values)
        number = unsigned_number(paragraph) and values = {LEAD => number, **values.to_h}
        Key.new(paragraph, looks, measure, indents(look), look[:tabs], marker, values)
      end

      def same_indents?(indents, look)
        indents[0] == look[:indent_left] && indents[1] == look[:indent_right] && indents[2] == look[:first_line]
      end

      def indents(look)
        [look[:indent_left], look[:indent_right], look[:first_line]]
      end

      # {field or note => its text} of what is computed in a paragraph.
      def told_in(paragraph, values)
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

      def set(paragraph, look, way, section, beside, room, known)
        floats = []
        copy = scaled(known, way) || copy(paragraph, look, way, floats, room)
        copy, lines = lines(copy, paragraph, look, way)
        TextBlock.new(paragraph, look, copy, lines, section:, beside:, floats:, setting: way,
          style_id: document.style_of(paragraph)&.id)
      end

      # --- copy ---

      # Copy that is known in another size: its words are not measured again.
      def scaled(known, way)
        return if known.nil? || known.copy.cut? || known.copy.objects || way.values || known.floats.any?
        was = known.setting
        return unless was.values.nil? && was.marker == way.marker && was.looks.size == way.looks.size
        held = known.copy.kinds
        places = held.map { |letters| was.looks.index { |look| look.equal?(letters.look) } }
        now = places.map { |at| at && letters(way.looks[at]) }
        return unless held.zip(now).all? { |one, other| other && one.like?(other) }
        sizes = held.zip(now).to_h.compare_by_identity
        known.copy.scaled(sizes)
      end

      def copy(paragraph, look, way, floats, room)
        first = letters(way.looks.first || mark(paragraph))
        return single(paragraph, first) if way.marker.nil? && way.values.nil? && simple?(paragraph)
        base = letters(visible(paragraph, way) || mark(paragraph))
        copy = SetItems.new(base)
        put_marker(copy, paragraph, look, letters(way.looks[paragraph.runs.size])) if way.marker && !way.marker.empty?
        copy.words("#{way.values[LEAD]} ", base) if way.values&.key?(LEAD)
        place = 0
        @said = {}
        paragraph.runs.each_with_index do |run, number|
          put_run(copy, run, letters(way.looks[number]), paragraph, way, floats, room)
          put_equations(copy, paragraph, place, place += run.text.size, letters(way.looks[number]))
        end
        copy.finish
      end

      def simple?(paragraph)
        paragraph.runs.size == 1 && paragraph.plain? && !special?(paragraph.runs[0], paragraph.runs[0].text)
      end

      # Are there more than words in it?
      def special?(run, text)
        run.carried || text.count(SEPARATORS).positive?
      end

      def single(paragraph, letters)
        copy = SetItems.new(letters)
        copy.words(paragraph.runs[0].text, letters) unless letters.look[:hidden]
        copy.finish
      end

      # The look of the first run that has letters; a paragraph without any is as high as its mark.
      def visible(paragraph, way)
        at = paragraph.runs.index { |run| run.text.match?(/[^\uFFF9]/) }
        at && way.looks[at]
      end

      def put_run(copy, run, letters, paragraph, way, floats, room)
        return if letters.look[:hidden]
        text = told(run, way) || run.text
        return copy.words(text, letters) unless special?(run, text)
        objects = run.objects.dup
        text.scan(PIECE) do |piece|
          case piece
          when "\t" then copy.tab(letters)
          when "\uFFFC", "\uFFFA" then put_object(copy, objects.shift, letters, way, floats, room)
          when "\uFFF9" then objects.shift
          when *BREAKS.keys then copy.break(BREAKS[piece], letters)
          else copy.words(piece, letters)
          end
        end
      end

      # What a field says now, where it is computed from pages; nil where the words are the file's.
      def told(run, way)
        return unless run.spans && way.values
        field = run.within.reverse_each.find { |span| span.is_a?(Document::FieldResult) || span.is_a?(Document::Field) }
        return unless field && (value = way.values[id = field.is_a?(Document::Field) ? field.id : field.field])
        return if run.text.match?(/\uFFF9/) && !run.text.match?(/[^\uFFF9]/)
        return "" if @said[id]
        @said[id] = true
        value
      end

      def put_object(copy, object, letters, way, floats, room)
        case object
        when Document::NoteMark then put_note(copy, object, letters, way)
        when Document::Image, Document::TextBox then put_thing(copy, object, letters, way, floats, room)
        end
      end

      def put_note(copy, mark, letters, way)
        copy.note(mark.note) if mark.note && mark.of == "footnote"
        number = way.values[mark]
        copy.words(number, raised(letters)) if number
      end

      # In a format that says nothing of it, the mark of a note is raised (ISO/IEC 26300-1 16.27.31: common practice).
      def raised(letters)
        return letters unless @document.conventions.note_marks_raised && letters.look[:position] == "normal"
        (@raised ||= {}.compare_by_identity)[letters] ||= Letters.new(
          Styles::Look.new(letters.look.values.merge(position: "super"))
        )
      end

      # An object is never wider than its line, nor higher than a page.
      def put_thing(copy, object, letters, way, floats, room)
        width, height = object.width || 72.0, object.height || 36.0
        scale = [1.0, way.measure / [width, 1.0].max].min
        width, height = width * scale, height * scale
        height = room if room && height > room
        inside = boxed(object, width) if object.is_a?(Document::TextBox)
        height = [height, inside.height].max if inside
        height = room if room && height > room
        return copy.object(InlineObject.new(object, width, height, inside), width, letters) unless object.floating
        floats << InlineObject.new(object, width, height, inside)
      end

      # What stands in a box, in one column.
      def boxed(box, width)
        @boxes&.call(box, width - (2 * BOX_EDGE))&.whole
      end

      # Mathematics is set as its letters.
      def put_equations(copy, paragraph, from, to, letters)
        return if paragraph.anchors.empty?
        paragraph.anchors.each do |anchor|
          equation = anchor.object
          next unless equation.is_a?(Document::Equation) && anchor.place > from - 1 && anchor.place <= to
          next if anchor.place == from && from.positive?
          copy.words(equation.text.to_s.tr("\n\t\f\v", " "), letters)
        end
      end

      def put_marker(copy, paragraph, look, letters)
        level = @document.numbering.level(*@cascade.list_of(paragraph))
        copy.words(@markers[paragraph.id], letters)
        case level&.suffix
        when "tab" then copy.tab(letters)
        when "space" then copy.words(" ", letters)
        end
        copy.end_marker
      end

      # --- lines ---

      def lines(copy, paragraph, look, way)
        left, right, first = way.indents
        room = way.measure - left - right
        stops = tab_row(look, left, first)
        breaker = LineBreaker.new(copy, [left + first, room - first], [left, room], stops:,
          hyphenation: hyphenation(look))
        lines = breaker.lines
        [breaker.copy, lines]
      end

      def tab_row(look, left, first)
        @tab_rows[look] ||= TabRow.new(TABS.seen(look[:tabs]), (left if first.negative?),
          @document.settings.default_tab_stop || 36.0)
      end

      def hyphenation(look)
        return unless @document.settings.hyphenated
        off = look[:suppressAutoHyphens_paragraph]
        Hyphenation if off.nil? || NOT.include?((off.is_a?(Hash) ? off[:val] : off).to_s)
      end
    end
  end
end
