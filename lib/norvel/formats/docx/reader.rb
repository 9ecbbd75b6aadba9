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

        # The Document of the package.
        def document
          @document ||= begin
            read_text
            Document.new(
              format: "docx", name: @name, conventions: CONVENTIONS,
              paragraphs: text.paragraphs.freeze, tables: text.tables.freeze,
              stories: (notes + running_heads.stories).freeze, sections: sections.freeze,
              page_styles: PageStyles.read(package.related("settings")).freeze, styles: style_sheet, numbering:,
              info: Information.read(package),
              settings:, source: package.container, unseen: text.unseen
            )
          end
        rescue SystemStackError
          raise UnreadableFile, "The document is nested deeper than any text needs to be."
        end

        # Its Styles::StyleSheet.
        def style_sheet
          @style_sheet ||= StyleReader.new(package.related("styles"), @formatting, nodes: @style_nodes).style_sheet
        end

        # Its Document::Numbering.
        def numbering
          NumberingReader.new(package.related("numbering"), @formatting).numbering
        end

        # Its Document::Settings.
        def settings
          @settings ||= SettingsPart.read(package.related("settings"))
            .with(embedded_fonts: FontTable.embedded(package.related("fontTable")))
        end

        private

        def read_text
          main = package.main
          body = main.child(main.root, "body") or raise UnreadableFile, "The document has no body."
          @text = TextReader.new(main, package, @formatting, style_sheet, settings:, keep_nodes: @keep_nodes).read(body)
        end

        # A file without any section still has pages.
        def sections
          found = text.sections
          found = [Sections.read(package.main.root, package.main, settings, nil)] if found.empty?
          found.each_with_index.map { |section, number| section.with(heads: running_heads.of(number)) }
        end

        def running_heads
          @running_heads ||= RunningHeads.new(package, text.section_nodes) do |part, **told|
            story(part, part.root, **told)
          end
        end

        def notes
          NOTES.flat_map do |relation, kind|
            part = package.related(relation) or next []
            part.children(part.root, kind).filter_map do |node|
              next if %w[separator continuationSeparator continuationNotice].include?(part.attr(node, "type"))
              story(part, node, kind:, id: part.attr(node, "id"), author: part.attr(node, "author"))
            end
          end
        end

        def story(part, node, **told)
          reader = TextReader.new(part, package, @formatting, style_sheet, keep_nodes: @keep_nodes).read(node)
          @story_texts << [part, reader]
          paragraphs = Document::Story.apart(reader.paragraphs, @story_texts.size)
          Document::Story.new(**told, paragraphs:, tables: reader.tables.freeze)
        end
      end
    end
  end
end
