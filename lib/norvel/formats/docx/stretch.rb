# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A part of a .docx as a file of its own: the same package with what is outside taken out, and with the set-up of
      # the section that the part ends in.
      class Stretch
        NOTES = JoiningNames::NOTES
        SECTION = "descendant-or-self::*[local-name()='pPr']/*[local-name()='sectPr']"

        # document: as it was read from its file
        def initialize(document)
          reader = Reader.new(document.source, name: document.name, keep_nodes: true).tap(&:document)
          @package = reader.package
          @main = @package.main
          tops = body(@main).element_children.each_with_index.to_h { |node, place| [node.pointer_id, place] }
          @tops = reader.text.nodes.paragraphs.map { |node| tops[top(node).pointer_id] }
        end

        # Does a file begin at this place of the text? Not within a table or a content control.
        def begins?(place)
          place.zero? || @tops[place] != @tops[place - 1]
        end

        # The bytes of a file of the paragraphs from one place up to before another, nil for the end.
        def bytes(from, till)
          part = XmlPart.new(@main.path, @package.container.read(@main.path))
          holder = body(part)
          Remains.own_heads(part, holder)
          blocks = holder.element_children.reject { |node| node.name == "sectPr" }
          first, last = @tops[from], till ? @tops[till] - 1 : blocks.size - 1
          set_up(part, holder, blocks, last)
          blocks.each_with_index { |node, place| node.remove unless place.between?(first, last) }
          Remains.loose_ends(part, holder)
          Archive.write(@package.container, notes(part).merge(part.path => part.bytes))
        end

        private

        def body(part)
          part.child(part.root, "body")
        end

        def top(node)
          node = node.parent until node.parent.parent == @main.root
          node
        end

        # The set-up of the section in which the last block stands, at the end.
        def set_up(part, holder, blocks, last)
          found = blocks.drop(last).lazy.filter_map { |node| node.xpath(SECTION).last }.first or return
          part.drop(holder, "sectPr")
          holder.add_child(found.dup)
          found.remove if blocks[last] == found.ancestors.find { |node| node.parent == holder }
        end

        # {path => bytes} of the notes and comments whose marks are there.
        def notes(part)
          marks = Hash.new { |all, kind| all[kind] = [] }
          part.root.xpath("//*").each do |node|
            marks[NOTES[node.name]] << part.attr(node, "id") if NOTES.key?(node.name)
          end
          Reader::NOTES.keys.filter_map { |kind| (own = @package.related(kind)) && only(own, marks[kind]) }.to_h
        end

        def only(own, ids)
          part = XmlPart.new(own.path, @package.container.read(own.path))
          part.root.element_children.each do |note|
            note.remove unless part.attr(note, "type") || ids.include?(part.attr(note, "id"))
          end
          [part.path, part.bytes]
        end
      end
    end
  end
end
