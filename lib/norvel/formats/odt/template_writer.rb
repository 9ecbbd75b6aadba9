# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A document's file without what it says: styles, lists, page set-up, running heads and feet stay, and one sample
      # paragraph of each style shows what it is. Text, notes, comments, images, objects, changes and the author's
      # name are not in it: a template is given to others.
      class TemplateWriter
        KEPT = %w[mimetype content.xml styles.xml META-INF/manifest.xml settings.xml].freeze
        HEADS = "Pictures/" # images that heads and feet show

        def initialize(document)
          @document = document
          bytes = Writer.new(document).bytes
          container = document.source.is_a?(FlatFile) ? FlatFile.new(bytes) : Container.new(bytes)
          @package = Package.new(container)
          @part = @package.content
        end

        # The bytes of the template.
        def bytes
          show_styles
          forget_author
          @package.flat? ? flat : packed
        end

        private

        def show_styles
          text = @package.text
          text.children.each(&:unlink)
          samples = styles.map { |style| text.add_child(sample(style)) }
          first = samples.first or return
          first_page(first)
        end

        def styles
          @document.styles.by_id.values.select(&:paragraph?)
        end

        def sample(style)
          level = @document.cascade.of_style(style, :paragraph)[:outline_level]
          node = @part.create(level.positive? ? "text:h" : "text:p", "text:style-name" => key(style),
            "text:outline-level" => (level if level.positive?))
          node.content = "#{style.name}: this paragraph shows the style."
          node
        end

        def key(style)
          (@keys ||= Keys.new(@document.styles, {}))[style.id]
        end

        # The pages of the document's last section, which its text stands on.
        def first_page(node)
          holder = @package.section(@part, "office:automatic-styles")
          master = last_master or return
          style = @part.create("style:style", "style:name" => "Sample1", "style:family" => "paragraph",
            "style:parent-style-name" => @part.attr(node, "text:style-name"), "style:master-page-name" => master)
          holder.add_child(style)
          @part.set(node, "text:style-name", "Sample1")
        end

        def last_master
          Reader.new(Package.new(@document.source), name: "").tap(&:document).text.page_starts.last&.[](1)
        end

        def forget_author
          part = @package.meta or return
          meta = part.child(part.root, "office:meta") or return
          meta.children.each(&:unlink)
        end

        def packed
          parts = @package.parsed.reject { |part| part.path == "META-INF/manifest.xml" }
          container = @package.container
          names = container.names.select { |name| kept?(name) }
          changed = parts.to_h { |part| [part.path, part.bytes] }.slice(*names)
          Archive.write(container, changed.merge(manifest(names)), only: names, first: ["mimetype", TYPE])
        end

        def kept?(name)
          KEPT.include?(name) || name == "meta.xml" ||
            (name.start_with?(HEADS) && @package.styles&.bytes.to_s.include?(name))
        end

        # The list of files without those that are gone.
        def manifest(names)
          bytes = @package.container.read("META-INF/manifest.xml") or return {}
          part = XmlPart.new("META-INF/manifest.xml", bytes)
          part.root.element_children.each do |entry|
            path = part.attr(entry, "manifest:full-path")
            entry.remove unless path == "/" || names.include?(path)
            part.set(entry, "manifest:media-type", TYPE) if path == "/"
          end
          {"META-INF/manifest.xml" => part.bytes}
        end

        def flat
          @package.container.filled(@part.bytes)
        end
      end
    end
  end
end
