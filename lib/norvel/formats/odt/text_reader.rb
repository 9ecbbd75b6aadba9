# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # One story (the main text, a note, a header …) to paragraphs, in document order, through lists, sections,
      # indexes, tables and boxes (ISO/IEC 26300-1 5, 9). Text that was deleted stands apart and is no text.
      class TextReader
        INDEXES = %w[table-of-content illustration-index table-index object-index].freeze
        THROUGH = %w[section table-of-content illustration-index table-index object-index user-index alphabetical-index
          bibliography index-body index-title].freeze
        HOLDERS = {"table-cell" => true, "text-box" => true, "note-body" => true}.freeze
        PARAGRAPHS = {"p" => true, "h" => true}.freeze
        LISTS = %w[list list-item list-header numbered-paragraph].freeze
        # What a writer needs to find its way back: the elements of paragraphs and their pieces by ordinal, of
        # containers by id.
        Nodes = Struct.new(:paragraphs, :pieces, :containers, :tables)

        attr_reader :part, :letters, :paragraphs, :tables, :nodes, :pictures, :page_starts

        # worn: AutomaticStyles of the part; shared: Reader, which knows what all stories share
        def initialize(part, worn, shared, keep_nodes: false)
          @part = part
          @worn = worn
          @shared = shared
          @keep = keep_nodes
          @nodes = Nodes.new([], [], {}, []) if keep_nodes
          @paragraphs = []
          @tables = []
          @pictures = []
          @page_starts = []
          @containers = @fields = 0
          @lists = ListPlaces.new(part, worn, shared)
          @letters = LetterStates.new(worn, shared)
          @section = 1
          @plain = {}.compare_by_identity
        end

        # Reads everything below a container element.
        def read(container)
          @nodes.containers[nil] = container if @keep
          blocks(container, :body)
          self
        end

        # --- what lines ask ---

        # A number for one more field.
        def next_field
          @fields += 1
        end

        # The mark of a note whose story is read.
        def note(node)
          @shared.note(node, self)
        end

        # The id of the comment that an element holds.
        def comment(node)
          @shared.comment(node, self)
        end

        # The id of the comment of this name.
        def comment_id(name)
          @shared.comment_id(name)
        end

        # The Image, TextBox or Unknown of a drawing; the paragraphs of a box are read.
        def drawing(node)
          box = Drawings.box(node, @part)
          return boxed(node, box) if box
          @pictures << node
          made = Drawings.image(@pictures.size, node, @part, @shared.anchors.read(node, @part), shape: shape(node),
            formula: @shared.formula(node, @part)) { |picture| @shared.picture(picture, @part) }
          cropped(made, node)
        end

        private

        def blocks(node, place)
          child = node.first_element_child
          while child
            block(child, place)
            child = child.next_element
          end
        end

        # Paragraphs are told by their names, which no other vocabulary has here.
        def block(child, place)
          return paragraph(child, place) if PARAGRAPHS.key?(child.name)
          case child.namespace&.href
          when LineReader::TEXT then text_block(child, place)
          when Names::SPACES["table"] then table(child, place) if child.name == "table"
          when LineReader::DRAWN then loose(child)
          end
        end

        def text_block(child, place)
          case child.name
          when "list" then list(child, place)
          when "numbered-paragraph" then @lists.numbered(child) { blocks(child, place) }
          when *INDEXES then index(child, place)
          when *THROUGH then blocks(child, place)
          end
        end

        # A contents list or list of captions is a field that its entries are the result of.
        def index(node, place)
          first = @paragraphs.size
          blocks(node, place)
          return if @paragraphs.size == first
          field = Document::Field.new(id: next_field, computes: Fields.index(node, @part))
          anchored(first, field, at_end: false)
          anchored(@paragraphs.size - 1, Document::FieldPart.new(role: "end"), at_end: true)
        end

        def anchored(ordinal, object, at_end:)
          paragraph = @paragraphs[ordinal]
          anchor = Document::Anchor.new(at_end ? paragraph.raw_text.size : 0, object)
          anchors = at_end ? paragraph.anchors + [anchor] : [anchor] + paragraph.anchors
          @paragraphs[ordinal] = paragraph.with(anchors: anchors.freeze)
        end

        # A drawing that stands on a page and in no paragraph: its words are read.
        def loose(node)
          box = Drawings.box(node, @part)
          box ? boxed(node, box) : nil
        end

        def boxed(node, box)
          id = @containers += 1
          made = Document::TextBox.new(id:, parent: @container, **Drawings.size(node, @part),
            anchorage: @shared.anchors.read(node, @part), shape: shape(node))
          inside(id, box) { blocks(box, :textbox) }
          made
        end

        # What the graphic style cuts off an image (ISO/IEC 26300-1 20.179 fo:clip), as parts of it.
        def cropped(image, node)
          return image unless image.path && (clip = @shared.anchors.said(node, @part)["fo:clip"])
          crop = Drawings.crop(clip, @shared.bytes(image.path))
          crop ? image.with(crop:) : image
        end

        def shape(node)
          Shapes.read(node, @part, @shared.anchors.said(node, @part))
        end

        # What the block reads stands in a container.
        def inside(id, element)
          @nodes.containers[id] ||= element if @keep
          outside, @container = @container, id
          @lists.apart { yield }
        ensure
          @container = outside
        end

        # --- lists ---

        def list(node, place)
          @lists.within(node) do
            node.element_children.each do |item|
              next unless LISTS.include?(item.name)
              @lists.item(item)
              blocks(item, place)
            end
          end
        end

        # --- paragraphs ---

        def paragraph(node, place)
          ordinal = @paragraphs.size
          Document.refuse_more(ordinal)
          @paragraphs << nil
          worn = @worn.paragraph(@part.attr(node, "text:style-name"))
          direct = direct(node, worn)
          @lists.taken
          page_start(worn, ordinal) if worn.master && @container.nil? && place == :body
          section = @section
          line = LineReader.new(self, worn.letters, keep: @keep)
          runs = line.read(node)
          @nodes.paragraphs[ordinal] = node if @keep
          @nodes.pieces[ordinal] = line.pieces if @keep
          @paragraphs[ordinal] = Document::Paragraph.new(ordinal + 1, place, section, worn.style_id, direct,
            worn.letters, runs, (@look if place == :table), ordinal, needed(node), @container,
            line.anchors.empty? ? Document::Paragraph::NO_ANCHORS : line.anchors.freeze)
        end

        # What it sets on itself. Paragraphs outside of lists that wear one style say the same.
        def direct(node, worn)
          return @plain[worn] ||= with_structure(node, worn) if @lists.none? && node.name == "p"
          with_structure(node, worn)
        end

        def with_structure(node, worn)
          said = structure(node, worn)
          said.empty? ? worn.direct : @shared.formatting.share(worn.direct.values.merge(said))
        end

        # What an element says by its kind and its place: the level of a heading, the place in lists.
        def structure(node, worn)
          level = (node.name == "h") ? (@part.attr(node, "text:outline-level") || 1).to_i.clamp(1, 9) : 0
          said = (level == worn.level) ? {} : {outline_level: level}
          said.merge(@lists.of(node, worn, level))
        end

        # Here begins a page with another set-up, unless the text itself begins here.
        def page_start(worn, ordinal)
          return if worn.master.empty?
          @section += 1 unless ordinal.zero?
          @page_starts << [@section, worn.master, worn.page_number]
          return if @section == 1
          before = @paragraphs[0...ordinal].rindex { |one| one && one.container.nil? } or return
          @paragraphs[before] = @paragraphs[before].with(holds: :section_break) if @paragraphs[before].holds.nil?
        end

        # A cell or box must hold something: its last paragraph stays.
        def needed(node)
          :last_in_cell if HOLDERS.key?(node.parent.name) && node.next_element.nil?
        end

        # --- tables ---

        def table(node, place)
          number = @tables.size
          @tables << nil
          @nodes.tables[number] = node if @keep
          reader = TableReader.new(@part, @worn)
          skeleton = reader.table(node, number + 1, @container) { @containers += 1 }
          @tables[number] = skeleton.value
          start_page_at(node) if @container.nil? && place == :body
          skeleton.cells.each do |cell, id|
            inside(id, cell) { blocks(cell, (place == :textbox) ? place : :table) }
          end
        end

        # A table's style may begin a page, too.
        def start_page_at(node)
          style = @worn.node(@part.attr(node, "table:style-name"), "table") or return
          master = @part.attr(style, "style:master-page-name").to_s
          page_start(AutomaticStyles::Worn.new(nil, nil, nil, master), @paragraphs.size) unless master.empty?
        end
      end
    end
  end
end
