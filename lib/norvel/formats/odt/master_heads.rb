# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Which heads and feet the pages of a section show, and which those of a master page do (ISO/IEC 26300-1 16.9,
      # 16.10): told as elements, compared by what stands in them.
      class MasterHeads
        KINDS = %i[header footer].freeze
        # In the order of the elements of a master page.
        ENDINGS = {default: "", even: "-left", first: "-first"}.freeze

        # The block makes the element of a head or foot that the file had not.
        def initialize(document, original, reader, &made)
          @document = document
          @original = original
          @reader = reader
          @masters = reader.masters
          @part = reader.masters.part
          @made = made
          @nodes = {}
        end

        # {header: {default: element or nil, …}, …} of a section as it is, by its number.
        def wanted(number)
          heads_of(@document, number)
        end

        # Does a section show others than when it came?
        def changed?(section, number)
          section.source.nil? || seen(heads_of(@original, section.source + 1)) != seen(wanted(number))
        end

        # Does a master show what a section is to show?
        def shown?(master, number)
          seen(@masters.heads(master, even: @document.settings.even_and_odd)) == seen(wanted(number))
        end

        # Gives a master these and no others.
        def put(master, heads)
          master.heads.each_value { |which| which.each_value(&:remove) }
          master.heads = {}
          KINDS.each { |kind| fill(master, kind, heads.fetch(kind)) }
        end

        # Gives a master of first pages what these show, and that of the others all but that.
        def part_first(opening, body, number)
          heads = wanted(number)
          put(opening, heads.transform_values { |which| {default: which[:first]} })
          put(body, heads.transform_values { |which| which.except(:first) })
        end

        private

        def heads_of(document, number)
          ways = [:default, (:even if document.settings.even_and_odd),
            (:first if document.sections[number - 1].title_page)].compact
          KINDS.to_h do |kind|
            [kind, ways.to_h { |which| [which, node(document.head(number, kind.to_s, which.to_s))] }]
          end
        end

        def node(story)
          story && (@nodes[story.id] ||= @reader.head_nodes[story.id] || @made.call(story))
        end

        # What a reader sees of them: blank ones are none.
        def seen(heads)
          heads.transform_values { |which| which.transform_values { |node| content(node) } }
        end

        def content(node)
          return if node.nil? || (node.content.strip.empty? && node.element_children.all? { |child| bare?(child) })
          node.inner_html
        end

        def bare?(paragraph)
          paragraph.name == "p" && paragraph.element_children.empty?
        end

        def fill(master, kind, which)
          return if which.values.none?
          which.each do |name, node|
            next if name != :default && content(node) == content(which[:default])
            made = @part.create("style:#{kind}#{ENDINGS.fetch(name)}")
            node ? node.children.each { |child| made.add_child(child.dup) } : made.add_child(@part.create("text:p"))
            master.node.add_child(made)
            (master.heads[kind] ||= {})[name] = made
          end
        end
      end
    end
  end
end
