# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The place in a .docx where the text of another goes, and the sections there (ISO/IEC 29500-1 17.6): what it
      # replaces goes, and the set-up that held for that holds for the text.
      class JoiningPlace
        # The elements that went.
        attr_reader :gone

        # base: a Reader with its elements; from, till: as Joining has them
        def initialize(base, from:, till:)
          @part = base.package.main
          @body = @part.child(@part.root, "body")
          @paragraphs = base.text.nodes.paragraphs
          @from = from
          @till = till
          @gone = []
          Remains.own_heads(@part, @body) if from
          @own = governing
        end

        # Gives the sections of a text the set-up of this place: those that lie across keep their sheets, with the heads
        # and feet of the section before. part: of the text; last: the set-up of its last section, or nil
        def set_up(nodes, part, last)
          found = nodes.flat_map { |node| node.xpath(".//*[local-name()='pPr']/*[local-name()='sectPr']").to_a }
          turned = last && landscape?(last, part) != landscape?(@own, @part)
          @final = last if turned && @from.nil?
          found << end_section(nodes, part, last) if turned && @from
          found.each_with_index do |section, number|
            across = landscape?(section, part) != landscape?(@own, @part)
            across ? keep_across(section, part, number.zero?) : section.replace(like_own(section, part, number.zero?))
          end
          @begun = found.any?
        end

        # Puts elements in the place of what was there.
        def put(nodes)
          first = @from && top(@paragraphs[@from], @from.zero? ? nil : @paragraphs[@from - 1])
          after = first ? first.previous_element : last_of_body
          holder = first ? first.parent : @body
          @gone = Cleared.between(first, @till && @paragraphs[@till], @body, spare: "sectPr") if first
          after = turn(after) if @final && after
          nodes.reverse_each { |node| after ? after.add_next_sibling(node) : holder.prepend_child(node) }
          close_section(nodes)
          Remains.loose_ends(@part, @body)
        end

        private

        # A last section ends in a paragraph, as others do. Returns its set-up there.
        def end_section(nodes, part, set_up)
          nodes << nodes.last.add_next_sibling(part.create("p")) unless nodes.last.name == "p"
          properties = part.place(nodes.last, "pPr")
          part.child(properties, "sectPr") || part.insert(properties, set_up)
        end

        # The section that the first replaced paragraph stands in.
        def governing
          return @part.place(@body, "sectPr") unless @from
          @paragraphs.drop(@from).each { |node| (found = section_of(node)) and return found }
          @part.place(@body, "sectPr")
        end

        def section_of(paragraph)
          properties = @part.child(paragraph, "pPr")
          properties && @part.child(properties, "sectPr")
        end

        # The highest element around a paragraph that the one before it does not stand in.
        def top(node, before)
          around = before ? before.ancestors.to_a : []
          node = node.parent until node.parent == @body || around.include?(node.parent)
          return node if node.parent == @body || TextReader::BLOCKS.include?(node.parent.name)
          raise Refused, "The place for the text is within a table: choose the paragraph that begins it."
        end

        # Behind a text whose sheets lie the other way a section ends. Returns its last element.
        def turn(last)
          nodes = [last]
          end_section(nodes, @part, @own.dup)
          nodes.last
        end

        def last_of_body
          @body.element_children.reject { |node| node.name == "sectPr" }.last
        end

        # Where the text's section ended before what stays, it ends with the text; where nothing stays, its set-up is
        # that of the end.
        def close_section(nodes)
          ended = @gone.any? { |node| node == @own || @own.ancestors.include?(node) }
          own = @final ? across_at_end : like_own(nil, nil, !@begun)
          return (final = @part.child(@body, "sectPr")) && final.replace(own) unless @till
          return unless ended
          end_section(nodes, @part, own)
        end

        # The set-up of the text's last sheets, that lie otherwise than those before it.
        def across_at_end
          copy = @final.dup
          keep_across(copy, @part, false)
          copy
        end

        # A copy of the place's set-up, that begins as the text's section does. first: as the place did
        def like_own(section, part, first)
          copy = @own.dup
          return copy if first
          count_on(copy)
          @part.drop(copy, "titlePg")
          starts = section && part.child(section, "type")
          @part.drop(copy, "type")
          @part.set(@part.place(copy, "type"), "val", part.attr(starts, "val")) if starts
          copy
        end

        # Heads and feet are those of the section before, page numbers those of the place.
        def keep_across(section, part, first)
          %w[headerReference footerReference titlePg pgNumType].each { |name| part.drop(section, name) }
          number = @part.child(@own, "pgNumType") or return
          part.insert(section, number.dup)
          count_on(section) unless first
        end

        # Pages are counted on from the section before.
        def count_on(section)
          number = @part.child(section, "pgNumType")
          @part.unset(number, "start") if number
        end

        def landscape?(section, part)
          size = part.child(section, "pgSz") or return false
          part.attr(size, "w").to_f > part.attr(size, "h").to_f
        end
      end
    end
  end
end
