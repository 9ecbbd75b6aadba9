# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A run: its words and what stands among them, each object a sign (ISO/IEC 29500-1 17.3.3).
      class RunReader
        EDGE_SPACE = /\A\s|\s\z/
        PIECES = {"tab" => "\t", "ptab" => "\t", "cr" => "\n", "noBreakHyphen" => "\u2011", "softHyphen" => "\u00AD"}
          .freeze
        BREAKS = {"page" => "\f", "column" => "\v"}.freeze
        OBJECTS = {
          Document::Run::OBJECT => %w[drawing pict object AlternateContent ruby sym],
          Document::Run::NOTE => %w[footnoteReference endnoteReference footnoteRef endnoteRef]
        }.flat_map { |sign, names| names.map { |name| [name, sign] } }.to_h.freeze
        SIGN = Document::Run::SIGN
        NOTHING = Styles::PropertySet::EMPTY

        # story: TextReader; where: TextReader::Where
        def initialize(story, where)
          @story = story
          @where = where
          @part = story.part
          @fields = story.fields
          @shorthand = story.shorthand
        end

        # The Document::Run of an element. source: its ordinal; within: the links and fields that it stands in
        def read(node, source, within)
          @objects = nil
          number = @shorthand && node["n"]
          number ? short_run(node, number, source, within) : whole_run(node, source, within)
        end

        private

        # A run that the part tells as one element: its text, and the number of its formatting if it has any.
        def short_run(node, number, source, within)
          text = @fields.none? ? node.content : letters(node.content)
          style_id, direct = number.empty? ? [nil, NOTHING] : known_properties(number)
          Document::Run.new(text, style_id, direct, source, @objects&.freeze, spans(within))
        end

        def whole_run(node, source, within)
          style_id, direct = nil, NOTHING
          text = own = nil # own: may the text grow in place, so that very many breaks take no longer?
          child = node.first_element_child
          while child
            name = child.name
            if name == "rPr"
              style_id, direct = formatting_of(child)
            else
              piece = (name == "t" && @fields.none?) ? text_of(child) : piece(child, name)
              text, own = join(text, piece, own)
            end
            child = child.next_element
          end
          Document::Run.new(text || "", style_id, direct, source, @fields.settled(@objects), spans(within))
        end

        def join(text, piece, own)
          return [piece, false] if text.nil?
          [own ? text << piece : text + piece, true]
        end

        # What the words read now stand in.
        def spans(within)
          result = @fields.result or return within
          [*within, result].freeze
        end

        # [style id, what it sets], worked out once for each element that the part tells in shorthand.
        def formatting_of(element)
          number = @shorthand && element["n"]
          number ? known_properties(number) : run_properties(element)
        end

        def known_properties(number)
          @story.known_runs[number] ||= run_properties(@shorthand.element(number))
        end

        def run_properties(node)
          style_id = nil
          values = {}
          child = node.first_element_child
          while child
            if child.name == "rStyle"
              style_id = @part.attr(child, "val")
            else
              @story.formatting.read_element(child, :run, @part, values)
            end
            child = child.next_element
          end
          [style_id, @story.formatting.share(values)]
        end

        # The text of one child of a run.
        def piece(child, name)
          return PIECES[name] if PIECES.key?(name)
          case name
          when "t" then letters(text_of(child))
          when "lastRenderedPageBreak" then ""
          when "br" then BREAKS.fetch(@part.attr(child, "type"), "\n")
          when "fldChar" then field(child)
          when "ruby" then letters(text_below(child.at_xpath(".//*[local-name()='rubyBase']") || child))
          when "drawing", "pict", "object" then drawing(child)
          when "AlternateContent"
            branch = @story.understood(child)
            branch ? drawing(branch) : sign(OBJECTS[name], unknown(child))
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

        def text_below(node)
          node.xpath(".//*[local-name()='t']").map(&:content).join
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
        def drawing(node)
          holder = Pictures.holder(node)
          boxes = node.xpath(".//*[local-name()='txbxContent'][not(ancestor::*[local-name()='Fallback'])]")
            .select { |box| nearest_box(box, node) }
          id = @story.next_container if boxes.any?
          size = {**Pictures.size(node), anchorage: Anchors.read(node),
                                         shape: Shapes.read(node, @part.theme, text: !id.nil?)}
          sign(Document::Run::OBJECT, object(node, holder, id, size))
          boxes.each { |box| @story.container(id, box, @where.with(place: :textbox, container: id)) }
          Document::Run::OBJECT
        end

        def object(node, holder, id, size)
          return Document::TextBox.new(id:, parent: @where.container, **size) if id && holder.nil?
          return Document::Unknown.new(name: node.name) unless holder
          @story.pictures << holder
          Pictures.read(@story.pictures.size, holder, @story.package, @part.path, size)
        end

        def nearest_box(box, node)
          box.ancestors.take_while { |above| above != node }.none? { |above| above.name == "txbxContent" }
        end
      end
    end
  end
end
