# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The pages of an OpenDocument text that is taken in by another (ISO/IEC 26300-1 16.9, 19.501): they are those of
      # the place where it goes. Those that lie across keep their sheets, with the heads and feet of the place.
      class JoiningPages
        # section: the number of the section of the base in which the text goes
        def initialize(base, text, section)
          @base, @text = base, text
          @masters, @theirs = base.masters, text.masters
          _, @name, @number = base.text.page_starts.reverse.find { |number, _| number <= section }
          @across = {}
        end

        # The name of the master page of the place.
        def name
          own&.name.to_s
        end

        # Do the last sheets of the text lie otherwise than those of the place?
        def ends_across?
          across?(@text.text.page_starts.last&.[](1) || @theirs.first&.name)
        end

        # Gives a style of the text that begins pages those of this place.
        def settle(style)
          name = attr(style, "style:master-page-name")
          return if name.to_s.empty? || style.equal?(@first)
          set(style, "style:master-page-name", here(name))
          count_on(style)
        end

        # The style of the first paragraph. begins: did the place begin pages of its own?
        def begin_with(style, begins)
          @first = style
          name = attr(style, "style:master-page-name") || @theirs.first&.name
          across = across?(name)
          across ? set(style, "style:master-page-name", here(name)) : unset_master(style)
          count_on(style)
          return unless begins
          set(style, "style:master-page-name", @name) if @name && !across
          return unless @number
          set(@text.package.content.place(style, "style:paragraph-properties"), "style:page-number", @number.to_s)
        end

        private

        def attr(node, name)
          @text.package.content.attr(node, name)
        end

        def set(node, name, value)
          @text.package.content.set(node, name, value)
        end

        def unset_master(style)
          @text.package.content.unset(style, "style:master-page-name")
        end

        # Pages are counted on from those before.
        def count_on(style)
          properties = @text.package.content.child(style, "style:paragraph-properties")
          @text.package.content.unset(properties, "style:page-number") if properties
        end

        def own
          @masters[@name] || @masters.first
        end

        def here(name)
          across?(name) ? (@across[name] ||= brought(@theirs[name])) : self.name
        end

        def across?(name)
          master = @theirs[name]
          !master.nil? && own && landscape?(@theirs, master) != landscape?(@masters, own)
        end

        def landscape?(masters, master)
          properties = masters.properties(masters.following(master).layout) or return false
          width, height = %w[fo:page-width fo:page-height].map do |name|
            Length.from_file(masters.part.attr(properties, name).to_s, "pt") || 0
          end
          width > height
        end

        # A master page like that of the text, with heads and feet of the place. Returns its name.
        def brought(master)
          part = @masters.part
          layout = @theirs.following(master).layout.dup
          name = free(master.name)
          @theirs.part.set(layout, "style:name", "#{name}layout")
          part.child(part.root, "office:automatic-styles").add_child(layout)
          made = own.node.dup
          part.set(made, "style:name", name)
          part.unset(made, "style:display-name", "style:next-style-name")
          part.set(made, "style:page-layout-name", "#{name}layout")
          own.node.add_next_sibling(made)
          name
        end

        def free(name)
          [name].chain((1..).lazy.map { |number| "#{name}j#{number}" }).find { |one| @masters[one].nil? }
        end
      end
    end
  end
end
