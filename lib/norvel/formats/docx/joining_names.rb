# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # What ids and names of a text become in the file that takes it in: styles, lists, notes, places, objects and
      # relationships (ISO/IEC 29500-1 17.3 to 17.13; 29500-2 for parts).
      class JoiningNames
        STYLES = %w[pStyle rStyle tblStyle].freeze
        NOTES = {"footnoteReference" => "footnotes", "endnoteReference" => "endnotes",
                 "commentReference" => "comments", "commentRangeStart" => "comments",
                 "commentRangeEnd" => "comments"}.freeze
        IDS = %w[paraId textId].freeze # of later editions: no other paragraph may have them

        # The parts that were changed.
        attr_reader :parts

        def initialize(base, text, changes)
          @base, @text, @changes = base, text, changes
          @parts = []
          @their_places = places_of(text.package.main)
          @styles = JoiningStyles.new(base, text, part("styles", StyleWriter::EMPTY))
          @lists = @styles.lists
          @offsets = {}
          @copied = {}
          @used = []
          @added = @styles.add
          @added.each { |node| rename_lists(node, @text.package.related("styles")) }
        end

        # Renames in elements of a part of the text that come to stand in a part here.
        def rename(nodes, from, to)
          part = @text.package.part(from)
          nodes.each { |node| in_element(node, part, from, to) }
        end

        # The notes and comments that were met, and the lists that anything is in.
        def carry_notes
          Reader::NOTES.each_key { |kind| carry(kind) if @offsets.key?(kind) }
          return if @used.empty?
          JoiningLists.new(@base, @text, @styles.ids).add(@used, part("numbering", NumberingWriter::EMPTY))
        end

        # Takes out the notes and comments that these elements, which went, had marks of.
        def drop_notes(gone)
          main = @base.package.main
          gone.flat_map { |node| node.xpath("descendant-or-self::*").select { |one| NOTES.key?(one.name) } }
            .group_by { |mark| NOTES.fetch(mark.name) }.each do |kind, marks|
            ids = marks.map { |mark| main.attr(mark, "id") }
            here = @base.package.related(kind) && part(kind, nil) or next
            here.root.element_children.each { |note| note.remove if ids.include?(here.attr(note, "id")) }
          end
        end

        private

        def part(kind, empty)
          found = @base.package.related(kind) || (@new ||= {})[kind] ||= @changes.add(kind, empty).first
          @parts |= [found]
          found
        end

        def in_element(root, part, from, to)
          places(root, part)
          root.xpath("descendant-or-self::*").each do |node|
            if node.name == "docPr"
              node["id"] = (drawings + node["id"].to_i).to_s
            elsif part.ours?(node)
              style(node, part) if STYLES.include?(node.name)
              note(node, part) if NOTES.key?(node.name)
              node.content = said_here(node.content) if node.name == "instrText"
              attribute(node, part, "instr") if node.name == "fldSimple"
              attribute(node, part, "anchor") if node.name == "hyperlink"
              part.drop(node, "id") if node.name == "sdtPr"
              unsaid(node, part) if node.name == "p"
            end
            relations(node, from, to)
          end
          rename_lists(root, part)
        end

        def style(node, part)
          id = @styles.ids[part.attr(node, "val")]
          id ? part.set(node, "val", id) : node.remove
        end

        def unsaid(node, part)
          id = @styles.unsaid or return
          properties = part.place(node, "pPr")
          part.set(part.place(properties, "pStyle"), "val", id) unless part.child(properties, "pStyle")
        end

        # Lists of styles that both have are those here; the others are added with ids of their own.
        def rename_lists(root, part)
          root.xpath(".//*[local-name()='numPr']/*[local-name()='numId']").each do |node|
            id = part.attr(node, "val")
            next if id.nil? || id == "0"
            own = @lists[id] ||= begin
              @used << id
              (list_offset + id.to_i).to_s
            end
            part.set(node, "val", own)
          end
        end

        def list_offset
          @list_offset ||= JoiningLists.offset(@base)
        end

        def note(node, part)
          part.set(node, "id", (offset(NOTES.fetch(node.name)) + part.attr(node, "id").to_i).to_s)
        end

        # What the ids of the text's notes of a kind grow by.
        def offset(kind)
          @offsets[kind] ||= highest(@base.package.related(kind), "id") + 2
        end

        def highest(part, name)
          part ? part.root.element_children.filter_map { |node| part.attr(node, name)&.to_i }.max.to_i : 0
        end

        # --- places in the text ---

        def places(root, part)
          root.xpath("descendant-or-self::*[local-name()='bookmarkStart' or local-name()='bookmarkEnd']").each do |node|
            part.set(node, "id", (marks + part.attr(node, "id").to_i).to_s)
            name = part.attr(node, "name")
            part.set(node, "name", named(name)) if name
          end
        end

        # A name that was free stays.
        def named(name)
          names[name] ||= [name].chain((2..).lazy.map { |n| "#{name[0, 36]}_#{n}" })
            .find { |one| !taken_names.include?(one) }.tap { |one| taken_names << one }
        end

        # {name of a place of the text => that here}, of all its parts: a reference may stand before its place.
        def names
          @names ||= {}
        end

        def taken_names
          @taken_names ||= places_of(@base.package.main)
        end

        def places_of(part)
          part.root.xpath(".//*[local-name()='bookmarkStart']").to_set { |node| part.attr(node, "name") }
        end

        def marks
          @marks ||= @base.package.main.root.xpath(".//*[local-name()='bookmarkStart']")
            .map { |node| @base.package.main.attr(node, "id").to_i }.max.to_i + 1
        end

        def drawings
          @drawings ||= @base.package.main.root.xpath(".//*[local-name()='docPr']/@id")
            .map { |id| id.value.to_i }.max.to_i
        end

        # Words of an instruction or address with the names that places have here.
        def said_here(words)
          words.gsub(/[\p{L}_][\p{L}\p{N}_]*/) { |word| renamed?(word) ? named(word) : word }
        end

        def attribute(node, part, name)
          value = part.attr(node, name)
          part.set(node, name, said_here(value)) if value
        end

        def renamed?(name)
          @their_places.include?(name) && (names.key?(name) || taken_names.include?(name))
        end

        # --- parts ---

        def relations(node, from, to)
          node.attribute_nodes.each do |attribute|
            attribute.remove if IDS.include?(attribute.node_name)
            next unless Names::RELATIONS.include?(attribute.namespace&.href)
            attribute.value = related(from, to, attribute.value) || attribute.value
          end
        end

        # The relationship here of one that a part of the text has.
        def related(from, to, id)
          relation = @text.package.relationship(from, id) or return
          outside = relation.external || !@text.package.container.include?(relation.target)
          target = outside ? relation.target : "/#{copied_part(relation.target)}"
          @copied[[from, to, id]] ||= @changes.relate(to, target, relation.type, external: outside)
        end

        # The path here of a part that came along, with what it names in turn.
        def copied_part(path)
          (@paths ||= {})[path] ||= @changes.free_path(path).tap do |fresh|
            @paths[path] = fresh
            @changes.changed[fresh] = @text.package.container.read(path)
            @changes.typed(fresh, @text.package.content_type(path) || "application/octet-stream")
            bytes = @text.package.container.read(@text.package.rels_path(path)) or next
            @changes.changed[@base.package.rels_path(fresh)] = with_targets(bytes, path)
          end
        end

        def with_targets(bytes, path)
          xml = XML.parse(bytes, path)
          @text.package.relationships(path).zip(xml.root.element_children) do |relation, element|
            next if relation.external || !@text.package.container.include?(relation.target)
            element["Target"] = "/#{copied_part(relation.target)}"
          end
          XML.bytes(xml)
        end

        # --- notes ---

        # All notes of a kind; the lines that part them from the text come along where there was none.
        def carry(kind)
          from = @text.package.related(kind) or return
          fresh = @base.package.related(kind).nil?
          here = part(kind, Names.empty(kind))
          from.root.element_children.each do |node|
            parting = from.attr(node, "type")
            next if parting && !fresh
            copy = here.root.add_child(node.dup)
            here.set(copy, "id", (offset(kind) + here.attr(copy, "id").to_i).to_s) unless parting
            in_element(copy, here, from.path, here.path)
          end
        end
      end
    end
  end
end
