# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Master pages with their layouts (ISO/IEC 26300-1 16.5, 16.9): what a page looks like, and by which heads and
      # feet. A named master page is the page style that a person sees. Lengths in points.
      class Masters
        # layout: the page layout's element; heads: {header: {default: element, …}, footer: {…}}
        Master = Struct.new(:name, :shown, :next_name, :node, :layout, :heads)
        HEADS = {"header" => [:header, :default], "footer" => [:footer, :default],
                 "header-left" => [:header, :even], "footer-left" => [:footer, :even],
                 "header-first" => [:header, :first], "footer-first" => [:footer, :first]}.freeze
        USUAL = "Standard"
        INCH = 72.0
        A4 = Docx::Sections::A4
        STARTS = {"left" => "even_page", "right" => "odd_page"}.freeze

        attr_reader :all, :part

        def initialize(part)
          @part = part
          @all = part ? read : {}
        end

        # The Master of this name, nil for none.
        def [](name)
          @all[name]
        end

        # That of the first page where nothing says which.
        def first
          @all[USUAL] || @all.values.first
        end

        # The pages after the first one that wear a master: it may hand over to another.
        def following(master)
          other = @all[master.next_name]
          (other && other.name != master.name) ? other : master
        end

        # Document::PageStyle for every master, in the file's order.
        def page_styles
          @all.values.map { |master| Document::PageStyle.of(section(master), master.shown) }
        end

        # The section that begins on a page with this master. start: the number of its first page, or nil.
        def section(master, source: nil, start: nil, heads: {})
          return bare(source) unless master
          body = following(master)
          layout = body.layout
          page = {**sheet(layout), **margins(body)}
          Document::Section.new(
            starts: STARTS.fetch(usage(master.layout), "next_page"), **page,
            gutter: 0.0, mirrored: usage(layout) == "mirrored",
            number_format: ListReader::FORMATS.fetch(value_of(layout, "style:num-format") || "1", "decimal"),
            number_start: start || first_number(layout), **columns(layout, page), title_page: title_page?(master, body),
            line_grid: line_grid(layout), heads:, source:
          )
        end

        # Does the first page have heads or feet of its own?
        def title_page?(master, body)
          (body != master && shown(master) != shown(body)) || body.heads.any? { |_, which| which.key?(:first) }
        end

        # The elements of heads and feet of a section, nil where its pages show none:
        #   {header: {default: element, …}, …}
        # even: do left pages of the document differ?
        def heads(master, even:)
          body = following(master)
          title = title_page?(master, body)
          %i[header footer].to_h do |kind|
            own = body.heads.fetch(kind, {})
            said = {default: own[:default]}
            said[:even] = own[:even] || own[:default] if even
            said[:first] = opening_head(master, body, kind) if title
            [kind, said]
          end
        end

        # Do left pages of some master have heads or feet of their own?
        def even?
          @all.each_value.any? { |master| master.heads.each_value.any? { |which| which.key?(:even) } }
        end

        # The element with the properties of a page layout.
        def properties(layout)
          layout && @part.child(layout, "style:page-layout-properties")
        end

        # How much room a head or foot takes from the text, with its gap.
        def room(master, kind)
          box = box(master, kind) or return 0.0
          text = @part.attr(box, "svg:height") || @part.attr(box, "fo:min-height")
          (text && Length.from_file(text, "pt")) || 0.0
        end

        private

        # The properties of the head or foot of a master that has one.
        def box(master, kind)
          return unless master.heads.dig(kind, :default)
          holder = master.layout && @part.child(master.layout, "style:#{kind}-style")
          holder && @part.child(holder, "style:header-footer-properties")
        end

        # What the pages of a master show, by what stands in it.
        def shown(master)
          %i[header footer].map { |kind| master.heads.dig(kind, :default)&.inner_html }
        end

        def opening_head(master, body, kind)
          return master.heads.dig(kind, :default) unless body == master
          body.heads.fetch(kind, {}).values_at(:first, :default).compact.first
        end

        def read
          layouts = @part.children(@part.child(@part.root, "office:automatic-styles"), "style:page-layout")
            .to_h { |node| [@part.attr(node, "style:name"), node] }
          @part.children(@part.child(@part.root, "office:master-styles"), "style:master-page").filter_map { |node|
            name = @part.attr(node, "style:name") or next
            [name, Master.new(name, @part.attr(node, "style:display-name") || Names.decoded(name),
              @part.attr(node, "style:next-style-name"), node, layouts[@part.attr(node, "style:page-layout-name")],
              elements(node))]
          }.to_h
        end

        def elements(node)
          node.element_children.each_with_object({}) do |child, heads|
            kind, which = HEADS[child.name]
            next if kind.nil? || @part.attr(child, "style:display") == "false"
            (heads[kind] ||= {})[which] ||= child
          end
        end

        def sheet(layout)
          {width: measure(layout, "fo:page-width") || A4[0], height: measure(layout, "fo:page-height") || A4[1]}
        end

        def margins(master)
          top, bottom, left, right = %w[top bottom left right].map do |side|
            measure(master.layout, "fo:margin-#{side}") || measure(master.layout, "fo:margin") || 0.0
          end
          {margin_top: (top + room(master, :header)).round(4), margin_bottom: (bottom + room(master, :footer)).round(4),
           margin_left: left, margin_right: right, header: top, footer: bottom, **rooms(master)}
        end

        # What a head or foot that is higher than its room does to the text: a fixed height holds; else the text goes
        # down, and the gap with it unless that may shrink (style:dynamic-spacing, 20.254).
        def rooms(master)
          head, foot = %i[header footer].map { |kind| box(master, kind) }
          {head_gap: gap(head, "fo:margin-bottom"), foot_gap: gap(foot, "fo:margin-top"),
           fixed_top: fixed?(head), fixed_bottom: fixed?(foot)}
        end

        def gap(box, name)
          return 0.0 if box.nil? || @part.attr(box, "style:dynamic-spacing") == "true"
          length(box, name)
        end

        def fixed?(box)
          !box.nil? && !@part.attr(box, "svg:height").nil?
        end

        def columns(layout, page)
          node = properties(layout)
          columns = node && @part.child(node, "style:columns") or return {columns: 1}
          count = [@part.attr(columns, "fo:column-count").to_i, 1].max
          {columns: count, column_gap: length(columns, "fo:column-gap"),
           column_widths: widths(@part.children(columns, "style:column"), count, page),
           column_rule: !@part.child(columns, "style:column-sep").nil?}
        end

        # [[width, gap], …] of columns that differ: each has a share of the measure, and indents in it (17.13); nil of
        # those that are alike.
        def widths(columns, count, page)
          shares = columns.map { |column| @part.attr(column, "style:rel-width").to_s[/\A\d+/].to_f }
          return unless columns.size == count && shares.all?(&:positive?)
          measure = page[:width] - page[:margin_left] - page[:margin_right]
          edges = columns.map { |one| [length(one, "fo:start-indent"), length(one, "fo:end-indent")] }
          rooms = shares.zip(edges).map { |share, indents| (measure * share / shares.sum) - indents.sum }
          return if rooms.minmax.inject(:-).abs < 0.5 || rooms.min <= 0
          gaps = edges.each_cons(2).map { |one, other| one.last + other.first } << 0.0
          rooms.zip(gaps).freeze
        end

        # Rows that lines stand on, with the room for ruby over them (ISO/IEC 26300-1 20.316 to 20.325).
        def line_grid(layout)
          node = properties(layout)
          mode = node && @part.attr(node, "style:layout-grid-mode")
          return unless %w[line both].include?(mode)
          pitch = length(node, "style:layout-grid-base-height") + length(node, "style:layout-grid-ruby-height")
          {type: (mode == "both") ? "linesAndChars" : "lines", pitch:, characters: nil}.freeze if pitch.positive?
        end

        def length(node, name)
          text = @part.attr(node, name)
          (text && Length.from_file(text, "pt")) || 0.0
        end

        def first_number(layout)
          value_of(layout, "style:first-page-number")&.[](/\A\d+\z/)&.to_i
        end

        def usage(layout)
          layout && @part.attr(layout, "style:page-usage")
        end

        def measure(layout, name)
          text = value_of(layout, name) and Length.from_file(text, "pt")
        end

        def value_of(layout, name)
          node = properties(layout) and @part.attr(node, name)
        end

        # A file without master pages still has pages.
        def bare(source)
          Document::Section.new(starts: "next_page", width: A4[0], height: A4[1], margin_top: INCH, margin_bottom: INCH,
            margin_left: INCH, margin_right: INCH, header: INCH, footer: INCH, gutter: 0.0, mirrored: false,
            number_format: "decimal", columns: 1, title_page: false, source:)
        end
      end
    end
  end
end
