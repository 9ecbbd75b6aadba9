# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # What is left in a text of what was taken out.
      module Remains
        HEADS = Sections::HEADS.keys.freeze

        module_function

        # Names in each section the heads and feet that it had from those before it (ISO/IEC 29500-1 17.10.5), so that
        # those can go.
        def own_heads(part, body)
          known = {}
          body.xpath(".//*[local-name()='sectPr'][local-name(..)!='sectPrChange']").each do |section|
            own = section.element_children.select { |node| HEADS.include?(node.name) }
            known.merge!(own.to_h { |node| [[node.name, part.attr(node, "type")], node] })
            missing = known.except(*own.map { |node| [node.name, part.attr(node, "type")] }).values
            missing.reverse_each { |node| section.prepend_child(node.dup) }
          end
        end

        # Takes out places whose other end is gone.
        def loose_ends(part, body)
          starts, ends = %w[bookmarkStart bookmarkEnd].map { |name| body.xpath(".//*[local-name()='#{name}']").to_a }
          ids = [starts, ends].map { |nodes| nodes.map { |node| part.attr(node, "id") } }
          both = (ids[0] & ids[1]).to_set
          (starts + ends).each { |node| node.remove unless both.include?(part.attr(node, "id")) }
        end
      end
    end
  end
end
