# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The same for this format, whose changes begin and end anywhere and are told in a list of their own.
      module Tracked
        module_function

        # As Docx::Tracked.words.
        def words(document)
          reader = Reader.new(Package.new(document.source), name: document.name, keep_nodes: true)
          came = reader.document.paragraphs
          inserted = insertions(reader.package.content)
          open = []
          [reader.text.nodes.paragraphs.map { |node| words_of(node, inserted, open) }, came]
        end

        # {id of a change => true} of those that are insertions.
        def insertions(part)
          part.root.xpath(".//*[local-name()='changed-region'][*[local-name()='insertion']]").to_h do |region|
            [region.attribute_nodes.find { |one| one.node_name == "id" }&.value, true]
          end
        end

        def words_of(node, inserted, open)
          node.xpath(".//text() | .//*[starts-with(local-name(), 'change-')]").filter_map do |one|
            next [one.content, open.any?] if one.text? && !one.content.strip.empty?
            id = one.attribute_nodes.find { |other| other.node_name == "change-id" }&.value unless one.text?
            next unless inserted[id]
            (one.name == "change-start") ? open << id : open.delete(id)
            nil
          end
        end
        private_class_method :insertions, :words_of
      end
    end
  end
end
