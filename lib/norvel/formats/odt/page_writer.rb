# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Master pages and their layouts to what the model says (ISO/IEC 26300-1 16.5, 16.9). A section that looks like a
      # named page style wears it; a set-up that only some pages of a master have is another master.
      class PageWriter
        VALUES = Document::SetUp::FIELDS

        # made: the elements of new paragraphs by their ids; heads: MasterHeads
        def initialize(document, original, reader, automatic, made, heads)
          @document = document
          @original = original
          @reader = reader
          @masters = reader.masters
          @part = reader.masters.part
          @heads = heads
          @touched = []
          @layouts = PageLayouts.new(reader)
          @starts = PageStarts.new(document, original, reader, automatic, made)
          @worn = @original.sections.map { |section| master_of(section.source + 1) }
        end

        # Returns the parts that were changed.
        def write
          @starts.move
          change unless unchanged?
          (@touched + @starts.touched).uniq
        end

        private

        def change
          found if @masters.all.empty?
          styles
          sections
        end

        def unchanged?
          @part.nil? || (@document.page_styles == @original.page_styles && @document.sections == @original.sections)
        end

        # A file without master pages gets one that says what its pages are taken for.
        def found
          holder = @reader.package.section(@part, "office:master-styles")
          node = holder.add_child(@part.create("style:master-page", "style:name" => Masters::USUAL))
          made = Masters::Master.new(Masters::USUAL, Masters::USUAL, nil, node, nil, {})
          made.layout = @layouts.own(made, nil)
          @masters.all[made.name] = made
          set_up(made, @masters.section(nil).to_h, @masters.section(made).to_h)
          @worn = @worn.map { made }
        end

        # The master that a section came with.
        def master_of(number)
          name = start_of(number)&.[](1)
          @masters[name] || @masters.first
        end

        def start_of(number)
          @reader.text.page_starts.reverse.find { |section, _| section == number }
        end

        # --- page styles ---

        def styles
          came = @original.page_styles.to_h { |style| [style.name, style] }
          @document.page_styles.each do |style|
            was = came[style.name]
            next if was == style
            master = shown(style.name) || make(style.name, @worn.compact.first)
            set_up(master, style.to_h, (was || @masters.section(master)).to_h)
          end
          gone = came.keys - @document.page_styles.map(&:name)
          gone.each { |name| remove(shown(name)) }
        end

        def shown(name)
          @masters.all.values.find { |master| master.shown == name }
        end

        # A master that no page wears any more.
        def remove(master)
          return if master.nil? || @worn.include?(master) || @masters.first == master
          master.node.remove
          @masters.all.delete(master.name)
          touch
        end

        # --- sections ---

        # Labels, and how a section begins, are a master's too; only the number of its first page is the paragraph's.
        LABELS = %i[number_format title_page starts mirrored].freeze
        WORN = (VALUES + LABELS).freeze

        def sections
          changed = numbered.select { |section, number|
            section.source && (differs?(came(section), section) || @heads.changed?(section, number))
          }
          changed.group_by { |section, _| @worn[section.source] }.each do |master, alike|
            next unless master
            alike.group_by { |section, number| [section.to_h.slice(*WORN), @heads.wanted(number)] }
              .each { |(values, _), list| wear(master, values, list) }
          end
          numbered.each { |section, number| begin_new(section, number) unless section.source }
        end

        # [[section, its number], …]
        def numbered
          @document.sections.each.with_index(1).to_a
        end

        def came(section)
          @original.sections[section.source || 0]
        end

        def differs?(was, now)
          WORN.any? { |name| was[name] != now[name] } || was.number_start != now.number_start
        end

        # Sections of a master that are set up so from now on.
        def wear(master, values, list)
          return list.each { |section, number| number_anew(master, section, number) } if list.all? { |one, number|
            fits?(master, one, number)
          }
          return change_in_place(master, values, list) if begins_with_table?(list)
          other = fitting(*list.first)
          everywhere = @worn.count(master) == list.size && @document.sections.all?(&:source) &&
            !handed_over?(master) && !opening?(list.first.first)
          other ||= made_like(master, values, list.first.last) unless everywhere
          dress(master, values, list.first.last, master) unless other
          list.each { |section, number| number_anew(other || master, section, number, always: !other.nil?) }
        end

        # Do its later pages have another master?
        def handed_over?(master)
          @masters.following(master) != master
        end

        def made_like(master, values, number)
          made = make(free_name(master.shown), master)
          dress(made, values, number, master)
          opening?(values) ? opening(made, values, number) : made
        end

        # Does such a section begin on a page of one side?
        def opening?(values)
          PageLayouts::USAGES.key?(values[:starts])
        end

        # The master of a first page that stands on one side; the pages after it have another, on both.
        def opening(body, values, number)
          usage = PageLayouts::USAGES.fetch(values[:starts])
          name = "#{body.shown}, #{usage}"
          made = make(shown(name) ? free_name(name) : name, body)
          @heads.part_first(made, body, number) if values[:title_page]
          @part.set(made.layout, "style:page-usage", usage)
          @part.set(made.node, "style:next-style-name", body.name)
          made.next_name = body.name
          made
        end

        # Gives a master a set-up, and the heads and feet that a section is to show. like: whose it has now
        def dress(master, values, number, like)
          was = @masters.section(like).to_h
          unless @heads.shown?(master, number)
            @heads.put(master, @heads.wanted(number))
            touch
          end
          set_up(master, values, was)
        end

        # A text that begins with a table has no paragraph that could name another master for its first page.
        def begins_with_table?(list)
          list.any? { |_, number| number == 1 } && @document.paragraphs.first&.container
        end

        # The master itself is set up so; other sections that wear it get one as it was.
        def change_in_place(master, values, list)
          others = numbered.select { |section, _| section.source && @worn[section.source] == master } - list
          if others.any?
            kept = make(free_name(master.shown), master)
            others.each { |section, number| @starts.start(number, kept.name, section.number_start) }
          end
          dress(master, values, list.first.last, master)
          list.drop(1).each { |section, number| number_anew(master, section, number) }
        end

        # Says on the first paragraph where a section's numbers begin; always: names its master there too.
        def number_anew(master, section, number, always: false)
          return unless always || came(section).number_start != section.number_start
          @starts.start(number, master.name, section.number_start)
        end

        # A section that the file had not: in a master that is set up so, one like that of the section before.
        def begin_new(section, number)
          like = numbered.first(number - 1).reverse.find { |before, _| before.source }&.first
          master = (like && @worn[like.source]) || @masters.first or return
          other = fitting(section, number) || made_like(master, section.to_h.slice(*WORN), number)
          @starts.start(number, other.name, section.number_start)
        end

        # A master that is set up so, with the same heads and feet.
        def fitting(section, number)
          @masters.all.values.find { |one| fits?(one, section, number) }
        end

        def fits?(master, section, number)
          worn = @masters.section(master)
          Document::PageStyle.of(worn, "").worn_by?(section) && LABELS.all? { |name| worn[name] == section[name] } &&
            @heads.shown?(master, number)
        end

        def free_name(shown)
          (2..).lazy.map { |number| "#{shown} #{number}" }.find { |name| shown(name).nil? }
        end

        # A master like another under a new name, with a layout of its own.
        def make(shown, like)
          name = Names.free(Names.encoded(shown), @masters.all.keys)
          node = like.node.dup
          @part.set(node, "style:name", name)
          @part.set(node, "style:display-name", shown)
          @part.unset(node, "style:next-style-name")
          like.node.add_next_sibling(node)
          touch
          made = Masters::Master.new(name, shown, nil, node, nil, heads(node))
          made.layout = @layouts.own(made, like.layout)
          @masters.all[name] = made
        end

        def heads(node)
          node.element_children.each_with_object({}) do |child, found|
            kind, which = Masters::HEADS[child.name]
            (found[kind] ||= {})[which] = child if kind
          end
        end

        def set_up(master, now, was)
          @layouts.set_up(master, now, was)
          touch
        end

        def touch
          @touched << @part
        end
      end
    end
  end
end
