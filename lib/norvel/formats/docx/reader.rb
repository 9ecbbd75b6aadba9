# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A .docx package to a Document. Raises UnreadableFile.
      class Reader
        NOTES = {"footnotes" => "footnote", "endnotes" => "endnote", "comments" => "comment"}.freeze

        # story_texts: the part of each story and the TextReader that read it, for a writer
        attr_reader :package, :text, :style_nodes, :story_texts

        # +keep_nodes+: remember elements, for a writer.
        def initialize(container, name:, keep_nodes: false)
          @package = Package.new(container, short: !keep_nodes)
          @name = name
          @keep_nodes = keep_nodes
          @formatting = Formatting.new
          @style_nodes = []
          @story_texts = []
        end

        def document
          @document ||= begin
            read_text
            Document.new(format: "docx", name: @name, paragraphs: text.paragraphs.freeze, stories: (notes + headers_and_footers).freeze, sections: sections.freeze, pictures:, page_styles: PageStyles.read(package.related("settings")).freeze,
              sheet:, numbering: NumberingReader.new(package.related("numbering"), @formatting).numbering, info: Information.read(package), settings:, source: package.container)
          end
        rescue SystemStackError
          raise UnreadableFile, "The document is nested deeper than any text needs to be."
        end

        def sheet
          @sheet ||= StyleReader.new(package.related("styles"), @formatting, nodes: @style_nodes).sheet
        end

        def settings
          @settings ||= read_settings
        end

        private

        def read_text
          main = package.main
          body = main.child(main.root, "body") or raise UnreadableFile, "The document has no body."
          @text = TextReader.new(main, @formatting, sheet, settings:, keep_nodes: @keep_nodes).read(body)
        end

        def pictures
          text.pictures.each.with_index(1).map { |(paragraph, holder), id| Pictures.read(id, paragraph, holder, package) }.freeze
        end

        # A file without any section still has pages.
        def sections
          return text.sections unless text.sections.empty?
          [Sections.read(package.main.root, package.main, settings, nil)]
        end

        def read_settings
          part = package.related("settings") or return {}
          flag = ->(name) { (node = part.child(part.root, name)) ? part.on?(node) : false }
          {mirrored: flag["mirrorMargins"], gutter_at_top: flag["gutterAtTop"], even_and_odd: flag["evenAndOddHeaders"], hyphenated: flag["autoHyphenation"], sum_spaces: sums_spaces?(part)}
        end

        # Spaces add up instead of overlapping when the file says so (compatibility settings, formats by common practice).
        def sums_spaces?(part)
          compat = part.child(part.root, "compat") or return false
          node = part.child(compat, "doNotUseHTMLParagraphAutoSpacing")
          node ? part.on?(node) : false
        end

        def notes
          NOTES.flat_map do |kind, noun|
            part = package.related(kind) or next []
            part.children(part.root, noun).filter_map do |node|
              next if %w[separator continuationSeparator continuationNotice].include?(part.attr(node, "type"))
              story(noun, nil, part, node)
            end
          end
        end

        # Each header and footer once, under the first section that shows it.
        def headers_and_footers
          seen = {}
          text.section_nodes.each_with_index.flat_map do |node, section|
            node.element_children.filter_map do |reference|
              next unless %w[headerReference footerReference].include?(reference.name)
              target = package.relationship(package.main_path, relationship_id(reference))&.target
              next if target.nil? || seen[target] || !package.container.include?(target)
              seen[target] = true
              part = package.part(target)
              story(reference.name.delete_suffix("Reference"), section + 1, part, part.root)
            end
          end
        end

        def relationship_id(reference)
          reference.attribute_nodes.find { |a| a.node_name == "id" }&.value
        end

        def story(kind, section, part, node)
          reader = TextReader.new(part, @formatting, sheet, keep_nodes: @keep_nodes).read(node)
          @story_texts << [part, reader]
          Document::Story.new(kind, section, reader.paragraphs.freeze)
        end
      end
    end
  end
end
