# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # One .docx with the text of another in it. The package of the first stays as it is; body, notes, images, lists
      # and styles of the other are taken in as their elements are, with ids and names that nothing had before. A style
      # of the same name is the same style: that of the first.
      class Joining
        # base, text: Documents as they were read from their files
        # from: the place in base.paragraphs of the first paragraph whose place the text takes, nil for none: at the end
        # till: the place of the first paragraph that stays after it, nil where all goes
        # apart: does the text begin on a new page?
        # Raises Refused.
        def initialize(base, text, from: nil, till: nil, apart: false)
          @base, @text = of_one_kind([base, text].map { |one| reader(one.source, one.name) })
          @apart = apart
          @place = JoiningPlace.new(@base, from:, till:)
          @changes = PackageChanges.new(@base.package)
        end

        # The bytes of the file that holds both.
        def bytes
          names = renaming
          moved = taken_in
          names.rename(moved, @text.package.main_path, @base.package.main_path)
          begin_apart(moved) if @apart
          @place.put(moved)
          declare(main, @text.package.main)
          names.carry_notes
          names.drop_notes(@place.gone)
          (names.parts + [main]).uniq.each { |part| @changes.changed[part.path] = part.bytes }
          Archive.write(@base.package.container, @changes.changed)
        end

        private

        def reader(source, name)
          Reader.new(source, name:, keep_nodes: true).tap(&:document)
        end

        # Where one is of the standard's strict kind and the other is not, both as the other is.
        def of_one_kind(readers)
          return readers if readers.map { |one| one.package.main.strict? }.uniq.size == 1
          readers.map do |one|
            one.package.main.strict? ? reader(Transitional.of(one.package.container), one.document.name) : one
          end
        end

        def main
          @base.package.main
        end

        def renaming
          JoiningNames.new(@base, @text, @changes)
        end

        # What stands in the body of the other; the set-up of its last section is that of the place.
        def taken_in
          part = @text.package.main
          nodes = part.child(part.root, "body").element_children.to_a
          last = nodes.pop if nodes.last&.name == "sectPr"
          @place.set_up(nodes, part, last)
          nodes
        end

        def begin_apart(nodes)
          first = nodes.find { |node| node.name == "p" } or return
          part = @text.package.main
          part.place(part.place(first, "pPr"), "pageBreakBefore")
        end

        # Prefixes that the other's root binds are bound here too, since some stand in values (mc:Ignorable, Requires).
        def declare(part, other)
          ours = part.root.namespaces
          other.root.namespace_definitions.each do |space|
            next if space.prefix.nil? || ours.key?("xmlns:#{space.prefix}")
            part.root.add_namespace_definition(space.prefix, space.href)
          end
          ignored = [part, other].flat_map { |one| one.root.attribute("Ignorable")&.value.to_s.split }.uniq
          return if ignored.empty?
          part.root.add_namespace_definition("mc", Names::COMPATIBILITY) unless part.root.namespaces.key?("xmlns:mc")
          part.root["mc:Ignorable"] = ignored.join(" ")
        end
      end
    end
  end
end
