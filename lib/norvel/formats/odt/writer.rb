# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A Document to the bytes of an OpenDocument text: the file it came in, with what was changed changed. The file is
      # read again with its elements at hand, compared with the document, and patched. The same document gives the same
      # bytes.
      class Writer
        def initialize(document)
          @document = document
          @reader = Reader.new(Package.new(document.source), name: document.name, keep_nodes: true)
          @original = @reader.document
          @package = @reader.package
          @changed = {}.compare_by_identity
        end

        # The bytes of the file as the document is now.
        def bytes
          numbering
          styles
          texts
          tables
          pictures
          pages
          information
          (@worn || {}).each { |part, worn| automatic[part].drop_unused(worn) if @changed[part] }
          definitions.touched.each { |part| touch(part) }
          renumbered(packed)
        end

        private

        # Lists that were parted and joined show the numbers they are meant to.
        def renumbered(bytes)
          return bytes unless @relisted || !@document.numbering.equal?(@original.numbering)
          container = @package.flat? ? FlatFile.new(bytes) : Container.new(bytes)
          numbers = ListNumbers.new(@document, container)
          numbers.right? ? bytes : numbers.bytes
        end

        def touch(part)
          @changed[part] = true
        end

        def packed
          @package.packed(@changed.keys)
        end

        # --- numbering and styles ---

        def keys
          @keys ||= Keys.new(@document.styles, @original.styles.by_id.values.group_by(&:type)
            .transform_values { |list| list.map { |style| Names.key(style.id) } })
        end

        def numbering
          definitions.write unless same_styles?
        end

        def styles
          return if @document.styles.equal?(@original.styles) || same_sheet?
          part = @package.styles || raise(Unwritable, "The file has no part for styles, so none can be changed in it.")
          writer = StyleWriter.new(part, @package.section(part, "office:styles"), @reader.styles.nodes, keys) do |style|
            definitions.of_style(style)
          end
          writer.write(@original.styles, @document.styles)
          touch(part)
        end

        def same_sheet?
          %i[by_id paragraph_defaults run_defaults].all? do |field|
            @document.styles.public_send(field) == @original.styles.public_send(field)
          end
        end

        def definitions
          @definitions ||= ListDefinitions.new(@document, @original, @reader, keys)
        end

        # --- text ---

        def texts
          text(@package.content, @reader.text, @original, @document)
          sequences
          came = @original.stories.zip(@reader.story_texts).to_h { |story, read| [story.key, [story, *read]] }
          @document.stories.each do |now|
            was, part, reader = came[now.key]
            text(part, reader, was, now) if was
          end
        end

        def text(part, reader, was, now)
          return if now.paragraphs.equal?(was.paragraphs) && same_styles?
          writer = text_writer(part, reader.nodes)
          (@worn ||= {}.compare_by_identity)[part] ||= automatic[part].used
          touch(part) if writer.write(was, now)
          @relisted ||= writer.relisted?
          (@made ||= {}).merge!(writer.made)
        end

        def text_writer(part, nodes)
          TextWriter.new(part, nodes, [@original, @document], automatic[part], keys, @reader.worn[part], definitions)
        end

        # The element of a new head or foot.
        def new_head(story)
          part = @reader.masters.part
          holder = part.create("style:#{story.kind}")
          nodes = TextReader::Nodes.new([], [], {nil => holder})
          text_writer(part, nodes).write(story.with(paragraphs: [].freeze), story)
          holder
        end

        def tables
          writer = HeaderRows.new(@package.content, @reader.text.nodes.tables)
          touch(@package.content) if writer.write(@original.tables, @document.tables)
        end

        def sequences
          touch(@package.content) if SequenceNames.declare(@package.text, @package.content)
        end

        # The automatic styles of each part.
        def automatic
          @automatic ||= Hash.new { |all, one| all[one] = AutomaticStylePool.new(one, @package) }.compare_by_identity
        end

        def same_styles?
          @document.styles.equal?(@original.styles) && @document.numbering.equal?(@original.numbering)
        end

        # --- the rest ---

        def pictures
          came = @original.pictures.to_h { |picture| [picture.id, picture.description] }
          changed = @document.pictures.select do |picture|
            came.key?(picture.id) && came[picture.id] != picture.description
          end
          changed.each do |picture|
            Drawings.describe(@reader.text.pictures[picture.id - 1], @package.content, picture.description)
          end
          touch(@package.content) if changed.any?
        end

        def pages
          heads = MasterHeads.new(@document, @original, @reader) { |story| new_head(story) }
          PageWriter.new(@document, @original, @reader, automatic, @made || {}, heads).write.each { |part| touch(part) }
        end

        def information
          return if @document.info == @original.info
          part = @package.meta || raise(Unwritable, "The file has no part for its title and author.")
          Information.write(part, @package.section(part, "office:meta"), @original.info, @document.info)
          touch(part)
        end
      end
    end
  end
end
