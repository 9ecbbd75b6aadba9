# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A document that comes from another format as a new OpenDocument text, whole and by itself. The document is in
      # the terms of OpenDocument already (Translation).
      class Builder
        PICTURES = {".png" => "image/png", ".jpg" => "image/jpeg", ".jpeg" => "image/jpeg", ".gif" => "image/gif",
                    ".svg" => "image/svg+xml", ".bmp" => "image/bmp", ".tif" => "image/tiff"}.freeze

        # document: to be written; blank: the file that is filled, read
        attr_reader :document, :blank, :reader, :report

        # flat: as one XML file; report: CarryReport
        def initialize(document, report, flat: false)
          @document = document
          @report = report
          @flat = flat
          @reader = Reader.new(Package.new(flat ? Blank.flat : Blank.container), name: document.name, keep_nodes: true)
          @blank = @reader.document
          @package = @reader.package
          @pictures = {}
          @counts = Hash.new(0)
          @bytes_of = {}
        end

        # The bytes of the new package.
        def bytes
          definitions.write
          styles
          @masters = MasterBuilder.new(self).build
          body = @package.text
          BodyBuilder.new(self, @package.content).fill(body, document.blocks)
          SequenceNames.declare(body, @package.content)
          information
          gaps
          @flat ? flat : packed
        end

        # --- what its parts ask ---

        # The names of styles by their ids: Keys.
        def keys
          @keys ||= Keys.new(document.styles, {})
        end

        # The list styles: ListDefinitions.
        def definitions
          @definitions ||= ListDefinitions.new(document, blank, reader, keys)
        end

        # The pool of automatic styles of a part.
        def automatic(part)
          @automatic ||= Hash.new { |all, one| all[one] = AutomaticStylePool.new(one, @package) }.compare_by_identity
          @automatic[part]
        end

        # Holds the head of an arrow that styles of lines name.
        def hold_arrow
          @arrow ||= section("office:styles").add_child(@package.styles.create("draw:marker", Shapes::ARROW))
        end

        # A section of the styles' part.
        def section(name)
          @package.section(@package.styles, name)
        end

        # {paragraph => its numbers} of all lists.
        def numbers
          @numbers ||= document.numbering.numbers(document)
        end

        # The blocks in a cell or box.
        def blocks_in(container)
          @blocks ||= Document::Blocks.new(document.paragraphs, document.tables)
          @blocks.in(container)
        end

        # The number of a paragraph of the text, nil for others.
        def place(paragraph)
          document.position(paragraph.id) + 1 unless Document::Story.id?(paragraph.id)
        end

        # Is the comment about words, and not a place alone?
        def ranged?(comment)
          @ranged ||= document.paragraphs.flat_map { |one| one.anchors.map(&:object) }.grep(Document::CommentMark)
            .select { |mark| mark.edge == "end" }.map(&:comment)
          @ranged.include?(comment)
        end

        # Where an image's bytes stand in the new file.
        def picture(path)
          @pictures[path] ||= begin
            bytes = document.source.read(path) or return
            @bytes_of["Pictures/#{@pictures.size + 1}#{File.extname(path).downcase}"] = bytes
            @bytes_of.keys.last
          end
        end

        {next_image: :image, next_table: :table, next_index: :index}.each do |name, kind|
          define_method(name) { @counts[kind] += 1 }
        end

        # The number of the next note of a kind.
        def next_note(kind)
          @counts[kind] += 1
        end

        # What the block makes of a note; nil for one that is being made already: one that names itself has no end.
        def within_note(story)
          return if (@making ||= []).any? { |one| one.equal?(story) }
          @making << story
          yield.tap { @making.pop }
        end

        # The number with which a sequence begins anew where it says this; nil where it counts on.
        def restart(name, said)
          number = said.to_s[/\A\d+\z/]&.to_i or return
          @sequences ||= Hash.new(0)
          counted, @sequences[name] = @sequences[name] + 1, number
          number unless number == counted
        end

        # The first paragraph of a section begins a page of its master.
        def start_page(node, paragraph, part)
          return unless part.equal?(@package.content) && paragraph.container.nil? && !Document::Story.id?(paragraph.id)
          return if @section == paragraph.section
          @section = paragraph.section
          master = @masters[@section] or return
          start = document.sections[@section - 1]&.number_start
          return if @section == 1 && start.nil? && master == Masters::USUAL
          restyle(node, part, master, start)
        end

        private

        def restyle(node, part, master, start)
          name = part.attr(node, "text:style-name")
          own = automatic(part).node(name, "paragraph")
          parent = own ? part.attr(own, "style:parent-style-name") : name
          made = automatic(part).paragraph(own, parent) do |style|
            part.set(style, "style:master-page-name", master)
            next unless start
            holder = part.child(style, "style:paragraph-properties") ||
              style.prepend_child(part.create("style:paragraph-properties"))
            part.set(holder, "style:page-number", start)
          end
          part.set(node, "text:style-name", made)
        end

        def styles
          part = @package.styles
          writer = StyleWriter.new(part, section("office:styles"), [], keys) { |style| definitions.of_style(style) }
          writer.write(blank.styles, document.styles)
          holder = part.children(section("office:styles"), "style:default-style").first or return
          properties = part.place(holder, "style:paragraph-properties")
          part.set(properties, "style:tab-stop-distance", Codecs::Measure.text(document.settings.default_tab_stop))
        end

        # Spaces of neighbours add up here, where the larger of them counted.
        def gaps
          return if document.settings.sum_spaces
          both = document.paragraphs.each_cons(2).count do |above, below|
            above.container == below.container && document.look(above)[:space_after].positive? &&
              document.look(below)[:space_before].positive?
          end
          return if both.zero?
          @report.approximate("spaces between paragraphs", "the sum of two, not the larger", count: both)
        end

        def information
          part = @package.meta
          Information.write(part, @package.section(part, "office:meta"), blank.info, document.info)
        end

        def packed
          parts = @package.parsed.select { |part| part.path.end_with?("content.xml", "styles.xml", "meta.xml") }
          types = @bytes_of.keys.to_h { |path| [path, PICTURES.fetch(File.extname(path), "")] }
          Archive.build({**parts.to_h { |part| [part.path, part.bytes] }, **@bytes_of,
            "META-INF/manifest.xml" => Blank.manifest(types)}, first: ["mimetype", TYPE])
        end

        # Pictures stand in the file itself.
        def flat
          part = @package.content
          part.root.xpath(".//*[local-name()='image']").each do |node|
            bytes = @bytes_of[part.attr(node, "xlink:href")] or next
            node.attribute_nodes.each(&:remove)
            node.add_child(part.create("office:binary-data")).content = [bytes].pack("m0")
          end
          part.bytes
        end
      end
    end
  end
end
