# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The lists of a text in the numbering part of the file that takes it in (ISO/IEC 29500-1 17.9), under ids that
      # none had before.
      class JoiningLists
        # What the ids of the text's lists and definitions grow by.
        def self.offset(base)
          part = base.package.related("numbering") or return 0
          ids = part.root.element_children
            .map { |node| (part.attr(node, "numId") || part.attr(node, "abstractNumId")).to_i }
          ids.max.to_i + 1
        end

        # styles: {style id of the text => that here}
        def initialize(base, text, styles)
          @offset = JoiningLists.offset(base)
          @from = text.package.related("numbering")
          @known = base.style_sheet
          @styles = styles
        end

        # Adds the lists with these ids, and their definitions, to a numbering part.
        def add(ids, part)
          return unless @from
          lists = @from.children(@from.root, "num").select { |node| ids.include?(@from.attr(node, "numId")) }
          lists.filter_map { |node| definition_of(node) }.uniq.each { |node| part.insert(part.root, definition(node)) }
          lists.each { |node| part.insert(part.root, list(node)) }
        end

        private

        def definition_of(list)
          id = @from.child(list, "abstractNumId")&.then { |node| @from.attr(node, "val") }
          @from.children(@from.root, "abstractNum").find { |node| @from.attr(node, "abstractNumId") == id }
        end

        def definition(node)
          copy = node.dup
          moved(copy, "abstractNumId")
          @from.drop(copy, "nsid")
          copy.xpath(".//*[local-name()='pStyle' or local-name()='styleLink' or local-name()='numStyleLink']")
            .each { |link| linked(link) }
          copy.xpath(".//*[local-name()='lvlPicBulletId']").each(&:remove)
          copy
        end

        # A style that was here before has its own list.
        def linked(node)
          id = @styles[@from.attr(node, "val")]
          return @from.set(node, "val", id) if id && (node.name == "numStyleLink" || !@known.by_id.key?(id))
          node.remove
        end

        def list(node)
          copy = node.dup
          moved(copy, "numId")
          moved(@from.child(copy, "abstractNumId"), "val")
          copy
        end

        def moved(node, name)
          @from.set(node, name, (@offset + @from.attr(node, name).to_i).to_s)
        end
      end
    end
  end
end
