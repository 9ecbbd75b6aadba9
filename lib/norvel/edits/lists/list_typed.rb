# frozen_string_literal: true

module Norvel
  module Edits
    # Makes lists of paragraphs whose signs were typed: the typed sign goes, and the list prints the same one. A list
    # that would print otherwise stays as it is.
    class ListTyped < StyleEdit
      WIDTH = 18.0 # points from a sign to its text: common practice
      WIDE = 28.35 # of signs like “(iv)”
      LONG = 3 # letters of a sign

      # ids: paragraphs; their lists become lists whole
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        lists = places(document)
        raise Refused, "None of these paragraphs has a typed sign that could be counted." if lists.empty?
        after = made(document, lists)
        right = lists.select { |list| list.items.all? { |item| after.markers[item.paragraph.id] == item.sign } }
        raise Refused, "The list would print other signs than the typed ones." if right.empty?
        (right.size == lists.size) ? after : made(document, right)
      end

      def title(document)
        lists = places(document)
        "Make #{count(lists.size, "list")} of #{count(lists.sum { |list| list.items.size })} with typed signs"
      end

      # The sign that was typed is counted now, and printed as before.
      def signs_counted(document)
        @ids | places(document).flat_map { |list| list.items.map { |item| item.paragraph.id } }
      end

      def removes_white_space?
        true
      end

      private

      def places(document)
        wanted = @ids.to_h { |id| [id, true] }
        Survey::TypedLists.new(document).all.select { |list| list.items.any? { |item| wanted[item.paragraph.id] } }
      end

      # Lists with the same signs are of one definition: bullets are one list, what counts begins anew as it did.
      def made(document, lists)
        known, numbering = {}, document.numbering
        changed = lists.flat_map do |list|
          numbering, id = counted_by(numbering, list, known)
          list.items.map { |item| listed(item, id) }
        end
        document.with(numbering:).replace(changed)
      end

      # [Numbering, the id of a list]. known: {levels => [definition id, list id]} of those that were made
      def counted_by(numbering, list, known)
        levels, first = levels(list), list.levels.first
        definition, same = known[levels]
        numbering, definition = numbering.define(Document::Numbering::Definition.new(levels)) unless definition
        return [numbering, same] if same && list.levels.all? { |level| level.format == "bullet" }
        starts = (first.format == "bullet") ? {} : {0 => first.start}
        numbering, id = numbering.add(Document::Numbering::List.new(definition, starts))
        known[levels] = [definition, id]
        [numbering, id]
      end

      # {number from 0 => Document::ListLevel}: those that are used, and usual ones below.
      def levels(list)
        form = (list.levels.first.format == "bullet") ? "bullets" : "numbers"
        signs = list.items.group_by(&:level).transform_values { |items| items.map { |item| item.sign.size }.max }
        own = list.levels.each_with_index.to_h { |level, number| [number, level_of(level, number, signs[number])] }
        DefineListStyle.levels(form).merge(own)
      end

      def level_of(level, number, longest)
        width = (longest > LONG) ? WIDE : WIDTH
        text = level.bullet || "#{level.before}%#{number + 1}#{level.after}"
        Document::ListLevel.new(format: level.format, text:,
          paragraph: Styles::PropertySet.of(indent_left: level.left + width, first_line: -width))
      end

      def listed(item, list_id)
        paragraph = RewriteText.replace(item.paragraph, Survey::TypedLists::SIGN)
        indents = %i[indent_left first_line].flat_map { |name| Styles::Properties.slots_of(name) }
        paragraph.with(direct: paragraph.direct.without(*indents).merge(list_id:, list_level: item.level))
      end
    end
  end
end
