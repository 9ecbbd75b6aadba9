# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Title, author and language of the document: docProps/core.xml (ISO/IEC 29500-2 10), each at most once.
      module Information
        FIELDS = {title: [Names::DUBLIN_CORE, "dc", "title"], author: [Names::DUBLIN_CORE, "dc", "creator"],
                  subject: [Names::DUBLIN_CORE, "dc", "subject"],
                  language: [Names::DUBLIN_CORE, "dc", "language"], keywords: [Names::CORE, "cp", "keywords"]}.freeze
        EMPTY = %(#{Names::HEAD}<cp:coreProperties xmlns:cp="#{Names::CORE}" xmlns:dc="#{Names::DUBLIN_CORE}"/>).freeze

        module_function

        # {title:, author:, …} of the package, nil where it says none.
        def read(package)
          bytes = package.core_path && package.container.read(package.core_path)
          return FIELDS.transform_values { nil } unless bytes
          root = XML.parse(bytes, package.core_path).root
          FIELDS.transform_values do |space, _, name|
            find(root, space, name)&.content&.strip.then { |text| text unless text.to_s.empty? }
          end
        end

        # The part's bytes with what differs between two infos changed.
        def write(bytes, was, now)
          xml = XML.parse(bytes || EMPTY, "core properties")
          FIELDS.each do |field, (space, prefix, name)|
            next if was[field] == now[field]
            node = find(xml.root, space, name) || add(xml, space, prefix, name)
            now[field] ? node.content = now[field] : node.remove
          end
          XML.bytes(xml)
        end

        def find(root, space, name)
          root.element_children.find { |e| e.name == name && e.namespace&.href == space }
        end

        def add(xml, space, prefix, name)
          node = xml.create_element(name)
          node.namespace = xml.root.namespace_scopes.find { |s| s.href == space && s.prefix } ||
            xml.root.add_namespace_definition(prefix, space)
          xml.root.add_child(node)
        end

        private_class_method :find, :add
      end
    end
  end
end
