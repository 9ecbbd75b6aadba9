# frozen_string_literal: true

require "prawn"

Prawn::Fonts::OTF.prepend(Norvel::Pdf::OutlineFonts)
Prawn::Fonts::ToUnicodeCMap.prepend(Norvel::Pdf::LettersOfForms)

module Norvel
  module Pdf
    # One file: its pages, structure, bookmarks, labels and what it says of itself.
    class Writer
      # document: with or without its pages; archive: is it to be PDF/A-2u (ISO 19005-2)? Raises Layout::Defeated where
      # they can't be worked out.
      def initialize(document, archive: false)
        @archive = archive
        @document = document
        @pages = Layout.of(document)
        @structure = Structure.new(document, Catalogue.language(document))
        @report = Formats::CarryReport.new
        @references = []
        @drawn = DrawnWords.new(document)
        @links = Links.new(document, @structure)
        @images = []
      end

      # The bytes, and what is not in them: Formats::Written. The block is told how many pages are drawn, of how many.
      def written
        @written ||= begin
          @pages.sheets.each.with_index(1) do |sheet, number|
            page(sheet)
            yield number, @pages.sheets.size if block_given?
          end
          lost = @links.write(pdf, @references, @pages)
          Tree.new(pdf, @structure).write(@references)
          Catalogue.new(pdf, @document, @pages).write(@references, accessible: accessible?, archive: @archive)
          tell(lost)
          pdf.state.trailer = {ID: [identifier] * 2}
          pdf.renderer.min_version(1.7)
          pdf.renderer.before_render { tag_subsets }
          Formats::Written.new(pdf.render, @report)
        end
      end

      private

      def pdf
        @pdf ||= Prawn::Document.new(skip_page_creation: true, compress: true, info: Catalogue.info(@document))
      end

      # Of the words and what the file says of itself (ISO 32000-1 14.4): the same for the same document.
      def identifier
        said = [Seal.of(@document).words, Catalogue.info(@document).to_a.join("\n"), @archive].join("\n")
        PDF::Core::ByteString.new(Digest::SHA256.digest(said)[0, 16])
      end

      # Six capitals tag a subset of a font (ISO 32000-1 9.6.4): the library writes other signs.
      def tag_subsets
        pdf.state.store.each do |object|
          next unless object.data.is_a?(Hash)
          %i[BaseFont FontName].select { |name| object.data[name].to_s.include?("+") }.each do |name|
            object.data[name] = object.data[name].to_s.sub(/\A\h{6}/) { |tag| tag.tr("0-9a-f", "A-P") }.to_sym
          end
        end
      end

      def tell(lost)
        @drawn.tell(@report)
        left = @document.pictures.reject { |picture| @images.any? { |image| image.equal?(picture.image) } }
        left.each { |picture| @report.lost("images that stand on no sheet", place: place(picture.paragraph)) }
        @report.approximate("links", "what they led to is not there: their words are", count: lost) if lost.positive?
        barriers.each { |what, how, count| @report.approximate(what, how, count:) if count.positive? }
      end

      # What is there in another way, and what keeps the file from being accessible (ISO 14289-1 7.1 to 7.5).
      def barriers
        [["equations without structure", "their letters are set in a row", equations],
          ["characters that no font here has", "an empty box stands for each", absent.size],
          ["images without a description", "nothing is announced for them", @document.pictures.count(&:mute?)],
          ["tables without a marked header row", "their cells are announced without it", headless],
          ["language", "it does not say its own: the one that it reads as is written", unsaid(:language)],
          ["title", "it does not say its own: the file's name is shown", unsaid(:title)]]
      end

      # Is all there that a machine can judge? Headings begin at the first level and leave none out going down
      # (ISO 14289-1 7.4.2).
      def accessible?
        levels = Survey::Outline.new(@document).marked.map(&:level)
        barriers.all? { |_, _, count| count.zero? } && levels.first(1).all?(1) &&
          levels.each_cons(2).all? { |one, other| other <= one + 1 }
      end

      def equations
        @document.paragraphs.sum { |one| one.equations.values.flatten.count { |equation| equation.formula.nil? } }
      end

      def absent
        Layout::Estimates.new(@pages).absent
      end

      def unsaid(name)
        @document.info[name] ? 0 : 1
      end

      def headless
        @document.tables.count { |table| table.rows.size > 1 && table.header_rows.zero? }
      end

      def page(sheet)
        section = @document.sections[sheet.section - 1] || @document.sections.last
        pdf.start_new_page(size: [section.width, section.height], margin: 0)
        @references << pdf.page.dictionary
        @ink = Ink.new(pdf, section.height)
        @height = section.height
        @number = -1
        beside(sheet)
        sheet.bands.each { |x, y, column| Layout::Placing.hanging(column, x, y, &method(:draw)) }
        blocks(sheet.lines)
        blocks(sheet.note_lines)
      end

      # What belongs to the page and not to the text.
      def beside(sheet)
        @ink.artifact do
          Layout::Ground.of(sheet).each { |one| one.is_a?(Layout::Ground::Fill) ? @ink.fill(one) : @ink.rule(one) }
        end
        lines = heads(sheet)
        @ink.artifact("Pagination") { lines.each { |line| whole(line) } } if lines.any?
        @pages.heads(sheet).each do |_, x, y, column|
          Layout::Placing.hanging(column, x, y) { |one, left, top, _| draw(one, left, top, nil) }
        end
      end

      # A line of a head or foot, with its images.
      def whole(line)
        line(line)
        line.spans.select(&:object).each do |span|
          object = span.object
          ink_image(object, span.x, line.baseline - object.height, nil) if object.object.is_a?(Document::Image)
        end
      end

      def heads(sheet)
        @pages.heads(sheet).flat_map do |_, x, y, column|
          [].tap { |found| Layout::Placing.column(column, x, y) { |line| found << line } }
        end
      end

      # What belongs to no paragraph is none of the text.
      def blocks(lines)
        lines.each do |line|
          paragraph = line.block.paragraph
          paragraph ? pieces(line, paragraph) : @ink.artifact { line(line) }
        end
      end

      # Stretches of words of a line are marked content each, and so are markers, marks of notes, and the images between
      # them.
      def pieces(line, paragraph)
        line.spans.chunk_while { |one, other| kind(one) == kind(other) && one.object.nil? }.each do |spans|
          spans.first.object ? object(spans.first, line.baseline, paragraph) : words(spans, line, paragraph)
        end
      end

      def kind(span)
        return :object if span.object
        return :label if span.label
        span.letters.note ? :note : :words
      end

      def element(span, paragraph)
        case kind(span)
        when :label then @structure.label(paragraph)
        when :note then @structure.reference(paragraph)
        else @structure.of(paragraph)
        end
      end

      def words(spans, line, paragraph)
        element = element(spans.first, paragraph)
        spans.each { |span| @drawn.add(paragraph, span.text) unless span.leader }
        @links.add(paragraph, spans, line.baseline, pdf.page.dictionary, @height)
        content(element, element.type) { line(line, spans) }
      end

      def content(element, type)
        @number += 1
        element.kids << Structure::Content.new(pdf.page.dictionary, @number)
        @ink.marked(type, @number) { yield }
      end

      def line(line, spans = line.spans.reject(&:object))
        spans.each_with_index { |span, index| @ink.span(span, line.baseline, last: index == spans.size - 1) }
      end

      def object(span, baseline, paragraph)
        return formula(span, baseline, paragraph) if span.object.formula
        draw(span.object, span.x, baseline - span.object.height, paragraph)
      end

      def formula(span, baseline, paragraph)
        part = span.object
        content(@structure.formula(paragraph, part.object), :Formula) do
          @ink.formula(part.formula, span.x, baseline, span.letters.look[:color])
        end
      end

      def draw(object, x, y, paragraph)
        image = object.object
        shape = image.shape if object.inside || image.path.nil?
        return @ink.artifact { @ink.shape(shape, x, y, object.width, object.height) } if shape && object.inside
        return undrawn(object, paragraph) unless image.is_a?(Document::Image)
        box = [x, @height - y - object.height, x + object.width, @height - y].map { |one| one.round(2) }
        return @ink.artifact { ink_image(object, x, y, paragraph) } if image.decorative || paragraph.nil?
        content(@structure.figure(paragraph, image, box), :Figure) { ink_image(object, x, y, paragraph) }
      end

      # A box is drawn by its shape; room is left for what is none and holds no text of its own.
      def undrawn(object, paragraph)
        return if object.inside
        @report.lost("drawings", place: place(paragraph&.id))
      end

      def ink_image(object, x, y, paragraph)
        @images << object.object
        box = [x, y, object.width, object.height]
        shape = object.object.shape if object.object.path.nil?
        return @ink.turned(object.object, *box) { @ink.shape(shape, *box) } if shape
        return if @ink.image(bytes(object.object), object.object, *box)
        @report.approximate("images", "a frame stands where they do: a PDF holds no image of that kind",
          place: place(paragraph&.id))
      end

      # The number of a paragraph of the text, nil for none.
      def place(id)
        @document.position(id) + 1 if id && !Document::Story.id?(id)
      end

      def bytes(image)
        source = @document.source
        source.read(image.path) if image.path && source.respond_to?(:read)
      rescue UnreadableFile
        nil
      end
    end
  end
end
