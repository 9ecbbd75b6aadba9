# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A paragraph: what it sets, and its runs through everything transparent in it (ISO/IEC 29500-1 17.3). Deleted and
      # moved-away text is no text.
      class ParagraphReader
        SPANS = %w[hyperlink fldSimple].freeze
        INLINE = {
          transparent: %w[smartTag customXml sdt sdtContent dir bdo ins moveTo], span: SPANS, place: TextReader::PLACES,
          silent: %w[proofErr permStart permEnd pPr rPr sdtPr sdtEndPr customXmlPr smartTagPr]
        }.flat_map { |kind, names| names.map { |name| [name, kind] } }.to_h.freeze
        BARE = [nil, Styles::PropertySet::EMPTY, Styles::PropertySet::EMPTY, nil].freeze

        # The elements of its runs, nil unless they are kept; the set-up of the section that ends with it, or nil.
        attr_reader :run_nodes, :section_node

        # story: TextReader; where: TextReader::Where; places: those that stand at its beginning
        def initialize(story, where, places, keep_nodes: false)
          @story = story
          @where = where
          @part = story.part
          @places = places.map { |object| [0, object] }
          @runs = []
          @run_nodes = [] if keep_nodes
          @run_reader = RunReader.new(story, where)
        end

        # The Document::Paragraph. ordinal: from 0; section: its number
        def read(node, ordinal, section)
          properties = first_named(node, "pPr")
          style_id, direct, mark, holds = properties ? formatting_of(properties) : BARE
          @holds = holds
          @section_node = @part.child(properties, "sectPr") if holds == :section_break
          inline(properties ? properties.next_element : node.first_element_child)
          Document.refuse_longer(@runs.sum { |run| run.text.size })
          Document::Paragraph.new(ordinal + 1, @where.place, section, style_id, direct, mark, @runs.freeze, @where.cell,
            ordinal, @holds || needed(node), @where.container, anchors)
        end

        private

        # [style id, what it sets, what its mark sets, what it holds], worked out once for each element that the part
        # tells in shorthand.
        def formatting_of(element)
          number = @story.shorthand && element["n"] or return paragraph_properties(element)
          @story.known_paragraphs[number] ||= paragraph_properties(@story.shorthand.element(number))
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
            when "rPr" then mark = @story.formatting.read(child, :run, @part)
            when "sectPr" then holds = :section_break
            when "framePr" then holds ||= :frame
            else @story.formatting.read_element(child, :paragraph, @part, values)
            end
            child = child.next_element
          end
          [style_id, @story.formatting.share(values), mark, holds]
        end

        # The contents of a paragraph or of something transparent in it, from this child on.
        def inline(child)
          while child
            name = child.name
            if name == "r" && @part.ours?(child)
              run(child)
            elsif (kind = INLINE[name])
              case kind
              when :transparent then inline(child.first_element_child)
              when :place then @places << [@runs.size, @story.place_of(child)]
              when :span then within(child) { inline(child.first_element_child) }
              end
            elsif name == "AlternateContent" && (branch = @story.understood(child))
              inline(branch.first_element_child)
            else
              @places << [@runs.size, found = other(child)]
              @holds = :content unless found.is_a?(Document::Equation)
            end
            child = child.next_element
          end
        end

        def run(node)
          @run_nodes << node if @run_nodes && !(@story.shorthand && node["n"])
          @runs << @run_reader.read(node, @runs.size, @within)
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
          return @story.fields.simple(@part.attr(node, "instr"), text_below(node)) if node.name == "fldSimple"
          id = node.attribute_nodes.find { |attribute| attribute.node_name == "id" }&.value
          target = id && @story.package.relationship(@part.path, id)
          Document::Link.new(address: (target&.target if target&.external), bookmark: @part.attr(node, "anchor"),
            title: @part.attr(node, "tooltip"))
        end

        # Mathematics, or what Norvel has no name for.
        def other(node)
          return Document::Unknown.new(name: node.name) unless %w[oMath oMathPara].include?(node.name)
          align = node.at_xpath("*[local-name()='oMathParaPr']/*[local-name()='jc']")&.attribute_nodes&.first&.value
          Document::Equation.new(text: text_below(node), display: node.name == "oMathPara",
            formula: MathsReader.formula(node).source, align: %w[left right].include?(align) ? align : "center")
        end

        def text_below(node)
          node.xpath(".//*[local-name()='t']").map(&:content).join
        end

        # Places were noted by the run that follows them.
        def anchors
          return Document::Paragraph::NO_ANCHORS if @places.empty?
          @places.map { |before, object|
            Document::Anchor.new(@runs.first(before).sum { |run| run.text.size }, object)
          }.freeze
        end

        # A cell or box must end with a paragraph, a content control must hold one.
        def needed(node)
          case node.parent.name
          when "tc", "txbxContent" then :last_in_cell if node.next_element.nil?
          when "sdtContent" then :last_in_cell if node.next_element.nil? && node.previous_element.nil?
          end
        end
      end
    end
  end
end
