# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Takes paragraphs out of list blocks and puts them in (ISO/IEC 26300-1 5.3): in OpenDocument a place in a list is
      # a place in the tree.
      class ListNesting
        XML_ID = "xml:id"

        # names: ListDefinitions, which names the list styles of lists
        def initialize(part, names)
          @part = part
          @names = names
          @begun = {} # the last list block of each definition, by its style's name
          @split = {}.compare_by_identity
        end

        # Was anything put in a list or taken out?
        def touched?
          @touched
        end

        # A paragraph that stands where it stood: later lists may go on from its block.
        def seen(node)
          block = node.parent
          return unless TextReader::LISTS.include?(block.name)
          block = block.parent while TextReader::LISTS.include?(block.parent.name)
          @begun[@part.attr(block, "text:style-name")] = block if list?(block)
        end

        # Puts a paragraph's element where its outermost list stands: lists are parted there, and go on after it.
        def lift(node)
          while (parent = node.parent) && TextReader::LISTS.include?(parent.name)
            @touched = true
            after = rest(node, parent)
            before = parent.element_children.any? { |child| child != node }
            parent.add_next_sibling(node)
            node.add_next_sibling(after) if after
            continue(parent, after, before) if after && outermost?(parent)
            parent.remove unless before
          end
        end

        # Puts it in a list. place: [list id, level, without a marker?]; previous: that of the paragraph before it in
        # the same container; list: Document::Numbering::List; number: that its marker shows.
        def wrap(node, place, previous, list, number)
          @touched = true
          id, level, continues = place
          before = node.previous_element
          block = before if before && list?(before) && previous && previous.first == id
          made = block.nil?
          block ||= begin_list(node, @names.name(list.definition_id, @part))
          append(block, node, level, continues, list)
          start(node, number, level) if made && !continues
          rejoin(block)
        end

        # Removes an element, and the lists that it leaves empty. What followed it in its entry has no marker of its
        # own.
        def drop(node)
          parent = node.parent
          @touched ||= item?(parent)
          following = node.next_element
          headless(parent) if item?(parent) && node.previous_element.nil? && following && !list?(following)
          node.remove
          while parent&.element? && TextReader::LISTS.include?(parent.name) && parent.element_children.empty?
            parent, empty = parent.parent, parent
            empty.remove
          end
        end

        private

        # What comes after an element in its holder, in a holder of its own.
        def rest(node, parent)
          following = node.xpath("following-sibling::*").to_a
          return if following.empty?
          after = @part.shell(parent)
          after.attribute_with_ns("id", Names::XML_SPACE)&.remove
          @part.unset(after, "text:start-value") if item?(parent)
          headless(after) if item?(parent) && !list?(following.first)
          following.each { |one| after.add_child(one.unlink) }
          after
        end

        def outermost?(list)
          list?(list) && !TextReader::LISTS.include?(list.parent.name)
        end

        # The second part of a list that was parted counts on from the first.
        def continue(parent, after, before)
          @split[after] = parent
          @part.set(after, "text:continue-list", id_of(parent)) if before
        end

        # A new block goes on from the last one of its style, so that the numbers above its level stay.
        def begin_list(node, name)
          block = @part.create("text:list", "text:style-name" => name)
          node.add_previous_sibling(block)
          before = @begun[name]
          @part.set(block, "text:continue-list", id_of(before)) if before&.parent
          @begun[name] = block
        end

        # A list's xml:id, made where it has none.
        def id_of(list)
          found = list.attribute_with_ns("id", Names::XML_SPACE)&.value and return found
          taken = (@ids ||= list.document.xpath("//@xml:id").to_h { |attribute| [attribute.value, true] })
          made = (1..).lazy.map { |number| "list#{number}" }.find { |one| !taken.key?(one) }
          taken[made] = true
          list[XML_ID] = made
          made
        end

        # The first entry of a block says its number, unless it is the first of its kind and has the first one.
        def start(node, number, level)
          block = node.parent
          block = block.parent while TextReader::LISTS.include?(block.parent.name)
          first = !@part.attr(block, "text:continue-list")
          return if number.nil? || (first && number == 1 && level.zero?)
          @part.set(node.parent, "text:start-value", number)
        end

        def headless(item)
          item.node_name = "list-header"
          @part.unset(item, "text:start-value")
        end

        def append(block, node, level, continues, list)
          styles = [@part.attr(block, "text:style-name")]
          (1..level).each do |depth|
            item = last_item(block)
            block = inner(item, depth, list, styles)
            styles << (@part.attr(block, "text:style-name") || styles.last)
          end
          item = continues ? last_item(block, "text:list-header") : block.add_child(@part.create("text:list-item"))
          item.add_child(node)
        end

        # The list at the end of an item, where its level looks as that of the list; else a new one.
        def inner(item, depth, list, styles)
          last = item.element_children.last
          wanted = @names.level(list, depth)
          if last && list?(last)
            name = @part.attr(last, "text:style-name") || styles.last
            return last if @names.level_of_style(name, depth, @part) == wanted
          end
          same = @names.level_of_style(styles.last, depth, @part) == wanted
          item.add_child(@part.create("text:list", "text:style-name" => (@names.name_of(list, @part) unless same)))
        end

        def last_item(block, made = "text:list-item")
          found = block.element_children.last
          (found && item?(found)) ? found : block.add_child(@part.create(made))
        end

        # A part that was cut off and stands beside the list again becomes one with it.
        def rejoin(block)
          following = block.next_element
          return unless following && @split[following] == block
          following.element_children.each { |item| block.add_child(item.unlink) }
          following.remove
        end

        def list?(node)
          node.name == "list"
        end

        def item?(node)
          %w[list-item list-header].include?(node.name)
        end
      end
    end
  end
end
