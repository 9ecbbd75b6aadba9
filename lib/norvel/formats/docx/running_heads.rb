# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Running heads and feet: each part once, under the first section that shows it, and which of them each section
      # names itself (ISO/IEC 29500-1 17.10). A section that names none shows those of the section before.
      class RunningHeads
        attr_reader :stories

        # section_nodes: the sectPr elements in order. The block reads a part: (part, kind:, id:, section:, which:) to a
        # Story.
        def initialize(package, section_nodes, &read)
          @package = package
          @read = read
          @known = {}
          @stories = []
          @own = section_nodes.each.with_index(1).map { |node, section| own(node, section) }
        end

        # {header: {default: id}, footer: {…}} of a section, counted from 0.
        def of(section)
          @own[section] || {}.freeze
        end

        private

        def own(node, section)
          node.element_children.each_with_object({}) do |reference, heads|
            kind = Sections::HEADS[reference.name] or next
            which = @package.main.attr(reference, "type") || "default"
            id = story(reference, kind.to_s, section, which) and (heads[kind] ||= {})[which.to_sym] = id
          end.each_value(&:freeze).freeze
        end

        # The story's id, which is its part; nil where the part is missing.
        def story(reference, kind, section, which)
          id = reference.attribute_nodes.find { |attribute| attribute.node_name == "id" }&.value
          target = @package.relationship(@package.main_path, id)&.target
          return if target.nil? || !@package.container.include?(target)
          @known[target] ||= target.tap do
            @stories << @read.call(@package.part(target), kind:, id: target, section:, which:)
          end
        end
      end
    end
  end
end
