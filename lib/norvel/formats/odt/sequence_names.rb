# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The names that captions count by are declared before the text (ISO/IEC 26300-1 7.4.11).
      module SequenceNames
        EARLIER = %w[forms tracked-changes variable-decls].freeze # what stands before declarations

        module_function

        # Declares those that the text uses and that are not declared yet. Returns whether there were any.
        def declare(body, part)
          used = body.xpath(".//*[local-name()='sequence']").map { |node| part.attr(node, "text:name") }.uniq
          holder = part.child(body, "text:sequence-decls")
          known = holder ? part.children(holder, "text:sequence-decl").map { |node| part.attr(node, "text:name") } : []
          missing = used - known
          return false if missing.empty?
          holder ||= place(body, part)
          missing.each do |name|
            holder.add_child(part.create("text:sequence-decl", "text:display-outline-level" => "0",
              "text:name" => name))
          end
          true
        end

        # Before all that is text, after declarations of variables.
        def place(body, part)
          before = body.element_children.take_while { |child| EARLIER.include?(child.name) }
          made = part.create("text:sequence-decls")
          before.empty? ? body.prepend_child(made) : before.last.add_next_sibling(made)
          made
        end

        private_class_method :place
      end
    end
  end
end
