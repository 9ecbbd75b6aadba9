# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The contents of a paragraph that comes from another format as elements of WordprocessingML: runs, links, fields,
      # places with names, and an element for every object.
      class LineBuilder
        TEXT = /[\t\n\f\v\u00AD\u2011]|[^\t\n\f\v\u00AD\u2011]+/
        MADE = {"\t" => ["tab", {}], "\n" => ["br", {}], "\f" => ["br", {"type" => "page"}],
                "\v" => ["br", {"type" => "column"}], "\u00AD" => ["softHyphen", {}],
                "\u2011" => ["noBreakHyphen", {}]}.freeze
        SPECIAL = /[\x00-\x1f\u00AD\u2011]/
        CONTROL = /[\x00-\x08\x0b\x0c\x0e-\x1f]/
        NOTHING = Styles::PropertySet::EMPTY

        # builder: BodyBuilder
        def initialize(part, builder, report)
          @part = part
          @builder = builder
          @report = report
        end

        # Fills a paragraph's element. place: its number, for the report
        def fill(node, paragraph, place)
          @place = place
          @holders = {}
          @alone = paragraph.runs.one? { |run| run.text.match?(/\S/) } && paragraph.raw_text.strip.size == 1
          anchors = paragraph.anchors.sort_by.with_index { |anchor, index| [anchor.place, index] }
          length = 0
          paragraph.runs.each do |run|
            run.pieces.each do |piece|
              anchors.shift(anchors.count { |one| one.place <= length }).each { |one| anchor(node, one.object) }
              size = piece.is_a?(String) ? piece.size : 1
              part_of(piece, size, anchors, length) { |some| add(node, some, run) }
              length += size
            end
          end
          anchors.each { |one| anchor(node, one.object) }
        end

        # The element for a link or field that words stand in.
        def element(value)
          case value
          when Document::Link then link(value)
          when Document::Field then field(value)
          end
        end

        # Puts the edge of a place at the end of a paragraph's element.
        def bookmark(node, object)
          id, name = @builder.bookmark(object)
          return node.add_child(@part.create("bookmarkEnd", "id" => id)) if object.edge == "end"
          node.add_child(@part.create("bookmarkStart", "id" => id, "name" => name))
        end

        # The runs that begin a field, and the one that ends it, for where no element of its own may stand.
        def edges(field)
          holder = @part.create("p")
          begun(holder, field)
          sign(holder, "end")
          runs = holder.element_children.to_a
          [runs[0..-2], runs.last]
        end

        private

        # Letters between which something stands are told in parts.
        def part_of(piece, size, anchors, length)
          cut = anchors.map { |one| one.place - length }.find { |at| at.between?(1, size - 1) } if piece.is_a?(String)
          return yield(piece) unless cut
          yield(piece[0, cut])
          yield(piece[cut..])
        end

        def add(node, piece, run)
          piece = Document::Separator::BY_CHARACTER.key(piece) if piece.is_a?(Document::Separator)
          return if piece == ""
          holder = holder(node, run.within)
          return formula(holder, piece) if piece.is_a?(Document::Image) && piece.formula
          return letters(holder, piece, run) if piece.is_a?(String)
          element = @builder.element(piece, @part, @place) or return
          made = holder.add_child(made_run(run, piece))
          made.add_child(element)
        end

        def letters(holder, text, run)
          node = holder.add_child(made_run(run))
          return node.add_child(text(text)) unless text.match?(SPECIAL)
          text.gsub(CONTROL) { |char| MADE.key?(char) ? char : "" }.scan(TEXT) do |some|
            name, attributes = MADE[some]
            node.add_child(name ? @part.create(name, attributes) : text(some))
          end
        end

        def text(letters)
          node = @part.create("t")
          node.content = letters
          node["xml:space"] = "preserve" if letters.match?(/\A\s|\s\z|\s\s/)
          node
        end

        # A note's mark stands above the line, whatever its words say.
        def made_run(run, object = nil)
          node = @part.create("r")
          mark = object.is_a?(Document::NoteMark)
          style = mark ? @builder.mark_style(object) || run.style_id : run.style_id
          direct = (mark && @builder.mark_style(object).nil?) ? run.direct.merge(position: "super") : run.direct
          set = formatting(style, direct) and node.add_child(set.dup)
          node
        end

        # The rPr of a style and what is set directly, made once; nil for nothing.
        def formatting(style, direct)
          return if style.nil? && direct.empty?
          (@formatting ||= {})[[style, direct]] ||= begin
            node = @part.create("r")
            @part.set(@part.place(@part.place(node, "rPr"), "rStyle"), "val", style) if style
            Formatting.write(node, "rPr", :run, NOTHING, direct, @part)
            @part.child(node, "rPr") || @part.create("rPr")
          end
        end

        # The element that words stand in: a link, a field, or the paragraph.
        def holder(node, within)
          within.inject(node) do |outer, value|
            known = @holders[value]
            next known if known && known.parent == outer && outer.element_children.last == known
            made = element(value) or next outer
            @holders[value] = outer.add_child(made)
          end
        end

        def link(link)
          return @part.create("hyperlink", "anchor" => link.bookmark) unless link.address
          node = @part.create("hyperlink")
          node["r:id"] = @builder.relationship(@part, "hyperlink", link.address, external: true)
          @part.set(node, "tooltip", link.title) if link.title
          node
        end

        def field(field)
          instruction = FieldInstructions.of(field)
          if instruction.empty?
            @report.lost("computed text, kept as words", place: @place)
            return
          end
          @part.create("fldSimple", "instr" => " #{instruction} ")
        end

        # --- what takes no room ---

        def anchor(node, object)
          case object
          when Document::Bookmark then bookmark(node, object)
          when Document::CommentMark
            name = (object.edge == "start") ? "commentRangeStart" : "commentRangeEnd"
            node.add_child(@part.create(name, "id" => object.comment))
          when Document::Field then begun(node, object)
          when Document::FieldPart then sign(node, "end") if object.role == "end"
          when Document::Equation then equation(node, object)
          end
        end

        # A field that spans paragraphs.
        def begun(node, field)
          sign(node, "begin")
          run = node.add_child(@part.create("r"))
          text = run.add_child(@part.create("instrText"))
          text["xml:space"] = "preserve"
          text.content = " #{FieldInstructions.of(field)} "
          sign(node, "separate")
        end

        def sign(node, type)
          node.add_child(@part.create("r")).add_child(@part.create("fldChar", "fldCharType" => type))
        end

        # An object that is a formula stands on a line of its own where nothing else does.
        def formula(holder, object)
          holder.add_child(MathsWriter.new(@part).formula(Mathml.read(object.formula), display: @alone))
        end

        def equation(node, object)
          formula = Mathml.read(object.formula) || Mathml::Node.math([Mathml::Node.make("mtext", object.text)])
          node.add_child(MathsWriter.new(@part).formula(formula, display: object.display))
        end
      end
    end
  end
end
