# frozen_string_literal: true

module Norvel
  module Formats
    # Elements of a text taken out from one to another, whatever they stand in.
    module Cleared
      module_function

      # Takes out a block and all that follows it in the body, up to another; where no block stays, to the end.
      # spare: the local name of what is no block. Returns the elements that went.
      def between(first, stays, body, spare: nil)
        gone = []
        node = first
        around = stays ? stays.ancestors.to_a : []
        until node.nil? || node == stays
          following = around.include?(node) ? node.first_element_child : after(node, body)
          gone << node.remove unless around.include?(node) || node.name == spare
          node = following
        end
        gone
      end

      # The next element that does not stand in this one.
      def after(node, body)
        node = node.parent until node == body || node.next_element
        node.next_element unless node == body
      end

      private_class_method :after
    end
  end
end
