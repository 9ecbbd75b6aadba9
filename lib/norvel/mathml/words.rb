# frozen_string_literal: true

module Norvel
  module Mathml
    # A formula as it is written in a row: for those who hear it, and where only letters can stand.
    module Words
      UNSEEN = /[\u2061-\u2064]/

      module_function

      # The words of a node, "" for none.
      def of(node)
        node ? said(node).gsub(/\s+/, " ").strip : ""
      end

      def said(node)
        return node.text.gsub(UNSEEN, "") if node.token?
        one, two, three = node.children
        case node.name
        when "mfrac" then "#{held(one)}/#{held(two)}"
        when "msqrt" then "√#{held(Node.row(node.children))}"
        when "mroot" then "#{said(two)}√#{held(one)}"
        when "msub", "munder" then "#{said(one)}_#{held(two)}"
        when "msup", "mover" then above(node, one, two)
        when "msubsup", "munderover" then "#{said(one)}_#{held(two)}^#{held(three)}"
        when "mtable" then "[#{node.children.map { |row| cells(row) }.join("; ")}]"
        when "mphantom" then ""
        when "mspace" then " "
        else node.children.map { |child| said(child) }.join
        end
      end

      def cells(row)
        row.children.map { |cell| said(cell) }.join(", ")
      end

      # A sign over letters is said after them.
      def above(node, base, over)
        (node.name == "mover" && over.token?) ? "#{held(base)}#{over.text}" : "#{said(base)}^#{held(over)}"
      end

      # More than one sign is held together.
      def held(node)
        words = said(node)
        (words.size > 1 && !words.match?(/\A(?:\d+(?:[.,]\d+)*|\([^()]*\))\z/)) ? "(#{words})" : words
      end

      private_class_method :said, :cells, :above, :held
    end
  end
end
