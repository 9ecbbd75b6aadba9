# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Brings a story's elements to what the model says: only what differs is touched. Paragraphs that stand in another
      # order than they came are moved; those that can stay are as many as possible.
      class TextWriter
        CARRIED = %w[bookmarkStart bookmarkEnd commentRangeStart commentRangeEnd permStart permEnd].freeze
        NOTHING = Styles::PropertySet::EMPTY

        def initialize(part, nodes, original)
          @part = part
          @nodes = nodes
          @original = original
        end

        # Returns whether anything was changed.
        def write(document)
          return false if document.paragraphs.equal?(@original.paragraphs)
          changed = false
          previous = nil
          kept = {}
          staying = UnmovedParagraphs.of(document, @original)
          document.paragraphs.each do |paragraph|
            was = paragraph.source && @original.paragraphs[paragraph.source]
            kept[paragraph.source] = true if was
            node = was ? @nodes.paragraphs[paragraph.source] : made(paragraph)
            moved = was.nil? || !staying[paragraph.source]
            put(node, previous, paragraph.container) if moved
            same = was && paragraph.same_elsewhere?(was) # where sections begin is not the paragraph's to say
            patch(node, was, paragraph) unless same
            changed ||= moved || !same
            previous = node
          end
          gone = @original.paragraphs.reject { |paragraph| kept[paragraph.source] }
          gone.each { |paragraph| remove(@nodes.paragraphs[paragraph.source]) }
          changed || gone.any?
        end

        # The element of a paragraph that was written.
        def element(paragraph)
          paragraph.source ? @nodes.paragraphs[paragraph.source] : @made.fetch(paragraph.id)
        end

        private

        # New paragraphs may hold fields, links and places.
        def lines
          @lines ||= LineBuilder.new(@part, PlaceNames.new, CarryReport.new)
        end

        # Places of a patched document are new, and have ids and names that no other has.
        class PlaceNames
          def initialize
            @names = {}
          end

          # [The number, the name] that a bookmark has in the part.
          def bookmark(object)
            [object.id, @names[object.id] ||= object.name]
          end
        end

        # Words that stand in a field or link now, and did not: the element for it goes around them.
        def enclose(was, now, elements)
          fresh = now.zip(elements).map { |run, node| [run.within - (run.source ? was[run.source].within : []), node] }
          fresh.chunk_while { |(one, _), (other, _)| one == other }.each do |group|
            group.first.first.reverse_each do |span|
              next parted(span, group.map(&:last)) if runs_alone?(span, group.first.last)
              holder = lines.element(span) or next
              group.first.last.add_previous_sibling(holder)
              group.each { |_, node| holder.add_child(node) }
              group = [[nil, holder]]
            end
          end
        end

        TRACKED = %w[ins del moveFrom moveTo].freeze # what holds runs alone (17.13.5)

        # Is it a field in an element that holds runs alone?
        def runs_alone?(span, node)
          span.is_a?(Document::Field) && TRACKED.include?(node.parent.name)
        end

        # A field whose parts are runs of their own.
        def parted(field, nodes)
          before, after = lines.edges(field)
          before.each { |run| nodes.first.add_previous_sibling(run) }
          nodes.last.add_next_sibling(after)
        end

        # Fields of one element that hold nothing any more compute nothing.
        def emptied(node)
          @part.children(node, "fldSimple").each { |field| field.remove if field.element_children.empty? }
        end

        # Places that begin or end at the edges of a paragraph, where they were not.
        def places(node, was, now)
          (@fresh ||= NewBookmarks.new(@original)).of(was, now).each do |mark|
            next lines.bookmark(node, mark) if mark.edge == "end"
            made = lines.bookmark(node, mark)
            properties = @part.child(node, "pPr")
            properties ? properties.add_next_sibling(made) : node.prepend_child(made)
          end
        end

        # The element of a paragraph that the file did not have.
        def made(paragraph)
          (@made ||= {})[paragraph.id] = @part.create("p")
        end

        # Makes the element of one state of a paragraph that of another.
        def patch(node, was, now)
          properties(node, was, now)
          nodes = was ? @nodes.runs[was.source] : []
          return lines.fill(node, now, nil) if was.nil? && !now.plain?
          unless was && was.runs == now.runs
            elements = RunWriter.new(@part, was ? was.runs : [], nodes).write(node, now.runs)
            enclose(was ? was.runs : [], now.runs, elements)
            emptied(node)
          end
          places(node, was, now) if was && !was.anchors.equal?(now.anchors)
          twin = twin(node) if now.part == :textbox
          mirror(twin, was, now) if twin
        end

        # Writes the style and what is set by hand.
        def properties(node, was, now)
          if was&.style_id != now.style_id
            holder = @part.place(node, "pPr")
            now.style_id ? @part.set(@part.place(holder, "pStyle"), "val", now.style_id) : @part.drop(holder, "pStyle")
          end
          Formatting.write(node, "pPr", :paragraph, was ? was.direct : NOTHING, now.direct, @part)
          mark(node, was ? was.mark : NOTHING, now.mark)
          holder = @part.child(node, "pPr") and holder.element_children.empty? && holder.remove
        end

        # Writes what is set on the paragraph's mark.
        def mark(node, was, now)
          return if was == now
          holder = @part.place(node, "pPr")
          Formatting.write(holder, "rPr", :run, was, now, @part)
        end

        # A text box stands in the choice and in the fallback: both get the same formatting.
        def twin(node)
          choice = node.ancestors.find { |above| above.name == "Choice" } or return
          fallback = choice.parent.element_children.find { |other| other.name == "Fallback" } or return
          mine, theirs = [choice, fallback].map { |branch|
            branch.xpath(".//*[local-name()='p' and local-name(..)='txbxContent']").to_a
          }
          (mine.size == theirs.size) ? theirs[mine.index(node) || theirs.size] : nil
        end

        # Writes the same into the copy that a box has for older programs.
        def mirror(twin, was, now)
          properties(twin, was, now)
          runs = twin.xpath("./*[local-name()='r']").to_a
          RunWriter.new(@part, was.runs, runs).write(twin, now.runs) if was && runs.size == was.runs.size
        end

        # Puts a paragraph's element after that of the one before it: directly, or after what holds that one in the same
        # container.
        def put(node, previous, container)
          holder = @nodes.containers[container]
          previous = previous.parent while previous&.element? && !holds?(holder, previous)
          return previous.add_next_sibling(node) if previous&.element?
          first = holder.element_children.find { |child| child.name != "tcPr" }
          first ? first.add_previous_sibling(node) : holder.add_child(node)
        end

        # Does an element stand in a container, at most within content controls of it?
        def holds?(container, node)
          parent = node.parent
          parent = parent.parent while TextReader::BLOCKS.include?(parent.name)
          parent == container && !TextReader::BLOCKS.include?(node.name)
        end

        # What marks a place stays where the paragraph was.
        def remove(node)
          node.element_children.select { |child| CARRIED.include?(child.name) }
            .each { |child| node.add_previous_sibling(child) }
          node.remove
        end
      end
    end
  end
end
