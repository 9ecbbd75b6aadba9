# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Paragraphs, tables, notes and boxes of a document that comes from another format, as elements of OpenDocument.
      class BodyBuilder
        # builder: Builder; part: where it is built; automatic: its AutomaticStyles
        def initialize(builder, part)
          @builder = builder
          @document = builder.document
          @report = builder.report
          @part = part
          @automatic = builder.automatic(part)
          @writer = ParagraphWriter.new(part, [builder.blank, @document], @automatic, builder.keys,
            builder.reader.worn[part], builder.definitions)
          @lists = ListNesting.new(part, builder.definitions)
          @lines = LineBuilder.new(part, self, @report)
          @line_writer = LineWriter.new(part, nil)
        end

        # Puts blocks (paragraphs and tables) into a holder; those of a contents list into an index.
        def fill(holder, blocks)
          lists = contents_in(blocks)
          previous = index = last = nil
          blocks.each do |block|
            next table(holder, block) && previous = nil if block.is_a?(Document::Table)
            index, last = begin_index(holder, *lists[block]) if lists.key?(block)
            previous = paragraph(index || holder, block, previous)
            index = nil if block.equal?(last)
          end
          holder.add_child(@part.create("text:p")) if holder.element_children.empty?
        end

        # --- what lines ask ---

        # The element of an object in the line, nil for what is not carried.
        def element(object, part, place)
          case object
          when Document::Image then object.formula ? equation(object, part) : image(object, place)
          when Document::TextBox then box(object)
          when Document::NoteMark then note(object)
          when Document::CommentMark then comment(object)
          when Document::CharacterSign then sign(object)
          else unknown(object, place)
          end
        end

        # A formula stands in a frame of its own; how large it is, who sets it knows.
        def equation(object, _part)
          frame = @part.create("draw:frame", "text:anchor-type" => "as-char")
          formula = Mathml.read(object.formula) || Mathml::Node.math([Mathml::Node.make("mtext", object.text)])
          put_formula(frame.add_child(@part.create("draw:object")), formula)
          frame
        end

        # Puts a Mathml::Node into an element.
        def put_formula(holder, node)
          made = holder.add_child(@part.create("math:#{node.name}"))
          node.attributes.except("xmlns").each { |name, value| @part.set(made, "math:#{name}", value) }
          node.token? ? made.content = node.text : node.children.each { |child| put_formula(made, child) }
        end

        # The number with which a sequence begins anew; nil where it counts on.
        def restart(name, said)
          @builder.restart(name, said)
        end

        # The element at an edge of what a comment is about.
        def comment_edge(object, part)
          return if object.edge == "start" # said by the comment itself
          part.create("office:annotation-end", "office:name" => "comment#{object.comment}")
        end

        # Signs that say nothing of themselves, and what is told once for the whole file (Unmodelled), go without a
        # word.
        SILENT = %w[annotationRef separator continuationSeparator proofErr del moveFrom moveFromRangeStart
          moveFromRangeEnd moveToRangeStart moveToRangeEnd].freeze

        private

        def unknown(object, place)
          return if SILENT.include?(object.name)
          @report.lost("what has no name in the other format (#{object.name})", place:)
          nil
        end

        def paragraph(holder, paragraph, previous)
          node = holder.add_child(@part.create("text:p"))
          letters = shared(paragraph)
          @writer.kind(node, nil, paragraph)
          @writer.dress(node, nil, paragraph, Styles::PropertySet::EMPTY, letters)
          @builder.start_page(node, paragraph, @part)
          tokens = @lines.tokens(paragraph, @builder.place(paragraph), ->(run) { @writer.span(run, letters) })
          parts = split(tokens)
          @line_writer.fill(node, parts.shift)
          place = listed(node, paragraph, previous)
          parts.each { |kind, more| node = broken(node, kind, more) }
          place
        end

        # What all letters of the paragraph set is set by its style.
        def shared(paragraph)
          runs = paragraph.runs.reject { |run| run.text.empty? }
          return paragraph.mark if runs.empty?
          first = runs.first.direct
          first.slice(*first.keys.select { |slot|
            runs.all? { |run| run.direct[slot] == first[slot] && !@writer.words_of(run).key?(slot) }
          })
        end

        def listed(node, paragraph, previous)
          place = @writer.place_of(@document, paragraph) or return
          @lists.wrap(node, place, previous, @document.numbering.list(place.first), @builder.numbers[paragraph.id])
          place
        end

        # A page or column break inside: what follows is a paragraph of its own.
        def split(tokens)
          parts = tokens.slice_when { |_, token| ["\f", "\v"].include?(token.char) }.to_a
          return [tokens] if parts.size < 2 && !["\f", "\v"].include?(tokens.first&.char)
          first = ["\f", "\v"].include?(parts.first.first.char) ? [] : parts.shift
          [first, *parts.map { |part| [(part.first.char == "\f") ? "page" : "column", part.drop(1)] }]
        end

        def broken(node, kind, tokens)
          @report.approximate("breaks inside a paragraph", "the paragraph is divided there")
          after = @part.shell(node)
          node.add_next_sibling(after)
          own = @builder.reader.worn[@part].node(@part.attr(node, "text:style-name")) || made_style(node)
          parent = own ? @part.attr(own, "style:parent-style-name") : @part.attr(node, "text:style-name")
          name = @automatic.paragraph(own, parent) do |style|
            @part.unset(style, "style:master-page-name")
            holder = @part.child(style, "style:paragraph-properties") ||
              style.prepend_child(@part.create("style:paragraph-properties"))
            @part.set(holder, "fo:break-before", kind)
            @part.unset(holder, "style:page-number")
          end
          @part.set(after, "text:style-name", name)
          @line_writer.fill(after, tokens)
          after
        end

        # The automatic style that was made for an element.
        def made_style(node)
          @automatic.node(@part.attr(node, "text:style-name"), "paragraph")
        end

        # --- contents lists ---

        # {first paragraph => [field, last paragraph]} of the contents lists that end among the blocks, by identity.
        def contents_in(blocks)
          open = []
          found = {}.compare_by_identity
          blocks.grep(Document::Paragraph).reject(&:plain?).each do |paragraph|
            Structure::ContentsLists.marks(paragraph).each do |mark|
              next open << [mark, paragraph] if mark.is_a?(Document::Field)
              field, first = open.pop
              found[first] = [field, paragraph] if field&.does == "contents"
            end
          end
          found
        end

        # [the element that holds its entries, its last paragraph]
        def begin_index(holder, field, last)
          list = holder.add_child(IndexElements.make(field.computes, @part, @builder.next_index))
          [list.element_children.last, last]
        end

        # --- objects ---

        def image(object, place)
          return shape(object) if object.path.nil? && object.shape && !object.shape.group?
          path = @builder.picture(object.path) if object.path
          @report.lost("drawings", place:) if path.nil? && (object.shape || !object.description)
          return unless path || object.description
          @report.approximate("where floating images stand", "at their paragraph") if object.floating
          @report.shown_whole(object)
          size = {"svg:width" => object.width, "svg:height" => object.height}
            .transform_values { |points| Codecs::Measure.text(points || 72.0) }
          frame = @part.create("draw:frame", "draw:name" => "Image#{@builder.next_image}",
            "text:anchor-type" => object.floating ? "paragraph" : "as-char", **size)
          if path
            frame.add_child(@part.create("draw:image", "xlink:href" => path, "xlink:type" => "simple",
              "xlink:show" => "embed", "xlink:actuate" => "onLoad"))
          end
          Drawings.describe(frame, @part, object.description) if object.description
          @report.lost("marks of images as decoration", place:) if object.decorative
          frame
        end

        def shape(object)
          @report.approximate("where floating images stand", "at their paragraph") if object.floating
          node = Shapes.element(object.shape, @part, object.width || 72.0, object.height || 36.0)
          @part.set(node, "text:anchor-type", object.floating ? "paragraph" : "as-char")
          @part.set(node, "draw:style-name", @automatic.other("graphic", Shapes.properties(object.shape)))
          @builder.hold_arrow if object.shape.heads
          Drawings.describe(node, @part, object.description) if object.description
          node
        end

        def box(object)
          @report.approximate("where boxes of text stand", "at their paragraph")
          look = object.shape && @automatic.other("graphic", Shapes.properties(object.shape, frame: true))
          frame = @part.create("draw:frame", "draw:style-name" => look, "text:anchor-type" => "paragraph",
            "svg:width" => Codecs::Measure.text(object.width || 144.0))
          inner = frame.add_child(@part.create("draw:text-box",
            "fo:min-height" => Codecs::Measure.text(object.height || 36.0)))
          fill(inner, @builder.blocks_in(object.id))
          frame
        end

        def note(object)
          return unless object.note
          story = @document.note(object) or return
          made = @builder.within_note(story) { made_note(object, story) }
          @report.lost("marks of notes in themselves") unless made
          made
        end

        def made_note(object, story)
          number = @builder.next_note(object.of)
          node = @part.create("text:note", "text:id" => "#{object.of}#{number}", "text:note-class" => object.of)
          node.add_child(@part.create("text:note-citation")).content = number.to_s
          body = node.add_child(@part.create("text:note-body"))
          BodyBuilder.new(@builder, @part).fill(body, bare(story).blocks)
          node
        end

        # A note begins with its own mark in other formats, and a space after it.
        def bare(story)
          first = story.paragraphs.first or return story
          runs = first.runs.map do |run|
            next run unless run.objects.any? { |one| one.is_a?(Document::NoteMark) && one.note.nil? }
            run.with(text: run.text.delete(Document::Run::NOTE), carried: nil)
          end
          at = runs.index { |run| !run.text.empty? }
          runs[at] = runs[at].with(text: runs[at].text.sub(/\A[ \u00A0\t]/, "")) if at && runs != first.runs
          story.with(paragraphs: [first.with(runs: runs.freeze), *story.paragraphs.drop(1)].freeze)
        end

        def comment(object)
          story = @document.stories.find { |one| one.kind == "comment" && one.id == object.comment } or return
          name = "comment#{story.id}" if @builder.ranged?(story.id)
          node = @part.create("office:annotation", "office:name" => name)
          node.add_child(@part.create("dc:creator")).content = story.author.to_s
          BodyBuilder.new(@builder, @part).fill(node, story.blocks)
          node
        end

        # A sign of a symbol font is a letter that only its font draws.
        def sign(object)
          name = @automatic.text(nil, Styles::PropertySet.of(font: object.font.to_s))
          span = @part.create("text:span", "text:style-name" => name)
          span.content = [object.code.to_s.hex].pack("U")
          span
        end

        # --- tables ---

        def table(holder, table)
          holder.add_child(TableBuilder.new(@part, @automatic, @builder).build(table) { |cell, blocks|
            fill(cell, blocks)
          })
        end
      end
    end
  end
end
