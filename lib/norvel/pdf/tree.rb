# frozen_string_literal: true

module Norvel
  module Pdf
    # Writes a Structure into a file: its elements as objects, and from the marked content of each page back to them
    # (ISO 32000-1 14.7.4.4).
    class Tree
      def initialize(pdf, structure)
        @pdf = pdf
        @structure = structure
        @parents = Hash.new { |pages, page| pages[page] = [] }
        @annotations = []
        @named = []
      end

      # A text string (ISO 32000-1 7.9.2.2).
      def self.text(words)
        PDF::Core::LiteralString.new("\xFE\xFF".b + words.encode("UTF-16BE").b)
      end

      # pages: their references, in order
      def write(pages)
        root = @pdf.ref!(Type: :StructTreeRoot)
        root.data[:K] = [element(@structure.root, root)]
        of_pages = pages.each_with_index.flat_map { |page, index| parents(page, index) }
        of_links = @annotations.each_with_index.flat_map { |pair, index| annotation(pages.size + index, *pair) }
        root.data[:ParentTree] = @pdf.ref!(Nums: of_pages + of_links)
        root.data[:IDTree] = @pdf.ref!(Names: @named.flatten(1)) if @named.any?
        root.data[:ParentTreeNextKey] = pages.size + @annotations.size
        @pdf.state.store.root.data.merge!(StructTreeRoot: root, MarkInfo: {Marked: true})
      end

      private

      def element(element, parent)
        made = @pdf.ref!(Type: :StructElem, S: element.type, P: parent)
        made.data[:ID] = named(made) if element.type == :Note
        made.data[:Alt] = Tree.text(element.alt) if element.alt
        made.data[:Lang] = PDF::Core::LiteralString.new(element.language) if element.language
        made.data[:A] = attributes(element.attributes) if element.attributes
        made.data[:K] = element.kids.filter_map { |kid| kid(kid, made) }
        made
      end

      # A name of its own, by which the tree of names finds it (ISO 32000-1 14.7.2).
      def named(element)
        PDF::Core::LiteralString.new(format("note-%06d", @named.size + 1)).tap { |name| @named << [name, element] }
      end

      def kid(kid, parent)
        case kid
        when Structure::Content then content(kid, parent)
        when Structure::Annotation then link(kid, parent)
        else element(kid, parent) if kid.any?
        end
      end

      def link(annotation, parent)
        @annotations << [annotation.object, parent]
        {Type: :OBJR, Pg: annotation.page, Obj: annotation.object}
      end

      # Back from an annotation to its element, by a key of its own.
      def annotation(key, object, parent)
        object.data[:StructParent] = key
        [key, parent]
      end

      def content(content, parent)
        @parents[content.page.identifier][content.number] = parent
        {Type: :MCR, Pg: content.page, MCID: content.number}
      end

      def attributes(by_owner)
        by_owner.map { |owner, values| {O: owner, **values} }
      end

      def parents(page, index)
        page.data[:StructParents] = index
        page.data[:Tabs] = :S
        [index, @parents[page.identifier].dup]
      end
    end
  end
end
