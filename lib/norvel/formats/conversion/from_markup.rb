# frozen_string_literal: true

module Norvel
  module Formats
    # A text in markup, dressed in the styles, page set-up, heads and feet of a template: a Document that no file holds
    # yet. Every word of the text is in it.
    class FromMarkup
      NOTHING = Styles::PropertySet::EMPTY
      FRONT = {title: "title", subtitle: "subtitle", author: "body", date: "body"}.freeze
      FORMS = {true => "numbers", false => "bullets"}.freeze
      POINTS = 0.75 # of a pixel, 96 to the inch

      # text: Markup::Text; template: Document; name: of the document. report: CarryReport
      def initialize(text, template, name:, report: Formats::CarryReport.new)
        @text = text
        @template = template
        @name = name
        @report = report
        @role_styles = Formats::RoleStyles.new(template)
        @numbering = template.numbering
        @paragraphs = []
        @tables = []
        @stories = []
        @images = {}
        @lists = {}
        @containers = @pictures = 0
      end

      # The Document that no file holds yet.
      def document
        blocks = front + @text.blocks
        blocks = [Markup::Block.new(role: "body")] if blocks.empty?
        put(blocks, :body, nil)
        section = own_section
        Document.new(format: @template.format, name: @name, conventions: @template.conventions,
          paragraphs: @paragraphs.freeze, tables: @tables.freeze,
          stories: (notes + heads(section)).freeze, sections: [section].freeze, page_styles: @template.page_styles,
          styles: @role_styles.style_sheet, numbering: @numbering, info:, settings: @template.settings,
          source: Formats::ImageSource.new(@images, @template.source))
      end

      private

      # --- front matter ---

      # What front matter says of the text stands before it, unless the text begins with its title.
      def front
        said = @text.info.slice(*FRONT.keys)
        return [] if said[:title].nil? || @text.blocks.first&.text == said[:title]
        FRONT.filter_map do |field, role|
          Markup::Block.new(role:, pieces: [Markup::Piece.new(text: said[field])]) if said[field]
        end
      end

      def info
        {**@template.info.transform_values { nil }, **@text.info.slice(:title, :author, :language)}
      end

      # The page set-up of the template's text: that of its last section.
      def own_section
        number = @template.sections.size
        section = @template.sections.last
        heads = %i[header footer].to_h do |kind|
          [kind, %i[default first even].filter_map { |which|
            story = @template.head(number, kind.to_s, which.to_s)
            [which, story.id] if story
          }.to_h]
        end
        section.with(heads: heads, starts: "next_page", source: 0)
      end

      def heads(section)
        shown = section.heads.values.flat_map(&:values)
        @template.stories.select { |story| shown.include?(story.id) && story.head? }
          .map { |story| story.with(section: 1) }
      end

      # --- blocks ---

      def put(blocks, part, container)
        blocks.each { |block| (block.role == "table") ? table(block, container) : paragraph(block, part, container) }
      end

      def paragraph(block, part, container)
        role = (part == :table && block.role == "body") ? "table_text" : block.role
        style = (role == "table_text" && @template.styles.called("Table Text").nil?) ? "body" : role
        add(style, block.pieces, placed(block.place), part, container)
      end

      def add(role, pieces, direct, part, container)
        anchors = formulas(pieces)
        @paragraphs << Document::Paragraph.new(@paragraphs.size + 1, part, 1, @role_styles.style(role), direct, NOTHING,
          runs(pieces), nil, nil, nil, container, anchors)
      end

      # --- lists ---

      def placed(place)
        return NOTHING unless place
        id = list(place)
        level = @numbering.level(id, [place.level, 8].min)
        return Styles::PropertySet.of(list_id: id, list_level: [place.level, 8].min) unless place.continues
        Styles::PropertySet.of(indent_left: level.paragraph[:indent_left] || 0.0, first_line: 0.0)
      end

      # Every list of the text is one of the document; a list in a list with another kind of marker has levels of its
      # own.
      def list(place)
        @lists[[place.key, place.ordered, place.level.zero? || nil]] ||= begin
          definition = definition(place.ordered)
          starts = @numbering.definitions[definition].levels.transform_values(&:start)
          starts[place.level] = place.start
          @numbering, id = @numbering.add(Document::Numbering::List.new(definition, starts))
          id
        end
      end

      def definition(ordered)
        (@definitions ||= {})[ordered] ||= begin
          levels = Edits::DefineListStyle.levels(FORMS.fetch(ordered))
          @numbering, id = @numbering.define(Document::Numbering::Definition.new(levels))
          id
        end
      end

      # --- words ---

      def runs(pieces)
        pieces.filter_map { |piece| run(piece) }.freeze
      end

      # Mathematics stands between runs.
      def formulas(pieces)
        return Document::Paragraph::NO_ANCHORS if pieces.none?(&:formula)
        place = 0
        pieces.filter_map { |piece|
          next Document::Anchor.new(place, equation(Mathml.read(piece.formula))) if piece.formula
          place += (piece.note || piece.image) ? 1 : piece.text.size
          nil
        }.freeze
      end

      def equation(node)
        Document::Equation.new(text: node.letters, display: node.attribute("display") == "block", formula: node.source)
      end

      def run(piece)
        return if piece.formula
        return note_mark(piece) if piece.note
        return image(piece) if piece.image
        return if piece.text.empty?
        style, direct = set(piece.marks, piece.link)
        Document::Run.new(piece.text, style, direct, nil, nil, (spans(piece.link) if piece.link))
      end

      def set(marks, link)
        values = marks.except(:code)
        code = marks[:code] && @role_styles.words(:code)
        values = values.merge(font: "Courier New") if marks[:code] && code.nil?
        [code || (link && @role_styles.words(:link)), Styles::PropertySet.of(values)]
      end

      def spans(link)
        inside = link.start_with?("#")
        [Document::Link.new(address: (link unless inside), bookmark: (link.delete_prefix("#") if inside))].freeze
      end

      # Notes are numbered in the order of their marks.
      def note_mark(piece)
        id = (@notes ||= {})[piece.note] ||= (@notes.size + 1).to_s
        style = @role_styles.words(:footnote)
        direct = style ? NOTHING : Styles::PropertySet.of(position: "super")
        mark = Document::NoteMark.new(of: "footnote", note: id)
        Document::Run.new(Document::Run::NOTE, style, direct, nil, [mark].freeze)
      end

      def notes
        (@notes || {}).map.with_index(1) do |(key, id), number|
          outside, @paragraphs = @paragraphs, []
          blocks = @text.notes[key] || []
          put(blocks.map { |block| (block.role == "body") ? block.with(role: "note") : block }, :body, nil)
          paragraphs = Document::Story.apart(@paragraphs, number + @template.stories.size)
          @paragraphs = outside
          Document::Story.new(kind: "footnote", id:, paragraphs:)
        end
      end

      def image(piece)
        image = piece.image
        unless image.bytes
          @report.lost("images whose file did not come along (#{image.address})", place: @paragraphs.size + 1)
        end
        path = image.bytes && kept(image.bytes)
        width, height = Markup::ImageSize.size(image.bytes)
        made = Document::Image.new(id: @pictures += 1, description: (image.description unless image.description.empty?),
          path:, width: width && (width * POINTS), height: height && (height * POINTS))
        Document::Run.new(Document::Run::OBJECT, nil, NOTHING, nil, [made].freeze)
      end

      def kept(bytes)
        path = "text/image#{@images.size + 1}#{Markup::ImageSize.ending(bytes)}"
        @images[path] = bytes
        path
      end

      # --- tables ---

      def table(block, container)
        number = @tables.size
        @tables << nil
        width = block.rows.map { |row| row.sum(&:columns) }.max || 1
        Markup.refuse_more(block.rows.size * width)
        unless block.caption.to_s.empty?
          add("caption", [Markup::Piece.new(text: block.caption)], NOTHING, container ? :table : :body, container)
        end
        spans = {}
        rows = block.rows.map { |cells| row(cells, width, spans) }
        @tables[number] = Document::Table.new(id: number + 1, parent: container, grid: grid(width),
          rows: rows.freeze, width: {rule: "percent", value: 100.0}.freeze)
      end

      def grid(width)
        measure = @template.sections.last.measure
        [(measure / width).round(2)] * width
      end

      # Cells under one that spans rows continue it.
      def row(cells, width, spans)
        left = cells.dup
        column = 0
        made = []
        while column < width
          if (under = spans[column]) && under[0].positive?
            made << Document::Cell.new(id: @containers += 1, columns: under[1], continued: true)
            under[0] -= 1
            column += under[1]
          else
            cell = left.shift || Markup::Cell.new(blocks: [])
            made << cell(cell)
            spans[column] = [cell.rows - 1, cell.columns]
            column += cell.columns
          end
        end
        Document::Row.new(header: cells.any? && cells.all?(&:header), cells: made.freeze)
      end

      def cell(cell)
        id = @containers += 1
        blocks = cell.blocks.empty? ? [Markup::Block.new(role: "body")] : cell.blocks
        put(cell.header ? blocks.map { |block| strong(block) } : blocks, :table, id)
        Document::Cell.new(id:, columns: cell.columns, rows: cell.rows, borders: LINES)
      end

      LINES = %i[top left bottom right].to_h { |side| [side, Styles::BorderLine.new(kind: "single", width: 0.5)] }
        .freeze

      # Headings of columns stand out.
      def strong(block)
        return block if block.role == "table"
        block.with(pieces: block.pieces.map { |piece| piece.with(marks: piece.marks.merge(bold: true)) })
      end
    end
  end
end
