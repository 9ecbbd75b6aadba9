# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A document that comes from another format as a new package, whole and by itself. The document is in the terms of
      # WordprocessingML already (Translation).
      class Builder
        NOTES = {"footnote" => "footnotes", "endnote" => "endnotes"}.freeze
        MARKS = {"footnote" => "Footnote Reference", "endnote" => "Endnote Reference"}.freeze
        PICTURES = {".png" => "image/png", ".jpg" => "image/jpeg", ".jpeg" => "image/jpeg", ".gif" => "image/gif",
                    ".bmp" => "image/bmp", ".tif" => "image/tiff", ".tiff" => "image/tiff", ".svg" => "image/svg+xml",
                    ".emf" => "image/x-emf", ".wmf" => "image/x-wmf"}.freeze
        LONGEST_NAME = 40 # characters of a bookmark's (17.13.6.2)
        SETTINGS = %(<w:compat><w:compatSetting w:name="compatibilityMode" ) +
          %(w:uri="http://schemas.microsoft.com/office/word" w:val="15"/></w:compat>)

        attr_reader :document, :report

        def initialize(document, report)
          @document = document
          @report = report
          @parts = {}
          @relations = Hash.new { |all, source| all[source] = [] }
          @files = {}
          @types = {}
          @notes = {}
          @bookmarks = {}
          @counts = Hash.new(0)
        end

        # The bytes of the new package.
        def bytes
          @main = part("document", Blank.main)
          heads
          body = @main.child(@main.root, "body")
          BodyBuilder.new(self, @main).fill(body, document.blocks)
          body.add_child(section(document.sections.last))
          comments
          styles
          numbering
          settings
          packed
        end

        # --- what its parts ask ---

        # The number of a paragraph of the text, nil for others.
        def place(paragraph)
          document.position(paragraph.id) + 1 unless Document::Story.id?(paragraph.id)
        end

        # The blocks of a cell or box.
        def blocks_in(container)
          @blocks ||= Document::Blocks.new(document.paragraphs, document.tables)
          @blocks.in(container)
        end

        # The id of a new relationship of a part.
        def relationship(part, kind, target, external: false)
          known = @relations[part.path]
          found = known.find { |one| one[1..] == [kind, target, external] } and return found.first
          id = "rId#{known.size + 1}"
          known << [id, kind, target, external]
          id
        end

        # The relationship of a part to an image, nil where its bytes are missing.
        def picture(part, path)
          target = (@pictures ||= {})[path] ||= begin
            bytes = document.source.read(path) or return
            ending = File.extname(path).downcase
            made = "media/image#{@pictures.size + 1}#{ending.empty? ? kind(bytes) : ending}"
            @files["word/#{made}"] = bytes
            made
          end
          relationship(part, "image", target)
        end

        # A number for one more drawing.
        def next_drawing
          @counts[:drawing] += 1
        end

        # [id, name] of a bookmark; both its edges have one.
        def bookmark(object)
          @bookmarks[object.id] ||= begin
            name = (object.name || object.id).gsub(/[^\p{L}\p{N}_]/, "_")
            if name.size > LONGEST_NAME
              @report.approximate("long names of bookmarks", "shortened")
              name = "#{name[0, LONGEST_NAME - 6]}_#{@bookmarks.size}"
            end
            [@bookmarks.size, name]
          end
        end

        # The id of a note, whose part is written.
        def note(mark)
          return unless mark.note
          @notes[[mark.of, mark.note]] ||= begin
            story = document.note(mark) or return
            add_note(mark.of, story)
          end
        end

        # The id of the character style of a note's mark, nil for none.
        def mark_style(of)
          document.styles.named(MARKS.fetch(of), "character")&.id
        end

        # The last paragraph of a section says so.
        def end_section(node, paragraph, part)
          return unless part.equal?(@main) && paragraph.container.nil? && paragraph.equal?(last_of[paragraph.section])
          return if paragraph.section >= document.sections.size
          part.insert(part.place(node, "pPr"), section(document.sections[paragraph.section - 1]))
        end

        private

        def last_of
          @last_of ||= document.paragraphs.select { |one| one.container.nil? }.group_by(&:section)
            .transform_values(&:last)
        end

        def section(section)
          SectionBuilder.new(@main, ->(kind, id) { id ? @heads[id] : blank_head(kind.to_s) }).build(section)
        end

        def part(name, bytes, type: name, relation: nil)
          made = XmlPart.new("word/#{name}.xml", bytes)
          @parts[name] = made
          @types["/word/#{name}.xml"] = "#{Names::TYPE}#{(type == "document") ? "document.main" : type}+xml"
          @relation = relation && relationship(@main, relation, "#{name}.xml")
          made
        end

        # Each head and foot is a part.
        def heads
          @heads = document.stories.select(&:head?).each.with_index(1).to_h do |story, number|
            empty = Blank.part((story.kind == "header") ? "hdr" : "ftr")
            made = part("#{story.kind}#{number}", empty, type: story.kind, relation: story.kind)
            relation = @relation
            BodyBuilder.new(self, made).fill(made.root, story.blocks)
            [story.id, relation]
          end
        end

        # A section that shows none says so by a blank one, where it would show that of a section before.
        def blank_head(kind)
          return if document.stories.none? { |story| story.kind == kind }
          (@blank_heads ||= {})[kind] ||= begin
            made = part("#{kind}0", Blank.part((kind == "header") ? "hdr" : "ftr"), type: kind, relation: kind)
            made.root.add_child(made.create("p"))
            @relation
          end
        end

        def add_note(kind, story)
          name = NOTES.fetch(kind)
          holder = @parts[name] || part(name, Blank.notes(name, kind), relation: name)
          id = @counts[kind] += 1
          node = holder.create(kind, "id" => id)
          holder.root.add_child(node)
          BodyBuilder.new(self, holder).fill(node, story.blocks)
          first = holder.child(node, "p")
          before = holder.child(first, "pPr")
          run = holder.create("r")
          before ? before.add_next_sibling(run) : first.prepend_child(run)
          marked(holder, run, kind)
          id
        end

        # A note begins with its own mark.
        def marked(holder, run, kind)
          style = mark_style(kind)
          properties = holder.place(run, "rPr")
          style ? holder.set(holder.place(properties, "rStyle"), "val", style) :
            holder.set(holder.place(properties, "vertAlign"), "val", "superscript")
          run.add_child(holder.create("#{kind}Ref"))
          text = holder.create("t")
          text["xml:space"] = "preserve"
          text.content = " "
          run.add_next_sibling(holder.create("r")).add_child(text)
        end

        def comments
          stories = document.stories.select { |story| story.kind == "comment" }
          return if stories.empty?
          holder = part("comments", Blank.part("comments"), relation: "comments")
          stories.each do |story|
            node = holder.create("comment", "id" => story.id, "author" => story.author.to_s)
            holder.root.add_child(node)
            BodyBuilder.new(self, holder).fill(node, story.blocks)
          end
        end

        def styles
          holder = part("styles", StyleWriter::EMPTY, relation: "styles")
          StyleWriter.new(holder, []).write(Styles::StyleSheet.new, document.styles)
        end

        def numbering
          definitions, lists = NumberingWriter.changes(document, Document::Numbering.new)
          return if lists.empty?
          holder = part("numbering", NumberingWriter::EMPTY, relation: "numbering")
          NumberingWriter.new(holder).write(definitions, lists, Document::Numbering.new)
        end

        def settings
          empty = SettingsPart::EMPTY.sub("/>", ">#{SETTINGS}</w:settings>")
          holder = part("settings", empty, relation: "settings")
          SettingsPart.write(holder, Document::Settings.new, document.settings)
          if document.settings.sum_spaces
            compat = holder.child(holder.root, "compat")
            compat.prepend_child(holder.create(SettingsPart::SUMMED))
          end
          PageStyles.write(holder, document.page_styles) if document.page_styles.any?
        end

        # --- the package ---

        def packed
          core = Information.write(nil, Information::FIELDS.transform_values { nil }, document.info)
          entries = {"[Content_Types].xml" => content_types, "_rels/.rels" => package_rels, "docProps/core.xml" => core,
                     **@parts.values.to_h { |one| [one.path, one.bytes] }, **relations, **@files}
          Archive.build(entries)
        end

        def content_types
          defaults = {"rels" => "application/vnd.openxmlformats-package.relationships+xml", "xml" => "application/xml",
                      **@files.keys.to_h { |path|
                        ending = File.extname(path)
                        [ending.delete("."), PICTURES.fetch(ending, "application/octet-stream")]
                      }}
          overrides = @types.merge("/docProps/core.xml" => Names::CORE_TYPE)
          %(#{Names::HEAD}<Types xmlns="#{Names::CONTENT_TYPES}">) +
            defaults.map { |ending, type| %(<Default Extension="#{ending}" ContentType="#{type}"/>) }.join +
            overrides.map { |path, type| %(<Override PartName="#{path}" ContentType="#{type}"/>) }.join + "</Types>"
        end

        def package_rels
          rels([["rId1", "#{Names::OFFICE_RELS}/officeDocument", "word/document.xml", false],
            ["rId2", Names::CORE_REL, "docProps/core.xml", false]])
        end

        def relations
          @relations.to_h do |path, list|
            folder, name = File.split(path)
            ["#{folder}/_rels/#{name}.rels",
              rels(list.map { |id, kind, target, external| [id, "#{Names::OFFICE_RELS}/#{kind}", target, external] })]
          end
        end

        def rels(list)
          inside = list.map do |id, type, target, external|
            mode = ' TargetMode="External"' if external
            %(<Relationship Id="#{id}" Type="#{type}" Target="#{target.encode(xml: :attr)[1..-2]}"#{mode}/>)
          end
          %(#{Names::HEAD}<Relationships xmlns="#{Names::PACKAGE_RELS}">#{inside.join}</Relationships>)
        end

        # The ending of an image without one, by its first bytes.
        def kind(bytes)
          return ".png" if bytes.start_with?("\x89PNG".b)
          bytes.start_with?("\xFF\xD8".b) ? ".jpg" : ".bin"
        end
      end
    end
  end
end
