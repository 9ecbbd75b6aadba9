# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # One story (the main text, a note, a header …) to paragraphs, in document order, through tables, content controls and
      # text boxes (ISO/IEC 29500-1 17.3.3, 17.4, 17.5). Deleted and moved-away text is no text; of alternative contents the
      # first that is understood is read.
      class TextReader
        BLOCKS = %w[sdt sdtContent customXml ins moveTo].freeze
        INLINE = %w[hyperlink smartTag customXml sdt sdtContent dir bdo ins moveTo fldSimple].to_h { |name| [name, :transparent] }
          .merge(%w[bookmarkStart bookmarkEnd proofErr commentRangeStart commentRangeEnd permStart permEnd pPr rPr sdtPr sdtEndPr customXmlPr smartTagPr].to_h { |name| [name, :silent] }).freeze
        EDGE_SPACE = /\A\s|\s\z/
        PIECES = {"tab" => "\t", "ptab" => "\t", "cr" => "\n", "noBreakHyphen" => "\u2011", "softHyphen" => "\u00AD"}.freeze
        BREAKS = {"page" => "\f", "column" => "\v"}.freeze
        OBJECTS = %w[drawing pict object AlternateContent ruby sym].to_h { |name| [name, Document::Run::OBJECT] }
          .merge(%w[footnoteReference endnoteReference footnoteRef endnoteRef].to_h { |name| [name, Document::Run::NOTE] }).freeze
        SIGN = Document::Run::SIGN
        OBJECT_SIGNS = [Document::Run::OBJECT, Document::Run::NOTE, SIGN].freeze
        BARE = [nil, Styles::PropertySet::EMPTY, Styles::PropertySet::EMPTY, nil].freeze

        # What a writer needs to find its way back: the elements of paragraphs and their runs by ordinal.
        Nodes = Struct.new(:paragraphs, :runs)

        # pictures: [id of the paragraph, the element that may describe one], in order
        attr_reader :paragraphs, :sections, :section_nodes, :nodes, :pictures

        # +sections+: true for the main text, which has them.
        def initialize(part, formatting, sheet, settings: {}, keep_nodes: false)
          @part = part
          @formatting = formatting
          @sheet = sheet
          @settings = settings
          @nodes = Nodes.new([], []) if keep_nodes
          @paragraphs = []
          @sections = []
          @section_nodes = []
          @pictures = []
          @fields = []
          @cells = {}
          @shorthand = part.shorthand
          @known_paragraphs = {}
          @known_runs = {}
        end

        # Reads everything below a container element.
        def read(container)
          blocks(container, :body, nil)
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
          when *BLOCKS then blocks(child, place, cell)
          end
        end

        def paragraph(node, place, cell)
          ordinal = @paragraphs.size
          @paragraphs << nil
          outside, @inside = @inside, ordinal + 1
          run_nodes = (@nodes.paragraphs << node) && [] if @nodes
          properties = first_named(node, "pPr")
          style_id, direct, mark, holds = properties ? told(properties, @known_paragraphs) { |element| paragraph_properties(element) } : BARE
          number = @sections.size + 1
          runs = []
          @holds = holds
          inline(properties ? properties.next_element : node.first_element_child, runs, place, cell, run_nodes)
          @nodes.runs[ordinal] = run_nodes if @nodes
          @paragraphs[ordinal] = Document::Paragraph.new(ordinal + 1, place, number, style_id, direct, mark, runs.freeze, cell, ordinal, @holds || needed(node))
          section(@part.child(properties, "sectPr")) if holds == :section_break
          @holds = nil
          @inside = outside
        end

        # A cell or box must end with a paragraph, a content control must hold one.
        def needed(node)
          case node.parent.name
          when "tc", "txbxContent" then :last_in_cell if node.next_element.nil?
          when "sdtContent" then :last_in_cell if node.next_element.nil? && node.previous_element.nil?
          end
        end

        # What an element says, worked out once for each that the part tells in shorthand.
        def told(element, known)
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
              inline(child.first_element_child, runs, place, cell, run_nodes) if kind == :transparent
            elsif name == "AlternateContent" && (branch = understood(child))
              inline(branch.first_element_child, runs, place, cell, run_nodes)
            else
              @holds = :content
            end
            child = child.next_element
          end
        end

        def run(node, runs, place, cell, run_nodes)
          source = runs.size
          number = @shorthand && node["n"] and return runs << short_run(node, number, source)
          runs << nil
          run_nodes << node if run_nodes
          style_id = nil
          direct = Styles::PropertySet::EMPTY
          text = nil
          child = node.first_element_child
          while child
            name = child.name
            if name == "rPr"
              style_id, direct = told(child, @known_runs) { |element| run_properties(element) }
            else
              piece = (name == "t" && @fields.empty?) ? text_of(child) : piece(child, name, cell)
              text = text ? text + piece : piece
            end
            child = child.next_element
          end
          runs[source] = Document::Run.new(text || "", style_id, direct, source)
        end

        # A run that the part tells as one element: its text, and the number of its formatting if it has any.
        def short_run(node, number, source)
          text = @fields.include?(:instruction) ? SIGN : node.content
          return Document::Run.new(text, nil, Styles::PropertySet::EMPTY, source) if number.empty?
          style_id, direct = @known_runs[number] ||= run_properties(@shorthand.element(number))
          Document::Run.new(text, style_id, direct, source)
        end

        def run_properties(node)
          style_id = nil
          values = {}
          child = node.first_element_child
          while child
            (child.name == "rStyle") ? style_id = @part.attr(child, "val") : @formatting.read_element(child, :run, @part, values)
            child = child.next_element
          end
          [style_id, @formatting.share(values)]
        end

        # The text of one child of a run.
        def piece(child, name, cell)
          return PIECES[name] if PIECES.key?(name)
          case name
          when "t" then @fields.include?(:instruction) ? SIGN : text_of(child)
          when "lastRenderedPageBreak" then ""
          when "br" then BREAKS.fetch(@part.attr(child, "type"), "\n")
          when "fldChar" then field(child)
          when "ruby" then child.xpath(".//*[local-name()='rubyBase']//*[local-name()='t']").map(&:content).join
          when "drawing", "pict", "object" then boxes(child, cell)
          when "AlternateContent" then (branch = understood(child)) ? boxes(branch, cell) : OBJECTS[name]
          else OBJECTS.fetch(name, SIGN)
          end
        end

        def text_of(child)
          text = child.content
          (!EDGE_SPACE.match?(text) || child["xml:space"] == "preserve") ? text : text.strip
        end

        # Complex fields: what stands between begin and separate is instruction. They nest and span paragraphs (17.16.18).
        def field(node)
          case @part.attr(node, "fldCharType")
          when "begin" then @fields << :instruction
          when "separate" then @fields[-1] = :result unless @fields.empty?
          when "end" then @fields.pop
          end
          SIGN
        end

        # The paragraphs of the text boxes below an object come after the one that holds it.
        def boxes(node, cell)
          holder = Pictures.holder(node) and @pictures << [@inside, holder]
          outside = @holds
          node.xpath(".//*[local-name()='txbxContent'][not(ancestor::*[local-name()='Fallback'])]").each do |box|
            blocks(box, :textbox, cell) if nearest_box(box, node)
          end
          @holds = outside
          Document::Run::OBJECT
        end

        def nearest_box(box, node)
          box.ancestors.take_while { |above| above != node }.none? { |above| above.name == "txbxContent" }
        end

        # The first choice whose needs are understood, else the fallback (ISO/IEC 29500-3).
        def understood(node)
          node.element_children.find { |c| c.name == "Choice" && c["Requires"].to_s.split.all? { |prefix| Names::UNDERSTOOD.include?(prefix) } } ||
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
          rows = within(node, "tr")
          rows.each_with_index do |row, row_number|
            cells = within(row, "tc")
            cells.each_with_index do |tc, column|
              conditions = layout.conditions(row_number, rows.size, column, cells.size)
              blocks(tc, (place == :textbox) ? place : :table, @cells[[style_id, conditions]] ||= Document::Cell.new(style_id, conditions))
            end
          end
        end

        # Rows of a table or cells of a row, through content controls.
        def within(node, name)
          node.element_children.flat_map do |child|
            next [child] if child.name == name
            BLOCKS.include?(child.name) ? within(child, name) : []
          end
        end
      end
    end
  end
end
