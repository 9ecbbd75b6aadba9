# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A package as a document or as a template: its mark and the list of its files say which (ISO/IEC 26300-3 3.3).
      module Kinds
        MANIFEST = "META-INF/manifest.xml"
        TYPES = {".ott" => TEMPLATE_TYPE}.freeze

        module_function

        # The bytes as a document or a template, as the extension says.
        def made(bytes, extension)
          wanted = TYPES.fetch(extension, TYPE)
          container = Container.new(bytes)
          return bytes if container.read("mimetype").to_s.strip == wanted
          part = XmlPart.new(MANIFEST, container.read(MANIFEST) || Blank.manifest)
          root = part.root.element_children.find { |one| part.attr(one, "manifest:full-path") == "/" }
          part.set(root, "manifest:media-type", wanted) if root
          Archive.write(container, {MANIFEST => part.bytes}, first: ["mimetype", wanted])
        end
      end
    end
  end
end
