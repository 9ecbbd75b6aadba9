# frozen_string_literal: true

module Norvel
  module Layout
    # A paragraph's text ready to be set (set_items, as the compositor calls it): items in order, each a word or a piece
    # of one, a tab, or an object in the line. Held in arrays side by side, since a book has a hundred thousand of them.
    #   text      what is set, without what is not seen; starts, sizes: where in it each item stands
    #   widths    of the items, spaces: of the white space after each, in points
    #   endings   what may happen after each, one of the numbers below
    #   letters   Letters, one for all; or of each item where they differ (letters_of)
    #   objects   {item => Document::Image, …}; notes: {item => Story id of a note}
    class SetItems
      GLUED = 0 # nothing: the next item stands on the same line
      OPEN = 1 # the line may end
      SOFT = 2 # it may, with a hyphen
      TAB = 3 # the item is a tab; the line may end
      LINE = 4 # it must; so must the page, or the column
      PAGE = 5
      COLUMN = 6

      attr_reader :text, :starts, :sizes, :widths, :spaces, :endings, :letters, :mixed, :objects, :notes, :floats

      def initialize(letters)
        @letters = letters
        @kinds = [letters]
        @text = +""
        @starts, @sizes, @widths, @spaces, @endings = [], [], [], [], []
        @objects = @notes = @floats = nil
        @length = 0
      end

      # How many items there are.
      def size
        @widths.size
      end

      # Is there none?
      def empty?
        @widths.empty?
      end

      # The Letters of an item.
      def letters_of(item)
        @mixed ? @mixed[item] : @letters
      end

      # All letters that it is in, each once.
      attr_reader :kinds

      # --- while it is made ---

      # Words and the spaces between them. The first may go on with what was set before, the last with what comes.
      def words(text, letters)
        mix(letters)
        @text << text
        tokens = text.split(/ /, -1)
        if @parts || size.zero? || tokens.size < 2
          begin_word(tokens[0], letters) unless tokens.empty? || tokens[0].empty?
          return if tokens.size < 2
          space(letters)
          between(tokens, 1, letters)
        else
          between(tokens, 0, letters)
        end
        begin_word(tokens[-1], letters) unless tokens[-1].empty?
      end

      # Adds a tab.
      def tab(letters)
        settle
        @endings[-1] = GLUED if @endings.last == OPEN
        item("\t", 0.0, TAB, letters)
      end

      # The line, page or column ends here.
      def break(kind, letters)
        @breaks = true if kind > LINE
        item("", 0.0, kind, letters)
      end

      # Does a page or column end within it?
      def breaks?
        @breaks
      end

      # What was set so far is the marker of a list: no words of the paragraph, and no line of its own.
      def end_marker
        settle
        @marker = size
        @endings[-1] = GLUED if @endings.last == OPEN
        @tail = nil
      end

      # How what stands in it is aligned, where that is not as its paragraph says: a formula on a line of its own.
      attr_accessor :own_align

      # The Bidi of its text in a paragraph that runs from right to left, or does not; nil where all runs to the right.
      def bidi(right_to_left)
        @bidi = (right_to_left || runs_left?) && Bidi.new(@text, base: right_to_left ? 1 : 0) if @bidi.nil?
        @bidi || nil
      end

      # How many items the marker of a list takes.
      def marker
        @marker || 0
      end

      # An object as wide as told, standing for one character.
      def object(object, width, letters)
        settle
        (@objects ||= {})[size] = object
        item("\uFFFC", width, OPEN, letters)
      end

      # A note is called where the text is now.
      def note(id)
        (@called ||= []) << [id, @parts ? @parts.sum { |token, _| token.size } : 0]
      end

      # Adds an object that hangs in the paragraph.
      def float(object)
        (@floats ||= []) << object
      end

      # Ends the last item. Returns self.
      def finish
        settle
        keep_notes(size - 1) if @called && size.positive?
        @text.freeze
        self
      end

      # --- while it is broken into lines ---

      # The same words in letters that differ in size alone. letters: {those it is in => those it is to be in}, by
      # identity
      def scaled(letters)
        dup.tap { |set_items| set_items.scale(letters) }
      end

      # Has a word been cut, as its lines needed it?
      def cut?
        @cut
      end

      # A set_items that may be cut.
      def apart
        dup.tap(&:own)
      end

      # Cuts an item in two after so many characters, the first as wide as told.
      def cut(item, characters, width, ending)
        rest = @sizes[item] - characters
        @sizes[item, 1] = [characters, rest]
        @starts[item, 1] = [@starts[item], @starts[item] + characters]
        @widths[item, 1] = [width, @widths[item] - width]
        @spaces[item, 1] = [0.0, @spaces[item]]
        @endings[item, 1] = [ending, @endings[item]]
        @mixed&.insert(item, @mixed[item])
        @objects, @notes = [@objects, @notes].map { |held| held&.transform_keys { |key| (key > item) ? key + 1 : key } }
      end

      # The letters of an item.
      def item_text(item)
        @text[@starts[item], @sizes[item]]
      end

      protected

      # The same words in other letters, of the same face at another size.
      def scale(letters)
        @mixed ? scale_mixed(letters) : scale_all(letters.fetch(@letters).size / @letters.size)
        @letters = letters.fetch(@letters)
        @kinds = @kinds.map { |was| letters.fetch(was) }
      end

      def scale_all(ratio)
        @widths = @widths.map { |width| width * ratio }
        @spaces = @spaces.map { |space| space * ratio }
      end

      # Items in the same letters follow one another: each change of letters is looked up once.
      def scale_mixed(letters)
        widths, spaces, mixed = @widths, @spaces, @mixed
        @widths, @spaces, @mixed = [], [], []
        was = now = ratio = nil
        mixed.each_with_index do |own, item|
          was, now, ratio = own, letters.fetch(own), letters.fetch(own).size / own.size unless own.equal?(was)
          @widths << (widths[item] * ratio)
          @spaces << (spaces[item] * ratio)
          @mixed << now
        end
      end

      def own
        @cut = true
        @starts, @sizes, @widths, @spaces, @endings = [@starts, @sizes, @widths, @spaces, @endings].map(&:dup)
        @mixed = @mixed&.dup
      end

      private

      def runs_left?
        !@text.ascii_only? && Bidi::RIGHT.match?(@text)
      end

      # From the first other letters on each item says its own.
      def mix(letters)
        return if letters.equal?(@letters)
        @mixed ||= Array.new(size, @letters)
        @kinds << letters unless @kinds.any? { |known| known.equal?(letters) }
      end

      def item(text, width, ending, letters)
        settle
        mix(letters)
        @text << text
        push(text.size, width, ending, letters)
        @tail = nil
      end

      # Spaces at the begin of a paragraph, and after a tab or an object, take room of their own.
      def space(letters)
        settle
        return push(1, letters.space, GLUED, letters) if @spaces.empty? || @endings.last > SOFT
        @length += 1
        @spaces[-1] += letters.space
      end

      def begin_word(token, letters)
        (@parts ||= []) << [token, letters]
      end

      # Words that have a space after them, from one of the tokens on. Most of a book passes here.
      def between(tokens, number, letters)
        space = letters.space
        last = tokens.size - 1
        starts, sizes, widths, spaces, endings, mixed = @starts, @sizes, @widths, @spaces, @endings, @mixed
        while number < last
          token = tokens[number]
          number += 1
          next space(letters) if token.empty?
          word = letters.word(token)
          if word.pieces || word.opening || @closing
            whole(token, letters)
          else
            starts << @length
            sizes << (size = word.size)
            widths << letters.points(word.width, size)
            spaces << 0.0
            endings << OPEN
            mixed << letters if mixed
            @length += size
            @tail, @closing = token, word.closing
          end
          spaces[-1] += space
          @length += 1
        end
      end

      # What was begun of a word is all of it.
      def settle
        parts = @parts or return
        @parts = nil
        began = size
        (parts.size == 1) ? whole(*parts.first) : joined(parts)
        keep_notes(began) if @called
      end

      # Each note is called by the item that the part of the word after it begins at.
      def keep_notes(began)
        place = @starts[began]
        @notes ||= {}
        @called.each do |id, characters|
          item = (began...size).find { |at| @starts[at] - place >= characters } || (size - 1)
          (@notes[item] ||= []) << id
        end
        @called = nil
      end

      # A word in letters of one kind.
      def whole(token, letters)
        word = letters.word(token)
        hold(token) if @tail && (@closing || word.opening)
        @tail, @closing = token, word.closing
        return pieces(word.pieces, letters) if word.pieces
        push(word.size, letters.points(word.width, word.size), OPEN, letters)
      end

      def pieces(pieces, letters)
        pieces.each do |characters, width, ending|
          push(characters, letters.points(width, characters), (ending == :soft) ? SOFT : OPEN, letters)
        end
      end

      # A word in letters of several kinds: it may end a line where the whole of it may.
      def joined(parts)
        whole = parts.sum(+"") { |token, _| token }
        hold(whole) if @tail
        @tail, @closing = whole, Word::AFTER.key?(LineBreak.of(whole[-1]))
        breaks = LineBreak.opportunities(whole).to_h { |place| [place, true] }
        place = 0
        parts.each do |token, letters|
          split(token, place, breaks) { |piece, ending| push(piece.size, letters.width(piece), ending, letters) }
          place += token.size
        end
        @endings[-1] = OPEN
      end

      # Yields the pieces of a token that begins at a place of a word, each with what may happen after it.
      def split(token, place, breaks)
        from = 0
        (1..token.size).each do |to|
          next unless breaks[place + to] || to == token.size
          piece = token[from...to]
          open = (piece[-1] == Word::SOFT_HYPHEN) ? SOFT : OPEN
          yield piece, breaks[place + to] ? open : GLUED
          from = to
        end
      end

      # No line ends between spaces and a sign that clings to what is before it.
      def hold(token)
        @endings[-1] = GLUED if @endings.last == OPEN && LineBreak.clings?(@tail, token)
      end

      def push(characters, width, ending, letters)
        @starts << @length
        @sizes << characters
        @length += characters
        @widths << width
        @spaces << 0.0
        @endings << ending
        @mixed << letters if @mixed
      end
    end
  end
end
