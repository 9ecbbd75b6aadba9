# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A paragraph that begins pages of a master (ISO/IEC 26300-1 19.501): its automatic style says so.
      module PageBegin
        module_function

        # node: the paragraph's element in the content of the package
        def put(package, node, master)
          part = package.content
          pool = AutomaticStylePool.new(part, package)
          named = part.attr(node, "text:style-name")
          own = pool.node(named, "paragraph")
          parent = own ? part.attr(own, "style:parent-style-name") : named
          style = pool.paragraph(own, parent) { |made| part.set(made, "style:master-page-name", master) }
          part.set(node, "text:style-name", style)
        end
      end
    end
  end
end
