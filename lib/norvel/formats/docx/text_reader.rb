# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # One story (the main text, a note, a header …) to paragraphs, in document order, through tables, content controls
      # and text boxes (ISO/IEC 29500-1 17.4, 17.5). Of alternative contents the first that is understood is read.
      class TextReader
        BLOCKS = %w[sdt sdtContent customXml ins moveTo].freeze
        PLACES = %w[bookmarkStart bookmarkEnd commentRangeStart commentRangeEnd].freeze

        # Where what is read stands: place: :body, :table or :textbox; cell: the look of its cell or nil; container: the
        # id of the cell or box, nil for the story itself.
        Where = Value.define(:place, :cell, :container)

        # What a writer needs to find its way back: the elements of paragraphs and their runs by ordinal, of containers
        # by id, of tables by id less one.
        Nodes = Struct.new(:paragraphs, :runs, :containers, :tables)

        # pictures: the elements that may describe an image, by its id less one
        attr_reader :paragraphs, :tables, :sections, :section_nodes, :nodes, :pictures, :unseen
        # What readers of paragraphs and runs share; known_…: what elements told in shorthand say, worked out once
        attr_reader :part, :package, :formatting, :fields, :shorthand, :known_paragraphs, :known_runs

        # package: where images are found; settings: of the main text, whose sections need them
        def initialize(part, package, formatting, styles, settings: Document::Settings.new, keep_nodes: false)
          @part = part
          @package = package
          @formatting = formatting
          @styles = styles
          @settings = settings
          @nodes = Nodes.new([], [], {}, []) if keep_nodes
          @paragraphs, @tables, @sections, @section_nodes, @pictures = [], [], [], [], []
          @containers = 0
          @unseen = 0
          @fields = FieldReader.new
          @pending = []
          @cells = {}
          @shorthand = part.shorthand
          @known_paragraphs, @known_runs = {}, {}
        end

        # Reads everything below a container element.
        def read(element)
          container(nil, element, Where.new(place: :body))
          @fields.close
          last_places
          within_sections
          self
        end

        # Reads what stands in a cell or box.
        def container(id, element, where)
          @nodes.containers[id] ||= element if @nodes
          blocks(element, where)
        end

        # The id of the next cell or box.
        def next_container
          @containers += 1
        end

        # A Bookmark or CommentMark for the element of a place.
        def place_of(node)
          id = @part.attr(node, "id").to_s
          edge = node.name.end_with?("Start") ? "start" : "end"
          return Document::CommentMark.new(comment: id, edge:) if node.name.start_with?("comment")
          Document::Bookmark.new(id:, edge:, name: @part.attr(node, "name"))
        end

        # The first choice whose needs are understood, else the fallback (ISO/IEC 29500-3).
        def understood(node)
          choice = node.element_children.find do |child|
            child.name == "Choice" &&
              child["Requires"].to_s.split.all? { |prefix| Names::UNDERSTOOD.include?(prefix) }
          end
          choice || node.element_children.find { |child| child.name == "Fallback" }
        end

        private

        def blocks(node, where)
          child = node.first_element_child
          while child
            block(child, where)
            child = child.next_element
          end
        end

        def block(child, where)
          case child.name
          when "p" then paragraph(child, where) if @part.ours?(child)
          when "tbl" then table(child, where) if @part.ours?(child)
          when "AlternateContent" then (branch = understood(child)) && blocks(branch, where)
          when "sectPr" then section(child) if @part.ours?(child)
          when *PLACES then @pending << place_of(child)
          when *BLOCKS then blocks(child, where)
          when "altChunk" then @unseen += 1
          end
        end

        # Places that were met before it stand at its beginning; what stands in its boxes comes after it.
        def paragraph(node, where)
          ordinal = @paragraphs.size
          Document.refuse_more(ordinal)
          @paragraphs << nil
          @nodes.paragraphs << node if @nodes
          places, @pending = @pending, []
          reader = ParagraphReader.new(self, where, places, keep_nodes: !@nodes.nil?)
          @paragraphs[ordinal] = reader.read(node, ordinal, @sections.size + 1)
          @nodes.runs[ordinal] = reader.run_nodes if @nodes
          section(reader.section_node) if reader.section_node
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

        def section(node)
          @section_nodes << node
          @sections << Sections.read(node, @part, @settings, @sections.size)
        end

        def table(node, where)
          properties = @part.child(node, "tblPr")
          style = properties && @part.child(properties, "tblStyle")
          style_id = style && @part.attr(style, "val")
          layout = TableLayout.new(@part, properties, @styles.resolve(style_id, "table"))
          inside = (where.place == :textbox) ? :textbox : :table
          number = @tables.size
          @tables << nil
          @nodes.tables[number] = node if @nodes
          rows = within_rows(node, "tr")
          skeleton = TableReader.new(@part).table(node, number + 1, where.container, style_id) do |row|
            within_rows(row, "tc").map { |cell| [cell, next_container] }
          end
          @tables[number] = skeleton.value
          rows.each_with_index do |row, row_number|
            cells = skeleton.cells[row_number]
            cells.each_with_index do |(tc, id), column|
              conditions = layout.conditions(row_number, rows.size, column, cells.size)
              look = @cells[[style_id, conditions]] ||= Document::CellLook.new(style_id, conditions)
              container(id, tc, where.with(place: inside, cell: look, container: id))
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
