# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Brings the sections of the main part to what the model says (ISO/IEC 29500-1 17.6.17, 17.6.18): each stands in
      # the last paragraph of its stretch, the last one at the end of the body. A section that came keeps its element,
      # wherever that stands now; a new one begins as a copy of the one before it.
      class SectionWriter
        HEADS = Sections::HEADS.keys.freeze

        # nodes: the elements that came, in order; heads: {id of a head or foot => its relationship}
        def initialize(part, nodes, original, heads)
          @part = part
          @nodes = nodes
          @original = original
          @heads = heads
          @came = nodes.map(&:dup)
        end

        # elements: called with a paragraph, gives its element. Returns whether anything was changed.
        def write(document, elements)
          return false if document.sections == @original.sections
          made = document.sections.map { |section| made(section) }
          (@nodes - made).each { |node| take_out(node) }
          ends = last_paragraphs(document)
          made.each.with_index(1) { |node, number| place(node, ends[number], elements, number == made.size) }
          true
        end

        private

        def made(section)
          node = section.source && @nodes[section.source]
          was = @original.sections[section.source || @base || 0]
          node ||= section.source ? @part.place(body, "sectPr") : copied
          @base = section.source || @base
          Sections.write(node, @part, was, section)
          name_heads(node, section, section.source ? was.heads : {}) unless section.source && was.heads == section.heads
          node
        end

        # References to heads and feet: those that are others now, in the place of those that came.
        def name_heads(node, section, was)
          HEADS.each do |name|
            kind = Sections::HEADS.fetch(name)
            now, before = section.heads.fetch(kind, {}), was.fetch(kind, {})
            node.element_children.each do |child|
              which = (@part.attr(child, "type") || "default").to_sym if child.name == name
              child.remove if which && (before[which] || now.key?(which)) && now[which] != before[which]
            end
            now.each { |which, id| refer(node, name, which, @heads[id]) unless id.nil? || before[which] == id }
          end
        end

        def refer(node, name, which, relation)
          reference = @part.create(name, "type" => which)
          @part.insert(node, reference)
          reference.set_attribute("norvel", relation)
          attribute = reference.attribute("norvel")
          attribute.node_name = "id"
          attribute.namespace = relations_space
        end

        def relations_space
          uri = @part.strict? ? Names::STRICT_RELS : Names::OFFICE_RELS
          @relations_space ||= @part.root.namespace_scopes.find { |space| space.href == uri && space.prefix } ||
            @part.root.add_namespace_definition("r", uri)
        end

        # As the section before came, without naming its heads and feet: they are shown anyway.
        def copied
          copy = @came[@base || 0]&.dup or return @part.create("sectPr")
          copy.element_children.each { |child| child.remove if HEADS.include?(child.name) }
          copy
        end

        def last_paragraphs(document)
          document.paragraphs.select { |one| one.container.nil? }.group_by(&:section).transform_values(&:last)
        end

        def place(node, paragraph, elements, last)
          return if last && node.parent == body && node.next_element.nil?
          return body.add_child(take_out(node)) if last
          holder = @part.place(elements.call(paragraph), "pPr")
          return if node.parent == holder
          @part.insert(holder, take_out(node), "sectPr")
        end

        # The properties of a paragraph that held nothing else go with it.
        def take_out(node)
          holder = node.parent
          node.unlink
          holder.remove if holder && holder.name == "pPr" && holder.element_children.empty?
          node
        end

        def body
          @body ||= @part.child(@part.root, "body")
        end
      end
    end
  end
end
