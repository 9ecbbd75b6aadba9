# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # One story (the main text, a note, a header …) to paragraphs, in document order, through tables, content controls
      # and text boxes (ISO/IEC 29500-1 17.3.3, 17.4, 17.5). Deleted and moved-away text is no text; of alternative
      # contents the first that is understood is read.
      class TextReader
        BLOCKS = %w[sdt sdtContent customXml ins moveTo].freeze
        SPANS = %w[hyperlink fldSimple].freeze
        PLACES = %w[bookmarkStart bookmarkEnd commentRangeStart commentRangeEnd].freeze
        INLINE = {
          transparent: %w[smartTag customXml sdt sdtContent dir bdo ins moveTo], span: SPANS, place: PLACES,
          silent: %w[proofErr permStart permEnd pPr rPr sdtPr sdtEndPr customXmlPr smartTagPr]
        }.flat_map { |kind, names| names.map { |name| [name, kind] } }.to_h.freeze
        EDGE_SPACE = /\A\s|\s\z/
        PIECES = {"tab" => "\t", "ptab" => "\t", "cr" => "\n", "noBreakHyphen" => "\u2011", "softHyphen" => "\u00AD"}
          .freeze
        BREAKS = {"page" => "\f", "column" => "\v"}.freeze
        OBJECTS = {
          Document::Run::OBJECT => %w[drawing pict object AlternateContent ruby sym],
          Document::Run::NOTE => %w[footnoteReference endnoteReference footnoteRef endnoteRef]
        }.flat_map { |sign, names| names.map { |name| [name, sign] } }.to_h.freeze
        SIGN = Document::Run::SIGN
        BARE = [nil, Styles::PropertySet::EMPTY, Styles::PropertySet::EMPTY, nil].freeze

        # What a writer needs to find its way back: the elements of paragraphs and their runs by ordinal, of containers
        # by id.
        Nodes = Struct.new(:paragraphs, :runs, :containers)

        # pictures: the elements that may describe an image, by its id less one
        attr_reader :paragraphs, :tables, :sections, :section_nodes, :nodes, :pictures, :unseen

        # package: where images are found; settings: of the main text, whose sections need them
        def initialize(part, package, formatting, sheet, settings: Document::Settings.new, keep_nodes: false)
          @part = part
          @package = package
          @formatting = formatting
          @sheet = sheet
          @settings = settings
          @nodes = Nodes.new([], [], {}) if keep_nodes
          @paragraphs = []
          @tables = []
          @containers = 0
          @sections = []
          @unseen = 0
          @section_nodes = []
          @pictures = []
          @fields = FieldReader.new
          @pending = []
          @cells = {}
          @shorthand = part.shorthand
          @known_paragraphs = {}
          @known_runs = {}
        end

        # Reads everything below a container element.
        def read(container)
          @nodes.containers[nil] = container if @nodes
          blocks(container, :body, nil)
          @fields.close
          last_places
          within_sections
          self
        end

        private

        def blocks(node, place, cell)
          child = node.first_element_child
          while child
            block(child, place, cell)
            child = child.next_element
          end
        end

        def block(child, place, cell)
          case child.name
          when "p" then paragraph(child, place, cell) if @part.ours?(child)
          when "tbl" then table(child, place) if @part.ours?(child)
          when "AlternateContent" then (branch = understood(child)) && blocks(branch, place, cell)
          when "sectPr" then section(child) if @part.ours?(child)
          when *PLACES then @pending << place_of(child)
          when *BLOCKS then blocks(child, place, cell)
          when "altChunk" then @unseen += 1
          end
        end

        def paragraph(node, place, cell)
          ordinal = @paragraphs.size
          Document.refuse_more(ordinal)
          @paragraphs << nil
          outside = [@places, @within, @objects]
          @places, @within, @objects = @pending, nil, nil
          @places = @places.map { |object| [0, object] }
          @pending = []
          run_nodes = (@nodes.paragraphs << node) && [] if @nodes
          properties = first_named(node, "pPr")
          style_id, direct, mark, holds = properties ? formatting_of(properties,
            @known_paragraphs) { |element| paragraph_properties(element) } : BARE
          number = @sections.size + 1
          runs = []
          @holds = holds
          inline(properties ? properties.next_element : node.first_element_child, runs, place, cell, run_nodes)
          @nodes.runs[ordinal] = run_nodes if @nodes
          Document.refuse_longer(runs.sum { |run| run.text.size })
          @paragraphs[ordinal] = Document::Paragraph.new(ordinal + 1, place, number, style_id, direct, mark,
            runs.freeze, cell, ordinal, @holds || needed(node), @container, anchors(runs))
          section(@part.child(properties, "sectPr")) if holds == :section_break
          @holds = nil
          @places, @within, @objects = outside
        end

        # Places were noted by the run that follows them.
        def anchors(runs)
          return Document::Paragraph::NO_ANCHORS if @places.empty?
          @places.map { |run, object| Document::Anchor.new(runs.first(run).sum { |one| one.text.size }, object) }.freeze
        end

        # What stands after the last section set-up belongs to it: some writers do not put it last.
        def within_sections
          most = @sections.size
          return if most.zero? || @paragraphs.empty? || @paragraphs.last.section <= most
          @paragraphs.map! { |paragraph| (paragraph.section > most) ? paragraph.with(section: most) : paragraph }
        end

        # Places after the last paragraph stand at its end.
        def last_places
          return if @pending.empty? || @paragraphs.empty?
          last = @paragraphs.pop
          ends = @pending.map { |object| Document::Anchor.new(last.raw_text.size, object) }
          @paragraphs << last.with(anchors: (last.anchors + ends).freeze)
        end

        # A Bookmark or CommentMark for the element of a place.
        def place_of(node)
          id = @part.attr(node, "id").to_s
          edge = node.name.end_with?("Start") ? "start" : "end"
          return Document::CommentMark.new(comment: id, edge:) if node.name.start_with?("comment")
          Document::Bookmark.new(id:, edge:, name: @part.attr(node, "name"))
        end

        # A cell or box must end with a paragraph, a content control must hold one.
        def needed(node)
          case node.parent.name
          when "tc", "txbxContent" then :last_in_cell if node.next_element.nil?
          when "sdtContent" then :last_in_cell if node.next_element.nil? && node.previous_element.nil?
          end
        end

        # What an element says, worked out once for each that the part tells in shorthand.
        def formatting_of(element, known)
          number = @shorthand && element["n"] or return yield(element)
          known[number] ||= yield(@shorthand.element(number))
        end

        def first_named(node, name)
          child = node.first_element_child
          child if child && child.name == name && @part.ours?(child)
        end

        def paragraph_properties(node)
          style_id = nil
          mark = Styles::PropertySet::EMPTY
          holds = nil
          values = {}
          child = node.first_element_child
          while child
            case child.name
            when "pStyle" then style_id = @part.attr(child, "val")
            when "rPr" then mark = @formatting.read(child, :run, @part)
            when "sectPr" then holds = :section_break
            when "framePr" then holds ||= :frame
            else @formatting.read_element(child, :paragraph, @part, values)
            end
            child = child.next_element
          end
          [style_id, @formatting.share(values), mark, holds]
        end

        # The contents of a paragraph or of something transparent in it, from this child on.
        def inline(child, runs, place, cell, run_nodes)
          while child
            name = child.name
            if name == "r" && @part.ours?(child)
              run(child, runs, place, cell, run_nodes)
            elsif (kind = INLINE[name])
              case kind
              when :transparent then inline(child.first_element_child, runs, place, cell, run_nodes)
              when :place then @places << [runs.size, place_of(child)]
              when :span then within(child) { inline(child.first_element_child, runs, place, cell, run_nodes) }
              end
            elsif name == "AlternateContent" && (branch = understood(child))
              inline(branch.first_element_child, runs, place, cell, run_nodes)
            else
              @holds = :content
              @places << [runs.size, stranger(child)]
            end
            child = child.next_element
          end
        end

        # What is read inside of the block stands in a link or a field.
        def within(node)
          outside = @within
          @within = [*outside, span(node)].freeze
          yield
        ensure
          @within = outside
        end

        def span(node)
          return @fields.simple(@part.attr(node, "instr"), text_below(node)) if node.name == "fldSimple"
          id = node.attribute_nodes.find { |attribute| attribute.node_name == "id" }&.value
          target = id && @package.relationship(@part.path, id)
          Document::Link.new(address: (target&.target if target&.external), bookmark: @part.attr(node, "anchor"),
            title: @part.attr(node, "tooltip"))
        end

        # Mathematics, or what Norvel has no name for.
        def stranger(node)
          return Document::Unknown.new(name: node.name) unless %w[oMath oMathPara].include?(node.name)
          Document::Equation.new(text: text_below(node), display: node.name == "oMathPara")
        end

        def text_below(node)
          node.xpath(".//*[local-name()='t']").map(&:content).join
        end

        def run(node, runs, place, cell, run_nodes)
          source = runs.size
          number = @shorthand && node["n"] and return runs << short_run(node, number, source)
          runs << nil
          run_nodes << node if run_nodes
          @objects = nil
          style_id = nil
          direct = Styles::PropertySet::EMPTY
          text = own = nil # own: may the text grow in place, so that very many breaks take no longer?
          child = node.first_element_child
          while child
            name = child.name
            if name == "rPr"
              style_id, direct = formatting_of(child, @known_runs) { |element| run_properties(element) }
            else
              piece = (name == "t" && @fields.none?) ? text_of(child) : piece(child, name, cell)
              text, own = join(text, piece, own)
            end
            child = child.next_element
          end
          runs[source] = Document::Run.new(text || "", style_id, direct, source, @fields.settled(@objects), spans)
        end

        def join(text, piece, own)
          return [piece, false] if text.nil?
          [own ? text << piece : text + piece, true]
        end

        # What the words read now stand in.
        def spans
          result = @fields.result or return @within
          [*@within, result].freeze
        end

        # A run that the part tells as one element: its text, and the number of its formatting if it has any.
        def short_run(node, number, source)
          @objects = nil
          text = @fields.none? ? node.content : letters(node.content)
          style_id, direct = number.empty? ? [nil, Styles::PropertySet::EMPTY] : short_properties(number)
          Document::Run.new(text, style_id, direct, source, @objects&.freeze, spans)
        end

        def short_properties(number)
          @known_runs[number] ||= run_properties(@shorthand.element(number))
        end

        def run_properties(node)
          style_id = nil
          values = {}
          child = node.first_element_child
          while child
            if child.name == "rStyle"
              style_id = @part.attr(child, "val")
            else
              @formatting.read_element(child, :run, @part, values)
            end
            child = child.next_element
          end
          [style_id, @formatting.share(values)]
        end

        # The text of one child of a run.
        def piece(child, name, cell)
          return PIECES[name] if PIECES.key?(name)
          case name
          when "t" then letters(text_of(child))
          when "lastRenderedPageBreak" then ""
          when "br" then BREAKS.fetch(@part.attr(child, "type"), "\n")
          when "fldChar" then field(child)
          when "ruby" then letters(text_below(child.at_xpath(".//*[local-name()='rubyBase']") || child))
          when "drawing", "pict", "object" then drawing(child, cell)
          when "AlternateContent" then (branch = understood(child)) ? drawing(branch, cell) : sign(OBJECTS[name],
            unknown(child))
          else sign(OBJECTS.fetch(name, SIGN), seen_nowhere(child, name))
          end
        end

        # A character that stands for an object.
        def sign(char, object)
          (@objects ||= []) << object
          char
        end

        # Letters that are read; those of a field's instruction are not.
        def letters(text)
          return sign(SIGN, Document::FieldPart.new(role: "instruction")) if @fields.instruction?
          @fields.cache(text)
          text
        end

        def seen_nowhere(child, name)
          case name
          when "footnoteReference", "endnoteReference"
            Document::NoteMark.new(of: name.delete_suffix("Reference"), note: @part.attr(child, "id"))
          when "footnoteRef", "endnoteRef" then Document::NoteMark.new(of: name.delete_suffix("Ref"), note: nil)
          when "commentReference" then Document::CommentMark.new(comment: @part.attr(child, "id").to_s, edge: "sign")
          when "sym" then Document::CharacterSign.new(font: @part.attr(child, "font"), code: @part.attr(child, "char"))
          when "instrText" then @fields.instruct(child.content)
          else unknown(child)
          end
        end

        def unknown(node)
          Document::Unknown.new(name: node.name)
        end

        def text_of(child)
          text = child.content
          (!EDGE_SPACE.match?(text) || child["xml:space"] == "preserve") ? text : text.strip
        end

        # Complex fields: what stands between begin and separate is instruction. They nest and span paragraphs
        # (17.16.18).
        def field(node)
          case @part.attr(node, "fldCharType")
          when "begin" then @fields.open(@objects ||= [])
          when "separate" then sign(SIGN, @fields.separate)
          when "end" then sign(SIGN, @fields.end(@objects ||= []))
          else sign(SIGN, unknown(node))
          end
          SIGN
        end

        # An image, or a box whose paragraphs come after the one that holds it.
        def drawing(node, cell)
          holder = Pictures.holder(node)
          boxes = node.xpath(".//*[local-name()='txbxContent'][not(ancestor::*[local-name()='Fallback'])]")
            .select { |box| nearest_box(box, node) }
          id = @containers += 1 if boxes.any?
          size = Pictures.size(node)
          sign(Document::Run::OBJECT, object(node, holder, id, size))
          boxes.each { |box| inside(id, box) { blocks(box, :textbox, cell) } }
          Document::Run::OBJECT
        end

        def object(node, holder, id, size)
          return Document::TextBox.new(id:, parent: @container, **size) if id && holder.nil?
          return Document::Unknown.new(name: node.name) unless holder
          @pictures << holder
          Pictures.read(@pictures.size, holder, @package, @part.path, size)
        end

        # What the block reads stands in a container.
        def inside(id, element)
          @nodes.containers[id] ||= element if @nodes
          outside = [@container, @holds, @objects, @within]
          @container = id
          yield
        ensure
          @container, @holds, @objects, @within = outside
        end

        def nearest_box(box, node)
          box.ancestors.take_while { |above| above != node }.none? { |above| above.name == "txbxContent" }
        end

        # The first choice whose needs are understood, else the fallback (ISO/IEC 29500-3).
        def understood(node)
          node.element_children.find { |c|
            c.name == "Choice" &&
              c["Requires"].to_s.split.all? { |prefix| Names::UNDERSTOOD.include?(prefix) }
          } ||
            node.element_children.find { |c| c.name == "Fallback" }
        end

        def section(node)
          @section_nodes << node
          @sections << Sections.read(node, @part, @settings, @sections.size)
        end

        def table(node, place)
          properties = @part.child(node, "tblPr")
          style = properties && @part.child(properties, "tblStyle")
          style_id = style && @part.attr(style, "val")
          layout = TableLayout.new(@part, properties, @sheet.resolve(style_id, "table"))
          number = @tables.size
          @tables << nil
          rows = within_rows(node, "tr")
          skeleton = TableReader.new(@part).table(node, number + 1, @container, style_id) do |row|
            within_rows(row, "tc").map { |cell| [cell, @containers += 1] }
          end
          @tables[number] = skeleton.value
          rows.each_with_index do |row, row_number|
            cells = skeleton.cells[row_number]
            cells.each_with_index do |(tc, id), column|
              conditions = layout.conditions(row_number, rows.size, column, cells.size)
              look = @cells[[style_id, conditions]] ||= Document::CellLook.new(style_id, conditions)
              inside(id, tc) { blocks(tc, (place == :textbox) ? place : :table, look) }
            end
          end
        end

        # Rows of a table or cells of a row, through content controls.
        def within_rows(node, name)
          node.element_children.flat_map do |child|
            next [child] if child.name == name
            BLOCKS.include?(child.name) ? within_rows(child, name) : []
          end
        end
      end
    end
  end
end
