# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Master pages and their layouts to what the model says (ISO/IEC 26300-1 16.5, 16.9). A section that looks like a
      # named page style wears it; a set-up that only some pages of a master have is another master.
      class PageWriter
        SIDES = {margin_top: "fo:margin-top", margin_bottom: "fo:margin-bottom", margin_left: "fo:margin-left",
                 margin_right: "fo:margin-right"}.freeze
        EDGES = {header: :margin_top, footer: :margin_bottom}.freeze
        VALUES = Document::SetUp::FIELDS

        # made: the elements of new paragraphs by their ids; heads: MasterHeads
        def initialize(document, original, reader, automatic, made, heads)
          @document = document
          @original = original
          @reader = reader
          @masters = reader.masters
          @part = reader.masters.part
          @automatic = automatic
          @made = made
          @heads = heads
          @touched = []
          @worn = @original.sections.map { |section| master_of(section.source + 1) }
        end

        # Returns the parts that were changed.
        def write
          starts
          return @touched if unchanged?
          found if @masters.all.empty?
          styles
          sections
          @touched.uniq
        end

        private

        def unchanged?
          @part.nil? || (@document.page_styles == @original.page_styles && @document.sections == @original.sections)
        end

        # A file without master pages gets one that says what its pages are taken for.
        def found
          holder = @reader.package.section(@part, "office:master-styles")
          node = holder.add_child(@part.create("style:master-page", "style:name" => Masters::USUAL))
          made = Masters::Master.new(Masters::USUAL, Masters::USUAL, nil, node, nil, {})
          made.layout = own_layout(made, nil)
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
          USAGES.key?(values[:starts])
        end

        # The master of a first page that stands on one side; the pages after it have another, on both.
        def opening(body, values, number)
          usage = USAGES.fetch(values[:starts])
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
            others.each { |section, number| start(number, kept.name, section.number_start) }
          end
          dress(master, values, list.first.last, master)
          list.drop(1).each { |section, number| number_anew(master, section, number) }
        end

        # Says on the first paragraph where a section's numbers begin; always: names its master there too.
        def number_anew(master, section, number, always: false)
          return unless always || came(section).number_start != section.number_start
          start(number, master.name, section.number_start)
        end

        # A section that the file had not: in a master that is set up so, one like that of the section before.
        def begin_new(section, number)
          like = numbered.first(number - 1).reverse.find { |before, _| before.source }&.first
          master = (like && @worn[like.source]) || @masters.first or return
          other = fitting(section, number) || made_like(master, section.to_h.slice(*WORN), number)
          start(number, other.name, section.number_start)
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
          name = free_key(Names.encoded(shown), @masters.all.keys)
          node = like.node.dup
          @part.set(node, "style:name", name)
          @part.set(node, "style:display-name", shown)
          @part.unset(node, "style:next-style-name")
          like.node.add_next_sibling(node)
          touch
          made = Masters::Master.new(name, shown, nil, node, nil, heads(node))
          made.layout = own_layout(made, like.layout)
          @masters.all[name] = made
        end

        def heads(node)
          node.element_children.each_with_object({}) do |child, found|
            kind, which = Masters::HEADS[child.name]
            (found[kind] ||= {})[which] = child if kind
          end
        end

        # --- layouts ---

        # Changes a master's layout from one set-up to another; one that other masters share is copied first.
        def set_up(master, now, was)
          body = @masters.following(master)
          if body.layout.nil? || @masters.all.values.count { |other| other.layout == body.layout } > 1
            body.layout = own_layout(body, body.layout)
          end
          node = @masters.properties(body.layout) ||
            body.layout.prepend_child(@part.create("style:page-layout-properties"))
          sheet(node, was, now)
          margins(body, node, was, now)
          columns(node, now[:columns]) unless was[:columns] == now[:columns]
          labels(body, node, was, now)
          touch
        end

        USAGES = Masters::STARTS.invert.freeze

        def labels(body, node, was, now)
          return unless now.key?(:number_format)
          unless was[:number_format] == now[:number_format]
            @part.set(node, "style:num-format", ListReader::FORMATS.key(now[:number_format]) || "1")
          end
          usage(body.layout, now) unless was.values_at(:starts, :mirrored) == now.values_at(:starts, :mirrored)
        end

        # What stands on one side alone is a first page, which has a master of its own.
        def usage(layout, now)
          word = now[:mirrored] ? "mirrored" : nil
          word ? @part.set(layout, "style:page-usage", word) : @part.unset(layout, "style:page-usage")
        end

        def own_layout(master, like)
          taken = @part.children(layouts, "style:page-layout").map { |node| @part.attr(node, "style:name") }
          name = free_key("Mpm1", taken)
          node = like ? like.dup : @part.create("style:page-layout")
          @part.set(node, "style:name", name)
          layouts.add_child(node)
          @part.set(master.node, "style:page-layout-name", name)
          node
        end

        def layouts
          @reader.package.section(@part, "office:automatic-styles")
        end

        def free_key(stem, taken)
          [stem, *(1..taken.size + 1).map { |number| "#{stem.sub(/\d+\z/, "")}#{number}" }]
            .find { |name| !taken.include?(name) }
        end

        def sheet(node, was, now)
          return if [was[:width], was[:height]] == [now[:width], now[:height]]
          @part.set(node, "fo:page-width", Codecs::Measure.text(now[:width]))
          @part.set(node, "fo:page-height", Codecs::Measure.text(now[:height]))
          @part.set(node, "style:print-orientation", (now[:width] > now[:height]) ? "landscape" : "portrait")
        end

        # A margin ends at the head or foot where there is one, and its room is the rest.
        def margins(master, node, was, now)
          names = SIDES.keys + EDGES.keys
          return if names.all? { |name| was[name] == now[name] } && EDGES.keys.all? { |kind| roomy?(master, kind) }
          Formatting.spread(node, @part)
          %i[margin_left margin_right].each { |name| @part.set(node, SIDES[name], Codecs::Measure.text(now[name])) }
          EDGES.each { |kind, margin| edge(master, node, kind, now[kind], now[margin]) }
        end

        # Is room told for a head or foot where there is one?
        def roomy?(master, kind)
          holder = master.layout && @part.child(master.layout, "style:#{kind}-style")
          master.heads.dig(kind, :default).nil? == (holder.nil? || holder.element_children.empty?)
        end

        def edge(master, node, kind, distance, margin)
          shown = master.heads.dig(kind, :default)
          distance = shown ? [distance, margin].min : margin
          @part.set(node, SIDES[EDGES[kind]], Codecs::Measure.text(distance))
          return unless shown
          holder = @part.child(master.layout, "style:#{kind}-style") ||
            master.layout.add_child(@part.create("style:#{kind}-style"))
          box = @part.place(holder, "style:header-footer-properties")
          name = @part.attr(box, "svg:height") ? "svg:height" : "fo:min-height"
          @part.set(box, name, Codecs::Measure.text((margin - distance).round(4)))
        end

        def columns(node, count)
          found = @part.child(node, "style:columns") ||
            node.prepend_child(@part.create("style:columns", "fo:column-gap" => "12pt"))
          @part.children(found, "style:column").each(&:remove)
          @part.set(found, "fo:column-count", count)
        end

        # --- where sections begin ---

        # The paragraph that a section began with may be gone, or another.
        def starts
          return if @document.paragraphs.equal?(@original.paragraphs)
          @reader.text.page_starts.each do |number, name, page|
            at = @document.sections.index { |section| section.source == number - 1 } or next goes_on(number)
            was, now = first_of(@original, number), first_of(@document, at + 1)
            next if now.nil? || was.nil? || was.id == now.id
            start(at + 1, name, page)
            unset(was) if @document.include?(was.id)
          end
        end

        # Where a section began that was joined to the one before, none begins now.
        def goes_on(number)
          was = first_of(@original, number)
          unset(@document.paragraph(was.id)) if was && @document.include?(was.id)
        end

        def first_of(document, number)
          (@firsts ||= {}.compare_by_identity)[document] ||= document.paragraphs.select { |one| one.container.nil? }
            .group_by(&:section).transform_values(&:first)
          @firsts[document][number]
        end

        # Puts the beginning of a section on its first paragraph.
        def start(number, name, page)
          paragraph = first_of(@document, number) or return
          restyled(paragraph) do |part, style|
            part.set(style, "style:master-page-name", name)
            holder = part.child(style, "style:paragraph-properties")
            next if page.nil? && holder.nil?
            holder ||= style.prepend_child(part.create("style:paragraph-properties"))
            page ? part.set(holder, "style:page-number", page) : part.unset(holder, "style:page-number")
          end
        end

        def unset(paragraph)
          restyled(paragraph) do |part, style|
            part.unset(style, "style:master-page-name")
            holder = part.child(style, "style:paragraph-properties") and part.unset(holder, "style:page-number")
          end
        end

        def restyled(paragraph)
          part = @reader.package.content
          node = element(paragraph) or return
          style = @reader.package.section(part, "office:automatic-styles").element_children.find do |one|
            part.attr(one, "style:family") == "paragraph" &&
              part.attr(one, "style:name") == part.attr(node, "text:style-name")
          end
          parent = style ? part.attr(style, "style:parent-style-name") : part.attr(node, "text:style-name")
          name = @automatic[part].paragraph(style, parent) { |made| yield(part, made) }
          name ? part.set(node, "text:style-name", name) : part.unset(node, "text:style-name")
          @touched << part
        end

        def element(paragraph)
          paragraph.source ? @reader.text.nodes.paragraphs[paragraph.source] : @made[paragraph.id]
        end

        def touch
          @touched << @part
        end
      end
    end
  end
end
