# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Paragraphs, tables, notes and boxes of a document that comes from another format, as elements of
      # WordprocessingML.
      class BodyBuilder
        NOTHING = Styles::PropertySet::EMPTY
        INLINE = %(<wp:inline distT="0" distB="0" distL="0" distR="0"><wp:extent cx="%<cx>d" cy="%<cy>d"/>) +
          %(<wp:docPr id="%<id>d" name="%<name>s"/><a:graphic><a:graphicData uri="%<uri>s">%<inside>s</a:graphicData>) +
          "</a:graphic></wp:inline>"
        PICTURE = %(<pic:pic><pic:nvPicPr><pic:cNvPr id="%<id>d" name="%<name>s"/><pic:cNvPicPr/></pic:nvPicPr>) +
          %(<pic:blipFill><a:blip r:embed="%<rel>s"/><a:stretch><a:fillRect/></a:stretch></pic:blipFill><pic:spPr>) +
          %(<a:xfrm><a:off x="0" y="0"/><a:ext cx="%<cx>d" cy="%<cy>d"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/>) +
          "</a:prstGeom></pic:spPr></pic:pic>"
        BOX = %(<wps:wsp><wps:cNvSpPr txBox="1"/><wps:spPr><a:xfrm><a:off x="0" y="0"/>) +
          %(<a:ext cx="%<cx>d" cy="%<cy>d"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom>%<look>s) +
          "</wps:spPr><wps:txbx><w:txbxContent/></wps:txbx><wps:bodyPr/></wps:wsp>"
        SHAPE = %(<wps:wsp><wps:cNvSpPr/><wps:spPr><a:xfrm%<turned>s><a:off x="0" y="0"/>) +
          %(<a:ext cx="%<cx>d" cy="%<cy>d"/></a:xfrm><a:prstGeom prst="%<form>s"><a:avLst/></a:prstGeom>%<look>s) +
          "</wps:spPr><wps:bodyPr/></wps:wsp>"

        # builder: Builder; part: where it is built
        def initialize(builder, part)
          @builder = builder
          @document = builder.document
          @report = builder.report
          @part = part
          @lines = LineBuilder.new(part, self, @report)
        end

        # Puts blocks (paragraphs and tables) into a holder, which ends with a paragraph, as it must.
        def fill(holder, blocks)
          before = nil
          blocks.each do |block|
            holder.add_child(@part.create("p")) if block.is_a?(Document::Table) && before.is_a?(Document::Table)
            block.is_a?(Document::Table) ? table(holder, block) : paragraph(holder, block)
            before = block
          end
          holder.add_child(@part.create("p")) unless before.is_a?(Document::Paragraph)
        end

        # --- what lines ask ---

        # The element of an object in a run, nil for what is not carried.
        def element(object, _part, place)
          case object
          when Document::Image then image(object, place)
          when Document::TextBox then box(object)
          when Document::NoteMark then note(object)
          when Document::CommentMark then @part.create("commentReference", "id" => object.comment)
          else @report.lost("what has no name in the other format (#{object.name})", place:) && nil
          end
        end

        # The id of a new relationship of a part.
        def relationship(part, kind, target, external: false)
          @builder.relationship(part, kind, target, external:)
        end

        # [The number, the name] that a bookmark has in the file.
        def bookmark(object)
          @builder.bookmark(object)
        end

        # The style of words for marks of notes, nil where there is none.
        def mark_style(object)
          @builder.mark_style(object.of)
        end

        private

        def paragraph(holder, paragraph)
          node = holder.add_child(@part.create("p"))
          set = formatting(paragraph) and node.add_child(set.dup)
          @builder.end_section(node, paragraph, @part)
          @lines.fill(node, paragraph, @builder.place(paragraph))
          node
        end

        # The pPr of paragraphs that are set alike, made once; nil for nothing.
        def formatting(paragraph)
          (@formatting ||= {})[[paragraph.style_id, paragraph.direct, paragraph.mark]] ||= begin
            node = @part.create("p")
            if paragraph.style_id
              @part.set(@part.place(@part.place(node, "pPr"), "pStyle"), "val", paragraph.style_id)
            end
            Formatting.write(node, "pPr", :paragraph, NOTHING, paragraph.direct, @part)
            Formatting.write(@part.place(node, "pPr"), "rPr", :run, NOTHING, paragraph.mark, @part)
            found = @part.child(node, "pPr")
            found if found.element_children.any?
          end
        end

        def table(holder, table)
          holder.add_child(TableBuilder.new(@part).build(table) { |cell, blocks| fill(cell, blocks) })
        end

        def image(object, place)
          return shape(object) if object.path.nil? && object.shape && !object.shape.group?
          relation = object.path && @builder.picture(@part, object.path)
          return @report.lost("drawings", place:) && nil unless relation
          @report.approximate("where floating images stand", "in the line") if object.floating
          node = drawing(object, Names::PICTURE_URI, PICTURE, rel: relation)
          holder = node.at_xpath(".//*[local-name()='docPr']")
          Pictures.write(holder, object)
          node
        end

        def shape(object)
          @report.approximate("where floating images stand", "in the line") if object.floating
          shape = object.shape
          node = drawing(object, Blank::SHAPE, SHAPE, form: Shapes::KINDS.key(shape.kind), look: Shapes.look(shape),
            turned: shape.rises ? ' flipV="1"' : "")
          Pictures.write(node.at_xpath(".//*[local-name()='docPr']"), object)
          node
        end

        def box(object)
          @report.approximate("where boxes of text stand", "in the line")
          node = drawing(object, Blank::SHAPE, BOX, look: object.shape ? Shapes.look(object.shape) : "")
          fill(node.at_xpath(".//*[local-name()='txbxContent']"), @builder.blocks_in(object.id))
          node
        end

        def drawing(object, uri, inside, **more)
          id = @builder.next_drawing
          values = {id:, name: "Drawing #{id}", cx: emu(object.width || 72.0), cy: emu(object.height || 72.0), **more}
          xml = format(INLINE, **values, uri:, inside: format(inside, **values))
          node = @part.create("drawing")
          root = @part.root.to_xml[/<w:\w+[^>]*?(?=\/?>)/]
          fragment = XML.parse("#{root}>#{xml}</w:#{@part.root.name}>", "a drawing")
          node.add_child(fragment.root.first_element_child)
          node
        end

        def emu(points)
          Length.whole(points, "emu")
        end

        def note(object)
          id = @builder.note(object) or return
          @part.create("#{object.of}Reference", "id" => id)
        end
      end
    end
  end
end
