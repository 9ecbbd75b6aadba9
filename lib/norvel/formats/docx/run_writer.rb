# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Brings the runs of one paragraph's element to what the model says, keeping every element that still has a place.
      # A run of the model knows the run it was read from; one such may have become several, lost white space, or gone.
      class RunWriter
        # One character of a run's element with the child it stands in; objects and breaks are one character each.
        Unit = Struct.new(:char, :child)

        def initialize(part, formatting_was, nodes)
          @part = part
          @was = formatting_was
          @nodes = nodes
        end

        # +paragraph+: the element; +now+: the model's runs. Returns the elements of these, in order.
        def write(paragraph, now)
          return restyle(now) if same_text?(now)
          pieces = now.group_by(&:source)
          anchor = nil
          placed = now.map do |run|
            anchor = run.source ? piece(run, pieces[run.source]) : added(run, anchor, paragraph)
          end
          (@was.map(&:source) - now.map(&:source)).each { |source| @nodes[source].remove }
          placed
        end

        private

        def same_text?(now)
          now.size == @was.size && now.zip(@was).all? { |new, old| new.source == old.source && new.text == old.text }
        end

        def restyle(now)
          now.zip(@was).map do |new, old|
            @nodes[old.source].tap { |node| format(node, old, new) unless new.equal?(old) }
          end
        end

        def format(node, old, new)
          if old.style_id != new.style_id
            properties = @part.place(node, "rPr")
            if new.style_id
              @part.set(@part.place(properties, "rStyle"), "val", new.style_id)
            else
              @part.drop(properties, "rStyle")
            end
            properties.remove if properties.element_children.empty?
          end
          Formatting.write(node, "rPr", :run, old.direct, new.direct, @part)
        end

        # The element for one piece of a source run: the first keeps the element, the others stand in copies after it.
        def piece(run, pieces)
          source = run.source
          node = @nodes[source]
          parts = (@parts ||= {})[source] ||= distribute(node, pieces)
          index = pieces.index { |other| other.equal?(run) }
          element = index.zero? ? node : @copies[source].add_next_sibling(copy_of(node))
          (@copies ||= {})[source] = element
          fill(element, parts[index])
          format(element, @was[source], run)
          element
        end

        def copy_of(node)
          copy = node.dup
          copy.children.reject { |child| child.name == "rPr" }.each(&:remove)
          copy
        end

        def distribute(node, pieces)
          units = units_of(node)
          text = pieces.map(&:text).join
          aligned = Alignment.match(text, units).zip(text.chars).map { |unit, char| unit || Unit.new(char, nil) }
          from = 0
          pieces.map { |piece| aligned[from, piece.text.size].tap { from += piece.text.size } }
        end

        def units_of(node)
          node.element_children.flat_map do |child|
            next [] if %w[rPr lastRenderedPageBreak].include?(child.name)
            next child.content.chars.map { |char| Unit.new(char, child) } if child.name == "t"
            [Unit.new(sign(child), child)]
          end
        end

        def sign(child)
          return RunReader::PIECES[child.name] if RunReader::PIECES.key?(child.name)
          return RunReader::BREAKS.fetch(@part.attr(child, "type"), "\n") if child.name == "br"
          RunReader::OBJECTS.fetch(child.name, RunReader::SIGN)
        end

        def fill(element, units)
          element.element_children.reject { |child| child.name == "rPr" }.each { |child| child.unlink }
          units.chunk_while { |one, other| plain?(one) && plain?(other) }.each do |group|
            element.add_child(plain?(group.first) ? text_element(group.map(&:char).join) : group.first.child ||
              made(group.first.char))
          end
        end

        def plain?(unit)
          unit.child ? unit.child.name == "t" : !PIECE_NAMES.key?(unit.char)
        end

        PIECE_NAMES = {"\t" => "tab", "\n" => "br", "\u2011" => "noBreakHyphen", "\u00AD" => "softHyphen", "\f" => "br",
                       "\v" => "br"}.freeze

        def made(char)
          element = @part.create(PIECE_NAMES.fetch(char))
          (type = RunReader::BREAKS.key(char)) && @part.set(element, "type", type)
          element
        end

        def text_element(text)
          element = @part.create("t")
          element.content = text.gsub(/[\x00-\x08\x0b\x0c\x0e-\x1f]/, "")
          element["xml:space"] = "preserve" if text.match?(/\A\s|\s\z|\s\s/)
          element
        end

        def added(run, anchor, paragraph)
          element = @part.create("r")
          if anchor
            anchor.add_next_sibling(element)
          else
            properties = @part.child(paragraph, "pPr")
            properties ? properties.add_next_sibling(element) : paragraph.prepend_child(element)
          end
          format(element, Document::Run.new("", nil, Styles::PropertySet::EMPTY, nil), run)
          fill(element, run.text.chars.map { |char| Unit.new(char, nil) })
          element
        end
      end
    end
  end
end
