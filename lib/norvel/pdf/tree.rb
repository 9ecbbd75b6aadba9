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
      end

      # pages: their references, in order
      def write(pages)
        root = @pdf.ref!(Type: :StructTreeRoot)
        root.data[:K] = [element(@structure.root, root)]
        root.data[:ParentTree] = @pdf.ref!(Nums: pages.each_with_index.flat_map { |page, index| parents(page, index) })
        root.data[:ParentTreeNextKey] = pages.size
        @pdf.state.store.root.data.merge!(StructTreeRoot: root, MarkInfo: {Marked: true})
      end

      private

      def element(element, parent)
        made = @pdf.ref!(Type: :StructElem, S: element.type, P: parent)
        made.data[:Alt] = PDF::Core::LiteralString.new(text(element.alt)) if element.alt
        made.data[:A] = attributes(element.attributes) if element.attributes
        made.data[:K] = element.kids.filter_map { |kid| kid(kid, made) }
        made
      end

      def kid(kid, parent)
        return content(kid, parent) if kid.is_a?(Structure::Content)
        element(kid, parent) if kid.any?
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

      # A text string (ISO 32000-1 7.9.2.2).
      def text(words)
        "\xFE\xFF".b + words.encode("UTF-16BE").b
      end
    end
  end
end
