# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # An OpenDocument text to a Document. Raises UnreadableFile.
      class Reader
        # stories: [[the part of each, its TextReader], …], for a writer; element_of: {story id => its element}
        attr_reader :package, :text, :styles, :lists, :masters, :formatting, :story_texts, :worn

        # +keep_nodes+: remember elements, for a writer.
        def initialize(package, name:, keep_nodes: false)
          @package = package
          @name = name
          @keep = keep_nodes
          @formatting = Formatting.new
          @stories = []
          @story_texts = []
          @notes = Hash.new(0)
          @comments = {}
          @words = {}
          @list_of = {}
        end

        # The Document of the package.
        def document
          @document ||= begin
            read_styles
            read_text
            sections = sections()
            Document.new(
              format: package.flat? ? "fodt" : "odt", name: @name, conventions: CONVENTIONS,
              paragraphs: text.paragraphs.freeze, tables: text.tables.freeze, stories: @stories.freeze,
              sections: sections.freeze,
              page_styles: masters.page_styles.freeze, styles: styles.style_sheet, numbering: lists.numbering,
              info: Information.read(package.meta), settings:, source: package.container, unseen: 0
            )
          end
        rescue SystemStackError
          raise UnreadableFile, "The document is nested deeper than any text needs to be."
        end

        # --- what the stories ask ---

        # Where what hangs at an anchor stands: Anchors.
        def anchors
          @anchors ||= Anchors.new(package)
        end

        # Which automatic pool a part has.
        def pool(part)
          part.equal?(package.content) ? "content" : "styles"
        end

        # What a style of words sets, with its bases.
        def words_of(style_id)
          @words[style_id] ||= begin
            style = style_id && styles.style_sheet[style_id]
            chain = style ? styles.style_sheet.chain(style) : []
            formatting.share(chain.inject({}) { |set, one| set.merge(one.run.values) })
          end
        end

        # The place in lists that a paragraph style gives: {} for none.
        def list_of(style_id)
          @list_of[style_id] ||= begin
            chain = styles.style_sheet.chain(styles.style_sheet.resolve(style_id))
            found = chain.reverse.find { |style| style.paragraph.key?(:list_id) }&.paragraph
            (found.nil? || found[:list_id].zero?) ? {} : found.slice(:list_id, :list_level).values
          end
        end

        # The id of the note that an element holds, which becomes a Story.
        def note(node, from)
          kind = (from.part.attr(node, "text:note-class") == "endnote") ? "endnote" : "footnote"
          id = (@notes[kind] += 1).to_s
          body = from.part.child(node, "text:note-body")
          story(from.part, body, kind:, id:) if body
          Document::NoteMark.new(of: kind, note: id)
        end

        # The id of the comment that an element holds, which becomes a Story.
        def comment(node, from)
          name = from.part.attr(node, "office:name")
          id = name ? comment_id(name) : (@notes["comment"] += 1).to_s
          story(from.part, node, kind: "comment", id:, author: from.part.child(node, "dc:creator")&.content)
          id
        end

        # {id of a head or foot => its element}
        def head_nodes
          @head_nodes ||= {}
        end

        # The id of the comment of this name.
        def comment_id(name)
          @comments[name] ||= (@notes["comment"] += 1).to_s
        end

        # Where the bytes of an image are, nil for outside.
        def picture(node, part)
          return picture_within(node, part) if package.flat?
          path = part.attr(node, "xlink:href").to_s.delete_prefix("./")
          path if !path.empty? && package.container.include?(path)
        end

        # The bytes of an image in the package, nil where they can't be read.
        def bytes(path)
          package.container.read(path)
        rescue UnreadableFile
          nil
        end

        # The source of the formula in a frame, nil for none: it stands there itself, or in a part of its own (ISO/IEC
        # 26300-1 10.4.6).
        def formula(frame, part)
          object = part.child(frame, "draw:object") or return
          math = object.element_children.find { |child| child.name == "math" } || formula_apart(object, part) or return
          Mathml::Node.of(math).source
        end

        private

        MOST_OF_FORMULA = 500_000 # bytes

        def formula_apart(object, part)
          path = "#{part.attr(object, "xlink:href").to_s.delete_prefix("./")}/content.xml"
          return unless package.container.include?(path)
          bytes = package.container.read(path)
          return if bytes.bytesize > MOST_OF_FORMULA || !bytes.include?("math")
          root = XML.parse(bytes, path).root
          root if root.name == "math"
        rescue UnreadableFile
          nil
        end

        def picture_within(node, part)
          data = part.child(node, "office:binary-data")
          data && package.container.path_of(data.content)
        end

        def read_styles
          part = package.styles
          pools = {"common" => [part, part&.child(part.root, "office:styles")],
                   "content" => [package.content, automatic(package.content)], "styles" => [part, automatic(part)]}
          @lists = ListReader.new(pools.select { |_, (_, holder)| holder }, formatting)
          @styles = StyleReader.new(part, formatting, lists)
          @masters = Masters.new(part)
          @worn = Hash.new { |known, one| known[one] = AutomaticStyles.new(one, styles) }.compare_by_identity
        end

        def automatic(part)
          part&.child(part.root, "office:automatic-styles")
        end

        def read_text
          @text = TextReader.new(package.content, @worn[package.content], self, keep_nodes: @keep).read(package.text)
        end

        # The first page has the master that its paragraph says, else the usual one.
        def sections
          starts = text.page_starts.to_h { |number, *start| [number, start] }
          (1..(starts.keys.max || 1)).map do |number|
            name, start = starts[number]
            master = masters[name] || masters.first
            masters.section(master, source: number - 1, start:, heads: heads(master, number)).with(notes: note_numbers)
          end
        end

        # How notes are numbered: {footnote: {format:, restart:}, …} of what is said (26300-1 16.29.3). What counting
        # begins with is told in two ways by writers, so it is not read.
        def note_numbers
          @note_numbers ||= begin
            part = package.styles
            said = part ? part.children(part.child(part.root, "office:styles"), "text:notes-configuration") : []
            said.to_h { |node|
              restart = part.attr(node, "text:start-numbering-at")
              told = {format: ListReader::FORMATS[part.attr(node, "style:num-format")],
                      restart: ("eachPage" if restart == "page")}.compact
              [(part.attr(node, "text:note-class") || "footnote").to_sym, told.freeze]
            }.reject { |_, told| told.empty? }.freeze
          end
        end

        # {header: {default: id}, …} of a section; each head and foot is read once, under the first section that has it.
        def heads(master, number)
          return {} unless master
          masters.heads(master, even: settings.even_and_odd).to_h do |kind, which|
            [kind, which.to_h { |name, node| [name, node && head(node, kind.to_s, name.to_s, number)] }.freeze]
          end.freeze
        end

        def head(node, kind, which, section)
          (@heads ||= {})[node.pointer_id] ||= begin
            id = "#{masters.part.attr(node.parent, "style:name")} #{node.name}"
            story(masters.part, node, kind:, id:, section:, which:)
            head_nodes[id] = node
            id
          end
        end

        def story(part, node, **told)
          number = @story_texts.size
          @story_texts << nil
          @stories << nil
          reader = TextReader.new(part, @worn[part], self, keep_nodes: @keep).read(node)
          @story_texts[number] = [part, reader]
          paragraphs = Document::Story.apart(reader.paragraphs, number + 1)
          @stories[number] = Document::Story.new(**told, paragraphs:, tables: reader.tables.freeze)
        end

        def settings
          @settings ||= Document::Settings.new(
            mirrored: masters.all.values.any? { |master| masters.section(master).mirrored },
            even_and_odd: masters.even?, sum_spaces: true,
            default_tab_stop: styles.tab_distance || Document::Settings.new.default_tab_stop,
            embedded_fonts: FontFaces.embedded([package.content, package.styles].compact)
          )
        end
      end
    end
  end
end
