# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Brings a story's elements to what the model says: only what differs is touched.
      class TextWriter
        NOTHING = Styles::PropertySet::EMPTY
        CARRIED = %w[bookmark bookmark-start bookmark-end reference-mark reference-mark-start reference-mark-end
          change change-start change-end].freeze

        # part, nodes: of the story; documents: [as it came, as it is]; automatic: AutomaticStyles of the part; keys:
        # Keys; definitions: ListDefinitions
        def initialize(part, nodes, documents, automatic, keys, worn, definitions)
          @part = part
          @nodes = nodes
          @came, @document = documents
          @writer = ParagraphWriter.new(part, documents, automatic, keys, worn, definitions)
          @lists = ListNesting.new(part, definitions)
          @made = {}
        end

        # was, now: Document or Story. Returns whether anything was changed.
        def write(was, now)
          return false if now.paragraphs.equal?(was.paragraphs) && !@writer.restyled?
          @fresh = NewBookmarks.new(was)
          changed = false
          previous = nil
          places = {}
          staying = UnmovedParagraphs.of(now, was)
          now.paragraphs.each do |paragraph|
            came = paragraph.source && was.paragraphs[paragraph.source]
            node = came ? @nodes.paragraphs[paragraph.source] : (@made[paragraph.id] = @part.create("text:p"))
            moved = came.nil? || !staying[paragraph.source]
            put(node, previous, paragraph.container) if moved
            touched = patch(node, came, paragraph) | place(node, came, paragraph, moved, places[paragraph.container])
            changed ||= moved || touched
            places[paragraph.container] = @writer.place_of(@document, paragraph)
            previous = node
          end
          NewIndexes.new(@part).wrap(now.paragraphs, @made) if @made.any?
          changed | remove_others(was, now)
        end

        # The elements of new paragraphs by their ids.
        attr_reader :made

        # Do lists stand otherwise than in the file that came?
        def relisted?
          @lists.touched?
        end

        private

        # What marks a place goes from a paragraph that is removed to the next one that stays.
        def remove_others(was, now)
          kept = now.paragraphs.to_h { |paragraph| [paragraph.source, true] }
          left = []
          was.paragraphs.each do |paragraph|
            node = @nodes.paragraphs[paragraph.source]
            next hand_over(left, node) if kept[paragraph.source]
            left.concat(node.xpath(".//*").select { |child| CARRIED.include?(child.name) }.each(&:unlink))
            @lists.drop(node)
          end
          last = now.paragraphs.reverse.find(&:source)
          left.each { |mark| @nodes.paragraphs[last.source].add_child(mark) } if last
          kept.size < was.paragraphs.size + kept.keys.count(&:nil?) && was.paragraphs.any? { |one| !kept[one.source] }
        end

        def hand_over(marks, node)
          marks.reverse_each { |mark| node.prepend_child(mark) }
          marks.clear
        end

        def patch(node, was, now)
          touched = @writer.kind(node, was, now)
          return touched if was&.same_elsewhere?(now) && !@writer.moved_stops?(was, now)
          letters = @writer.shared_letters(now)
          before = was ? was.mark : NOTHING
          same = was && was.style_id == now.style_id && was.direct == now.direct && before == letters &&
            before == now.mark && !@writer.moved_stops?(was, now)
          @writer.dress(node, was, now, before, letters) unless same
          runs(node, was, now, before, letters) unless was && was.runs == now.runs && before == letters
          places(node, was, now) if was && !was.anchors.equal?(now.anchors)
          true
        end

        def place(node, was, now, moved, previous)
          wanted = @writer.place_of(@document, now)
          if !moved && (was ? @writer.place_of(@came, was) : nil) == wanted
            @lists.seen(node)
            return false
          end
          @lists.lift(node)
          @lists.wrap(node, wanted, previous, @document.numbering.list(wanted.first), numbers[now.id]) if wanted
          true
        end

        # The number of every paragraph in a list.
        def numbers
          @numbers ||= @document.numbering.numbers(@document)
        end

        def runs(node, was, now, before, letters)
          came = was ? was.runs : []
          span = ->(run) { @writer.span(run, letters) }
          writer = LineWriter.new(@part, span, ->(run) { fresh(run, came) })
          return writer.fill(node, lines.tokens(now, nil, span)) if was.nil? && !now.plain?
          writer.write(node, came, was ? @nodes.pieces[was.source] : [], now.runs) do |run|
            old = run.source && came[run.source]
            old && before == letters && old.style_id == run.style_id && old.direct == run.direct &&
              old.within == run.within
          end
        end

        # The elements of what words stand in now and did not.
        def fresh(run, came)
          (run.within - (run.source ? came[run.source].within : [])).filter_map { |one| lines.element(one) }
        end

        # Places that begin or end at the edges of a paragraph, where they were not.
        def places(node, was, now)
          @fresh.of(was, now).each do |mark|
            made = lines.bookmark(mark) or next
            (mark.edge == "start") ? node.prepend_child(made) : node.add_child(made)
          end
        end

        # New paragraphs may hold fields and links.
        def lines
          @lines ||= LineBuilder.new(@part, nil, CarryReport.new)
        end

        # --- order ---

        # Puts a paragraph's element after that of the one before it: directly, or after what holds that one in the same
        # container.
        def put(node, previous, container)
          holder = @nodes.containers[container]
          @lists.lift(node) if node.parent
          previous = previous.parent while previous&.element? && !holds?(holder, previous)
          return previous.add_next_sibling(node) if previous&.element?
          first = holder.element_children.find { |child| begins?(child) }
          first ? first.add_previous_sibling(node) : holder.add_child(node)
        end

        # Where text may begin: after declarations and marks of changes.
        def begins?(child)
          %w[p h list table section table-of-content].include?(child.name) || TextReader::THROUGH.include?(child.name)
        end

        # Does an element stand in a container, at most within sections, indexes and lists of it?
        def holds?(container, node)
          parent = node.parent
          parent = parent.parent while through?(parent) && parent != container
          parent == container && !through?(node)
        end

        def through?(node)
          TextReader::THROUGH.include?(node.name) || TextReader::LISTS.include?(node.name)
        end
      end
    end
  end
end
