# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Brings a story's elements to what the model says: only what differs is touched.
      class TextWriter
        NOTHING = Styles::PropertySet::EMPTY
        CARRIED = %w[bookmark bookmark-start bookmark-end reference-mark reference-mark-start reference-mark-end
          change change-start change-end].freeze

        # part, nodes: of the story; documents: [as it came, as it is]; automatic: AutomaticStyles of the part; keys: Keys;
        # definitions: ListDefinitions
        def initialize(part, nodes, documents, automatic, keys, worn, definitions)
          @part = part
          @nodes = nodes
          @came, @document = documents
          @automatic = automatic
          @keys = keys
          @worn = worn
          @definitions = definitions
          @lists = ListNesting.new(part, definitions)
          @made = {}
          @restyled = !@came.sheet.equal?(@document.sheet) || !@came.numbering.equal?(@document.numbering)
        end

        # was, now: Document or Story. Returns whether anything was changed.
        def write(was, now)
          return false if now.paragraphs.equal?(was.paragraphs) && !@restyled
          changed = false
          previous = nil
          places = {}
          staying = Staying.of(now, was)
          now.paragraphs.each do |paragraph|
            came = paragraph.source && was.paragraphs[paragraph.source]
            node = came ? @nodes.paragraphs[paragraph.source] : (@made[paragraph.id] = @part.create("text:p"))
            moved = came.nil? || !staying[paragraph.source]
            put(node, previous, paragraph.container) if moved
            touched = patch(node, came, paragraph) | place(node, came, paragraph, moved, places[paragraph.container])
            changed ||= moved || touched
            places[paragraph.container] = place_of(@document, paragraph)
            previous = node
          end
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
          touched = kind(node, was, now)
          return touched if was == now && !moved_stops?(was, now)
          letters = shared_letters(now)
          before = was ? was.mark : NOTHING
          style(node, was, now, before, letters) if was.nil? || was.style_id != now.style_id || was.direct != now.direct ||
            before != letters || before != now.mark || moved_stops?(was, now)
          runs(node, was, now, before, letters) unless was && was.runs == now.runs && before == letters
          true
        end

        # --- what the element is ---

        # Headings are elements of their own, with their level.
        def kind(node, was, now)
          return false if was == now && !@restyled
          level = level(@document, now)
          same = was && level(@came, was) == level && header?(@came, was) == header?(@document, now)
          return false if same
          node.node_name = level.zero? ? "p" : "h"
          level.zero? ? @part.unset(node, "text:outline-level") : @part.set(node, "text:outline-level", level)
          header?(@document, now) ? @part.set(node, "text:is-list-header", "true") :
            @part.unset(node, "text:is-list-header")
          true
        end

        def level(document, paragraph)
          document.look(paragraph)[:outline_level]
        end

        # A heading that is not numbered where those of its level are.
        def header?(document, paragraph)
          level = level(document, paragraph)
          level.positive? && document.cascade.list_of(paragraph).nil? &&
            (paragraph.direct.key?(:list_id) || @definitions.numbered?(document, level))
        end

        # --- where it stands among lists ---

        # [list id, level, without a marker?] of a paragraph that stands in a list block, nil for others: headings are
        # numbered by their styles.
        def place_of(document, paragraph)
          id, level = document.cascade.list_of(paragraph)
          return if id.nil?
          heading = level(document, paragraph).positive?
          return if heading && (!paragraph.direct.key?(:list_id) || outline?(document, id))
          [id, level, paragraph.direct.key?(:list_continues)]
        end

        def outline?(document, id)
          @definitions.headings?(document, document.numbering.list(id)&.definition_id)
        end

        def place(node, was, now, moved, previous)
          wanted = place_of(@document, now)
          if !moved && (was ? place_of(@came, was) : nil) == wanted
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

        # --- how it is set ---

        # What the paragraph's style may set on all letters: as far as every run is set so.
        def shared_letters(paragraph)
          runs = paragraph.runs.reject { |run| run.text.empty? }
          return paragraph.mark if runs.empty?
          paragraph.mark.slice(*paragraph.mark.keys.select { |slot|
            runs.all? { |run| run.direct[slot] == paragraph.mark[slot] || words_of(run)[slot] }
          })
        end

        # What the style of words of a run sets, with its bases.
        def words_of(run)
          @words ||= Hash.new do |known, id|
            style = id && @document.sheet[id]
            known[id] = style ? @document.sheet.chain(style).inject({}) { |set, one| set.merge(one.run.values) } : {}
          end
          @words[run.style_id]
        end

        def style(node, was, now, before, letters)
          own = was && @worn.node(@part.attr(node, "text:style-name"))
          parent = @keys[now.style_id]
          direct = was ? was.direct : NOTHING
          name = @automatic.paragraph(own, parent) do |made|
            Formatting.write(made, :paragraph, direct, now.direct, @part,
              indents: [indent(@came, was), indent(@document, now)])
            Formatting.write(made, :run, before, letters, @part)
          end
          name ? @part.set(node, "text:style-name", name) : @part.unset(node, "text:style-name")
        end

        # Are its own tab stops counted from elsewhere, as its style has another indent?
        def moved_stops?(was, now)
          now.direct.key?(:tabs) && @restyled && indent(@came, was) != indent(@document, now)
        end

        # What tab stops are counted from.
        def indent(document, paragraph)
          return 0.0 unless paragraph
          own = paragraph.direct[:indent_left]
          own.is_a?(Float) ? own : Indents.of(document.sheet, paragraph.style_id)
        end

        def runs(node, was, now, before, letters)
          came = was ? was.runs : []
          writer = LineWriter.new(@part, ->(run) { span(run, letters) })
          writer.write(node, came, was ? @nodes.pieces[was.source] : [], now.runs) do |run|
            old = run.source && came[run.source]
            old && before == letters && old.style_id == run.style_id && old.direct == run.direct
          end
        end

        # The style of a span for a run, over what the paragraph's style sets on its letters.
        def span(run, letters)
          said = words_of(run)
          own = run.direct.without(*letters.keys.select { |slot|
            run.direct[slot] == letters[slot] && !said.key?(slot)
          })
          @automatic.text(@keys[run.style_id], own)
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
