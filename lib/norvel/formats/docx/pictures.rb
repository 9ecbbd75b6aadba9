# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Drawings with what they say of themselves: w:drawing with wp:docPr (ISO/IEC 29500-1 20.4.2.5), and the older w:pict and w:object.
      module Pictures
        # Where the description stands: of a drawing, of an older shape.
        HOLDERS = {"docPr" => "descr", "shape" => "alt", "rect" => "alt"}.freeze

        module_function

        # The element that may say a description, or nil; a box of text needs none, its text is read.
        def holder(node)
          return if node.at_xpath(".//*[local-name()='txbxContent']") && !node.at_xpath(".//*[local-name()='blip']")
          node.at_xpath(".//*[local-name()='docPr']") || node.at_xpath(".//*[local-name()='shape' or local-name()='rect']")
        end

        # A Document::Picture. +package+ resolves where its bytes are.
        def read(id, paragraph, holder, package)
          said = holder[HOLDERS.fetch(holder.name)].to_s.strip
          Document::Picture.new(id:, paragraph:, description: (said unless said.empty?), decorative: decorative?(holder), path: path(holder, package))
        end

        def write(holder, description)
          name = HOLDERS.fetch(holder.name)
          description ? holder[name] = description : holder.remove_attribute(name)
        end

        def decorative?(holder)
          !holder.at_xpath(".//*[local-name()='decorative'][@val='1' or @val='true']").nil?
        end

        def path(holder, package)
          data = holder.parent.at_xpath(".//*[local-name()='blip' or local-name()='imagedata']") or return
          id = data.attribute_nodes.find { |attribute| %w[embed id].include?(attribute.node_name) && attribute.namespace }&.value
          found = id && package.relationship(package.main_path, id)
          found.target if found && !found.external && package.container.include?(found.target)
        end
      end
    end
  end
end
