# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The contents of one paragraph to runs and anchors (ISO/IEC 26300-1 6): spans from the outside in, white space by
      # the standard's rule (6.1.2), fields, links, notes and objects.
      class LineReader
        # How letters are set: the style of words, and what is set directly.
        State = Struct.new(:style_id, :direct)
        # A stretch of the paragraph for a writer: so many characters (none for what takes no room), the element that
        # stands for them (nil for letters), and the elements around it from the outside in.
        Piece = Struct.new(:size, :node, :around)

        SIGN = Document::Run::SIGN
        NOTHING = [].freeze
        SPACE = " "
        DOUBLE = "  "
        BREAKING = "\t\r\n"
        BROKEN = /[\t\r\n]/
        MOST_SPACES = 10_000 # letters of a paragraph beyond which a space is one
        TRANSPARENT = %w[meta ruby ruby-base].freeze
        SILENT = %w[soft-page-break ruby-text].freeze
        BREAKS = {"tab" => "\t", "line-break" => "\n"}.freeze
        DRAWN = Names::SPACES["draw"]
        TEXT = Names::SPACES["text"]
        OFFICE = Names::SPACES["office"]

        attr_reader :anchors, :pieces

        # text: the TextReader that the paragraph belongs to; letters: what the paragraph sets on all of them
        def initialize(text, letters, keep: false)
          @text = text
          @part = text.part
          @state = text.letters.ground(letters)
          @within = nil
          @runs = []
          @anchors = []
          @buffer = +""
          @objects = nil
          @length = 0
          @white = true # does white space that comes now vanish?
          @trailing = nil
          @pieces = ([] if keep)
          @around = NOTHING
        end

        # The runs below an element.
        def read(node)
          inside(node)
          trim
          flush
          @runs.freeze
        end

        private

        def inside(node)
          child = node.child
          while child
            case child.node_type
            when Nokogiri::XML::Node::TEXT_NODE, Nokogiri::XML::Node::CDATA_SECTION_NODE then letters(child.content)
            when Nokogiri::XML::Node::ELEMENT_NODE then element(child)
            end
            child = child.next_sibling
          end
        end

        # The usual ones are told by their names, which no other vocabulary has in a line.
        def element(node)
          name = node.name
          return span(node) if name == "span"
          return sign(BREAKS[name], node) if BREAKS.key?(name)
          case node.namespace&.href
          when TEXT then of_text(node)
          when OFFICE then of_office(node)
          when DRAWN then drawing(node)
          else place(node, Document::Unknown.new(name: node.name))
          end
        end

        def of_text(node)
          name = node.name
          case name
          when "s" then spaces(node)
          when "a" then around(node, Document::Link.new(**link(node))) { inside(node) }
          when "note" then note(node)
          when "bookmark", "reference-mark" then both_edges(node)
          when "bookmark-start", "reference-mark-start" then place(node, bookmark(node, "start"))
          when "bookmark-end", "reference-mark-end" then place(node, bookmark(node, "end"))
          when *TRANSPARENT then wrapped(node) { inside(node) }
          when *SILENT then keep(0, node)
          else Fields.field?(name) ? field(node) : other(node)
          end
        end

        def of_office(node)
          case node.name
          when "annotation" then comment(node)
          when "annotation-end"
            id = @text.comment_id(@part.attr(node, "office:name"))
            place(node, Document::CommentMark.new(comment: id, edge: "end"))
          else place(node, Document::Unknown.new(name: node.name))
          end
        end

        # Marks of changes and entries of indexes take no room; what holds letters is computed text without a name here.
        def other(node)
          return place(node, Document::Unknown.new(name: node.name)) if node.content.strip.empty?
          field(node)
        end

        def span(node)
          outside = @state
          @state = @text.letters.inner(@state, @part.attr(node, "text:style-name"))
          wrapped(node) { inside(node) }
        ensure
          @state = outside
        end

        def field(node)
          value = Document::Field.new(id: @text.next_field, computes: Fields.read(node, @part), cached: node.content)
          around(node, value) { inside(node) }
        end

        # What is read in the block stands in a link or field.
        def around(node, value)
          outside = @within
          @within = [*outside, value].freeze
          wrapped(node) { yield }
        ensure
          @within = outside
        end

        def wrapped(node)
          return yield unless @pieces
          outside = @around
          @around = [*outside, node].freeze
          size = @pieces.size
          yield
          keep(0, nil) if @pieces.size == size # an element with nothing in it
        ensure
          @around = outside if outside
        end

        # Runs of white space are one space, at the beginning and after white space none.
        def letters(text)
          text = text.tr(BREAKING, SPACE) if BROKEN.match?(text)
          text = text.squeeze(SPACE) if text.include?(DOUBLE)
          text = text[1..] if @white && text.start_with?(SPACE)
          return if text.empty?
          @white = text.end_with?(SPACE)
          add(text)
          @trailing = [@runs.size, @buffer.size - 1, @pieces&.last] if @white
        end

        def spaces(node)
          count = (@part.attr(node, "text:c") || "1").to_i.clamp(1, [MOST_SPACES - @length, 1].max)
          add(" " * count, node)
        end

        def add(text, node = nil)
          flush unless @state.equal?(@last) && @within.equal?(@spans)
          @last, @spans = @state, @within
          @buffer << text
          Document.refuse_longer(@length += text.size)
          keep(text.size, node)
        end

        # A character that is no letter, with the object that it stands for.
        def sign(char, node, object = nil)
          add(char, node)
          (@objects ||= []) << object if object
        end

        def keep(size, node)
          @pieces << Piece.new(size, node, @around) if @pieces
        end

        # Something that takes no room.
        def place(node, object)
          keep(0, node)
          @anchors << Document::Anchor.new(@length, object)
        end

        def both_edges(node)
          place(node, bookmark(node, "start"))
          @anchors << Document::Anchor.new(@length, bookmark(node, "end"))
        end

        def bookmark(node, edge)
          name = @part.attr(node, "text:name").to_s
          Document::Bookmark.new(id: name, edge:, name: (name if edge == "start"))
        end

        def link(node)
          address = @part.attr(node, "xlink:href").to_s
          title = @part.attr(node, "office:title")
          address.start_with?("#") ? {address: nil, bookmark: address[1..], title:} : {address:, bookmark: nil, title:}
        end

        def note(node)
          sign(Document::Run::NOTE, node, @text.note(node))
        end

        def comment(node)
          id = @text.comment(node)
          if @part.attr(node, "office:name")
            @anchors << Document::Anchor.new(@length, Document::CommentMark.new(comment: id, edge: "start"))
          end
          sign(SIGN, node, Document::CommentMark.new(comment: id, edge: "sign"))
        end

        # What the element holds is read after it was seen, since it may stand in other paragraphs. One that stands as a
        # character parts the white space at its sides.
        def drawing(node)
          sign(Document::Run::OBJECT, node, @text.drawing(node))
          @white = false if @part.attr(node, "text:anchor-type") == "as-char"
        end

        # White space at the end is none.
        def trim
          return unless @white && @trailing
          flush
          number, at, piece = @trailing
          run = @runs[number] or return
          text = run.text.dup
          return unless text[at] == " "
          text[at] = ""
          @length -= 1
          piece.size -= 1 if piece
          @anchors.map! { |anchor| (anchor.place > @length) ? anchor.at(@length) : anchor }
          (text.empty? && @runs.size > 1) ? @runs.delete_at(number) : @runs[number] = run.with(text:)
        end

        def flush
          return if @buffer.empty?
          @runs << Document::Run.new(@buffer, @last.style_id, @last.direct, @runs.size, @objects&.freeze, @spans)
          @buffer = +""
          @objects = nil
        end
      end
    end
  end
end
