# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A document's package without what it says: styles, lists, page set-up, running heads and feet stay, and one
      # sample paragraph of each style shows what it is. Text, notes, comments, images, data and the author's name are
      # not in it: a template is given to others.
      class TemplateWriter
        KINDS = %w[styles settings numbering theme fontTable webSettings footnotes endnotes header footer].freeze
        PRIVATE_SETTINGS = %w[attachedTemplate mailMerge].freeze # where the file was, whom it was sent to

        def initialize(document)
          @document = document
          @container = Container.new(Writer.new(with_heads(document)).bytes)
          @package = Package.new(@container)
          @main = @package.main
        end

        # The bytes of the template.
        def bytes
          show_styles
          changed = {@main.path => @main.bytes, **notes, **settings,
                     **filtered("", ->(relationship) { relationship.kind == "officeDocument" }),
                     **filtered(@main.path, ->(relationship) { kept?(relationship) })}
          names = parts.flat_map { |path| [path, @package.rels_path(path)] } +
            ["[Content_Types].xml", @package.rels_path("")] - [rels_of_settings]
          Archive.write(@container, changed.merge("[Content_Types].xml" => content_types), only: names)
        end

        private

        # The last section is the template's: it names the heads and feet itself that it shows.
        def with_heads(document)
          number = document.sections.size
          heads = NamedHeads::WAYS.each_with_object({}) do |(kind, way), found|
            shown = document.head(number, kind.to_s, way.to_s) and (found[kind] ||= {})[way] = shown.id
          end
          last = document.sections.last.with(heads: heads.each_value(&:freeze).freeze)
          document.with(sections: [*document.sections[0..-2], last].freeze)
        end

        def show_styles
          body = @main.child(@main.root, "body")
          last = @main.children(body, "sectPr").last&.unlink
          body.children.each(&:unlink)
          styles.each { |style| body.add_child(sample(style)) }
          body.add_child(last) if last
        end

        def styles
          @document.styles.by_id.values.select do |style|
            style.paragraph? && (!style.hidden || @document.uses[style.id].positive?)
          end
        end

        def sample(style)
          paragraph = @main.create("p")
          @main.set(@main.place(@main.place(paragraph, "pPr"), "pStyle"), "val", style.id)
          run = paragraph.add_child(@main.create("r"))
          text = @main.create("t")
          text.content = "#{style.name}: this paragraph shows the style."
          run.add_child(text)
          paragraph
        end

        # Of the notes only those that are lines between text and notes.
        def notes
          %w[footnotes endnotes].filter_map { |kind| @package.related(kind) }.to_h do |part|
            part.root.element_children.each { |note| note.remove unless part.attr(note, "type") }
            [part.path, part.bytes]
          end
        end

        def settings
          part = @package.related("settings") or return {}
          PRIVATE_SETTINGS.each { |name| part.drop(part.root, name) }
          {part.path => part.bytes}
        end

        def rels_of_settings
          (part = @package.related("settings")) && @package.rels_path(part.path)
        end

        # The main part's relationships that a template needs; heads and feet as far as the page set-up names them.
        def kept?(relationship)
          return false if relationship.external || !KINDS.include?(relationship.kind)
          !%w[header footer].include?(relationship.kind) || named.include?(relationship.id)
        end

        def named
          @named ||= @main.root.xpath(".//*[local-name()='headerReference' or local-name()='footerReference']")
            .flat_map do |node|
            node.attribute_nodes.select { |attribute| attribute.node_name == "id" }.map(&:value)
          end
        end

        # Every part that stays: the main part, what it needs, and what that needs.
        def parts
          @parts ||= @package.relationships(@main.path).select { |relationship| kept?(relationship) }.map(&:target)
            .inject([@main.path]) { |found, path| reach(path, found) }
        end

        def reach(path, found)
          return found if found.include?(path) || !@container.include?(path)
          found += [path]
          return found if path == @package.related("settings")&.path
          @package.relationships(path).reject(&:external).inject(found) do |known, relationship|
            reach(relationship.target, known)
          end
        end

        # The relationships of a source that pass the test, as {path => bytes}.
        def filtered(source, test)
          path = @package.rels_path(source)
          ids = @package.relationships(source).select(&test).map(&:id)
          {path => edited(path) { |element| ids.include?(element["Id"]) }}
        end

        def content_types
          edited("[Content_Types].xml") do |element|
            element["PartName"].nil? || parts.include?(element["PartName"].delete_prefix("/"))
          end
        end

        # An XML file of the package with the elements of its root that the block keeps.
        def edited(path)
          xml = XML.parse(@container.read(path), path)
          xml.root.element_children.each { |element| element.remove unless yield(element) }
          XML.bytes(xml)
        end
      end
    end
  end
end
