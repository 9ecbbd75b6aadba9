# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Sections of a document that comes from another format as master pages with their layouts (ISO/IEC 26300-1 16.5,
      # 16.9): one for each set-up that pages have. A first page with a head of its own is a master that hands over to
      # the next.
      class MasterBuilder
        KINDS = %w[header footer].freeze

        def initialize(builder)
          @builder = builder
          @document = builder.document
          @report = builder.report
          @part = builder.reader.package.styles
          @known = {}
          @named = {}
        end

        # Makes what the sections need. Returns {number of a section => name of the master it begins with, nil where it
        # goes on with the pages of the one before}.
        def build
          @document.sections.each.with_index(1).to_h do |section, number|
            goes_on = section.starts == "continuous" && number > 1
            goes_on(section) if goes_on
            [number, goes_on ? nil : master(section, number)]
          end
        end

        private

        def goes_on(section)
          @report.approximate("sections that begin in the middle of a page",
            (section.columns > 1) ? "their columns are not there" : "they go on as the section before")
        end

        def master(section, number)
          report_losses(section)
          heads = heads(section, number)
          key = [set_up(section), heads]
          @known[key] ||= make(section, number, heads)
        end

        def report_losses(section)
          @report.approximate("room for binding", "part of the margin") unless section.gutter.zero?
          @report.lost("lines around the page") unless section.page_borders.empty?
          @report.lost("numbers of lines") if section.line_numbers
        end

        def set_up(section)
          section.to_h.slice(*Document::SetUp::FIELDS, :number_format, :mirrored, :column_gap, :title_page, :starts)
        end

        # {["header", "default"] => the id of its story, …} of what the section shows.
        def heads(section, number)
          which = ["default", ("even" if @document.settings.even_and_odd), ("first" if section.title_page)].compact
          KINDS.product(which).filter_map { |kind, one|
            story = @document.head(number, kind, one)
            [[kind, one], story.id] if story && !story.paragraphs.empty?
          }.to_h
        end

        def make(section, number, heads)
          shown = free_name(section, number)
          layout = layout(section, heads)
          name = page(shown, layout, heads, "default", nil)
          usage = Masters::STARTS.key(section.starts)
          return name unless section.title_page || usage
          layout = layout(section, heads, usage) if usage
          page("#{shown}, #{usage || "first"}", layout, heads, section.title_page ? "first" : "default", name)
        end

        def free_name(section, number)
          style = @document.page_styles.find { |one| one.worn_by?(section) }
          wanted = style&.name || (@named.empty? ? Masters::USUAL : "Section #{number}")
          found = [wanted, *(2..@named.size + 2).map { |one| "#{wanted} #{one}" }].find { |one| !@named[one] }
          @named[found] = true
          found
        end

        def page(shown, layout, heads, which, following)
          name = Names.encoded(shown)
          node = @part.create("style:master-page", "style:name" => name,
            "style:display-name" => (shown unless shown == name), "style:page-layout-name" => layout,
            "style:next-style-name" => following)
          @builder.section("office:master-styles").add_child(node)
          KINDS.each do |kind|
            head(node, "style:#{kind}", heads[[kind, which]])
            head(node, "style:#{kind}-left", heads[[kind, "even"]]) if which == "default"
          end
          name
        end

        def head(node, name, id)
          story = id && @document.stories.find { |one| one.id == id && one.head? } or return
          BodyBuilder.new(@builder, @part).fill(node.add_child(@part.create(name)), story.blocks)
        end

        # usage: of a first page that stands on one side alone
        def layout(section, heads, usage = ("mirrored" if section.mirrored))
          name = "Mpm#{@layouts = (@layouts || 0) + 1}"
          node = @part.create("style:page-layout", "style:name" => name,
            "style:page-usage" => usage)
          @builder.section("office:automatic-styles").add_child(node)
          properties = node.add_child(@part.create("style:page-layout-properties", values(section)))
          columns(properties, section) if section.columns > 1
          KINDS.each { |kind| margin(node, properties, section, kind, heads.keys.any? { |one, _| one == kind }) }
          name
        end

        def values(section)
          text = ->(points) { Codecs::Measure.text(points) }
          {"fo:page-width" => text[section.width], "fo:page-height" => text[section.height],
           "style:print-orientation" => section.landscape? ? "landscape" : "portrait",
           "style:num-format" => ListReader::FORMATS.key(section.number_format) || "1",
           "fo:margin-left" => text[section.margin_left], "fo:margin-right" => text[section.margin_right],
           **rows(section)}
        end

        # That lines stand on, if any.
        def rows(section)
          pitch = section.line_grid&.[](:pitch) or return {}
          {"style:layout-grid-mode" => "line", "style:layout-grid-base-height" => Codecs::Measure.text(pitch),
           "style:layout-grid-ruby-height" => Codecs::Measure.text(0.0)}
        end

        def columns(properties, section)
          columns = properties.add_child(@part.create("style:columns", "fo:column-count" => section.columns,
            "fo:column-gap" => Codecs::Measure.text(section.column_gap)))
          section.unequal_columns&.each_with_index do |(width, gap), number|
            before = number.zero? ? 0.0 : section.unequal_columns[number - 1].last / 2
            after = (number == section.columns - 1) ? 0.0 : gap / 2
            columns.add_child(@part.create("style:column", "fo:start-indent" => Codecs::Measure.text(before),
              "style:rel-width" => "#{((width + before + after) * 20).round}*",
              "fo:end-indent" => Codecs::Measure.text(after)))
          end
        end

        # A margin ends where a head begins: the rest of the room is the head's.
        def margin(node, properties, section, kind, shown)
          name = (kind == "header") ? "fo:margin-top" : "fo:margin-bottom"
          margin = section[(kind == "header") ? :margin_top : :margin_bottom]
          return @part.set(properties, name, Codecs::Measure.text(margin)) unless shown
          edge = [section[kind.to_sym], margin].min
          fixed = section[(kind == "header") ? :fixed_top : :fixed_bottom]
          height = fixed ? "svg:height" : "fo:min-height"
          @part.set(properties, name, Codecs::Measure.text(edge))
          node.add_child(@part.create("style:#{kind}-style")).add_child(
            @part.create("style:header-footer-properties", height => Codecs::Measure.text(margin - edge))
          )
        end
      end
    end
  end
end
