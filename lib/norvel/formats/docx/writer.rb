# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A Document to the bytes of a .docx: the package it came in, with what was changed changed. The package is read
      # again with its elements at hand, compared with the document, and patched. The same document gives the same
      # bytes.
      class Writer
        def initialize(document)
          @document = document
          @reader = Reader.new(document.source, name: document.name, keep_nodes: true)
          @original = @reader.document
          @package = @reader.package
          @changes = PackageChanges.new(@package)
          @changed = @changes.changed
        end

        # The bytes of the file as the document is now.
        def bytes
          text
          stories
          field_names
          numbering
          styles
          fonts
          settings
          information
          kept = @document.source.archive.entries.map(&:name) - @changes.gone if @changes.gone.any?
          Archive.write(@document.source, @changed, only: kept)
        end

        private

        def text
          main = @package.main
          writer = TextWriter.new(main, @reader.text.nodes, @original)
          touched = writer.write(@document)
          touched |= pictures
          touched |= HeaderRows.new(main, @reader.text.nodes.tables).write(@original.tables, @document.tables)
          touched |= SectionWriter.new(main, @reader.text.section_nodes, @original, heads)
            .write(@document, writer.method(:element))
          @changed[main.path] = main.bytes if touched
        end

        # What the images that are still there say of themselves. Returns whether one changed.
        def pictures
          said = ->(picture) { [picture.description, picture.decorative] }
          came = @original.pictures.to_h { |picture| [picture.id, said[picture]] }
          changed = @document.pictures.select { |one| came.key?(one.id) && came[one.id] != said[one] }
          changed.each { |picture| Pictures.write(@reader.text.pictures[picture.id - 1], picture) }.any?
        end

        # {id of a head or foot => its relationship}, once new ones have a part.
        def heads
          return {} if @document.sections == @original.sections
          HeadsWriter.new(@document, @original, @package, @changes).write
        end

        # Notes, headers and footers; several notes share a part.
        def stories
          return if @document.stories.equal?(@original.stories)
          came = @original.stories.zip(@reader.story_texts).to_h { |story, read| [story.key, [story, *read]] }
          touched = @document.stories.filter_map do |now|
            was, part, reader = came[now.key]
            part if was && now != was && TextWriter.new(part, reader.nodes, was).write(now)
          end
          touched.uniq.each { |part| @changed[part.path] = part.bytes }
        end

        # Every part that may hold fields is told of renamed styles.
        def field_names
          names = @document.styles.by_id.values.filter_map { |style|
            was = @original.styles[style.id]
            [was.name, style.name] if was && was.name != style.name
          }.to_h
          return if names.empty?
          [@package.main, *@reader.story_texts.map(&:first)].uniq.each { |part|
            @changed[part.path] = part.bytes if FieldNames.rename(part, names)
          }
        end

        def numbering
          return if @document.numbering == @original.numbering
          definitions, lists = NumberingWriter.changes(@document, @original.numbering)
          return if definitions.empty? && lists.empty?
          part = @package.related("numbering") || @changes.add("numbering", NumberingWriter::EMPTY).first
          NumberingWriter.new(part).write(definitions, lists, @original.numbering)
          @changed[part.path] = part.bytes
        end

        def styles
          return if @document.styles.equal?(@original.styles) || same_sheet?
          part = @package.related("styles") || @changes.add("styles", StyleWriter::EMPTY).first
          StyleWriter.new(part, @reader.style_nodes).write(@original.styles, @document.styles)
          @changed[part.path] = part.bytes
        end

        # Only a font table that came is kept up to date; none has to be there.
        def fonts
          new_fonts = FontTable.fonts(@document) - FontTable.fonts(@original)
          part = new_fonts.any? && @package.related("fontTable") or return
          @changed[part.path] = part.bytes if FontTable.write(part, new_fonts)
        end

        def settings
          styles, values = @document.page_styles != @original.page_styles, @document.settings != @original.settings
          return unless styles || values
          part = @package.related("settings") || @changes.add("settings", SettingsPart::EMPTY).first
          PageStyles.write(part, @document.page_styles) if styles
          SettingsPart.write(part, @original.settings, @document.settings) if values
          @changed[part.path] = part.bytes
        end

        def same_sheet?
          %i[by_id paragraph_defaults run_defaults].all? do |field|
            @document.styles.public_send(field) == @original.styles.public_send(field)
          end
        end

        def information
          return if @document.info == @original.info
          path = @package.core_path || "docProps/core.xml"
          @changed[path] = Information.write(@package.container.read(path), @original.info, @document.info)
          @changes.announce("", path, Names::CORE_REL, Names::CORE_TYPE) unless @package.core_path
        end
      end
    end
  end
end
