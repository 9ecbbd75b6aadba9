# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Heads and feet that the file had not: a part each (ISO/IEC 29500-1 17.10); those that no section names any more
      # go with their parts.
      class HeadsWriter
        ROOTS = {"header" => "hdr", "footer" => "ftr"}.freeze

        # changes: PackageChanges
        def initialize(document, original, package, changes)
          @document = document
          @original = original
          @package = package
          @changes = changes
        end

        # Returns {id of a head or foot => id of its relationship}.
        def write
          came = heads(@original)
          now = heads(@document)
          (came - now).each { |id| @changes.withdraw(id) }
          known = @package.relationships(@package.main_path).to_h { |one| [one.target, one.id] }
          now.to_h { |id| [id, came.include?(id) ? known[id] : add(id)] }
        end

        private

        def heads(document)
          document.stories.select(&:head?).map(&:id)
        end

        def add(id)
          story = @document.stories.find { |one| one.head? && one.id == id }
          part, relation = @changes.add(story.kind, Blank.part(ROOTS.fetch(story.kind)))
          nodes = TextReader::Nodes.new([], [], {nil => part.root})
          TextWriter.new(part, nodes, story.with(paragraphs: [].freeze)).write(story)
          @changes.changed[part.path] = part.bytes
          relation
        end
      end
    end
  end
end
