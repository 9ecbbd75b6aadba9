# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # sectPr to Section and back (ISO/IEC 29500-1 17.6). Absent page sizes and margins are those that files without
      # them are shown with: A4 and one inch (common practice).
      module Sections
        STARTS = {
          "nextPage" => "next_page", "continuous" => "continuous", "oddPage" => "odd_page", "evenPage" => "even_page",
          "nextColumn" => "continuous"
        }.freeze
        FORMATS = {
          "decimal" => "decimal", "lowerRoman" => "lower_roman", "upperRoman" => "upper_roman",
          "lowerLetter" => "lower_letter",
          "upperLetter" => "upper_letter", "none" => "none", "decimalZero" => "decimal_zero", "bullet" => "bullet"
        }.freeze
        A4 = PaperSizes["A4"].map { |side| Length.whole(side, "twip") / 20.0 }.freeze # as files say it, in twips
        INCH = 72.0
        EDGE = 36.0 # of running heads and feet from the sheet's edge
        HEADS = {"headerReference" => :header, "footerReference" => :footer}.freeze
        NOTES = {"footnotePr" => :footnote, "endnotePr" => :endnote}.freeze
        BORDER_SIDES = {"start" => :left, "end" => :right}.freeze
        VERTICAL = {"both" => "justify"}.freeze

        module_function

        # heads: ids of the section's own heads and feet
        def read(node, part, settings, source, heads = {})
          size, numbers, columns = %w[pgSz pgNumType cols].map { |name| part.child(node, name) }
          type = part.child(node, "type")
          Document::Section.new(
            starts: STARTS.fetch(type && part.attr(type, "val"), "next_page"), width: measure(size, "w", part) || A4[0],
            height: measure(size, "h", part) || A4[1], **margins(node, part, settings), mirrored: settings.mirrored,
            number_format: FORMATS.fetch((numbers && part.attr(numbers, "fmt")) || "decimal", "decimal"),
            number_start: numbers && part.attr(numbers, "start")&.to_i, **columns(columns, part),
            title_page: flag?(node, part, "titlePg"),
            heads:, notes: notes(node, part), vertical_align: vertical(value_of(node, part, "vAlign")),
            line_grid: line_grid(node, part),
            page_borders: borders(part.child(node, "pgBorders"), part), line_numbers: line_numbers(node, part), source:
          )
        end

        def margins(node, part, settings)
          margins = part.child(node, "pgMar")
          gutter = measure(margins, "gutter", part) || 0.0
          side = gutter_side(node, part, settings)
          own = ->(*names, usual) { names.lazy.filter_map { |name| measure(margins, name, part) }.first || usual }
          {
            margin_top: own["top", INCH].abs + ((side == :top) ? gutter : 0), margin_bottom: own["bottom", INCH].abs,
            margin_left: own["left", "start", INCH] + ((side == :left) ? gutter : 0),
            margin_right: own["right", "end", INCH] + ((side == :right) ? gutter : 0),
            header: own["header", EDGE], footer: own["footer", EDGE], gutter:,
            fixed_top: own["top", INCH].negative?, fixed_bottom: own["bottom", INCH].negative?
          }
        end

        # Where the binding takes its room: above, or at one side.
        def gutter_side(node, part, settings)
          return :top if settings.gutter_at_top
          flag?(node, part, "rtlGutter") ? :right : :left
        end

        def columns(node, part)
          return {columns: 1} unless node
          widths = part.children(node, "col").map do |column|
            [measure(column, "w", part) || 0.0, measure(column, "space", part) || 0.0]
          end
          unequal = !XmlPart::TRUE_WORDS.include?(part.attr(node, "equalWidth") || "1") && widths.any?
          {
            columns: unequal ? widths.size : [part.attr(node, "num").to_i, 1].max,
            column_gap: measure(node, "space", part) || EDGE, column_widths: (widths.freeze if unequal),
            column_rule: XmlPart::TRUE_WORDS.compact.include?(part.attr(node, "sep"))
          }
        end

        def notes(node, part)
          NOTES.filter_map do |name, kind|
            holder = part.child(node, name) or next
            format = value_of(holder, part, "numFmt")
            values = {
              format: format && FORMATS.fetch(format, "decimal"), start: value_of(holder, part, "numStart")&.to_i,
              restart: value_of(holder, part, "numRestart"), place: value_of(holder, part, "pos")
            }.compact
            [kind, values.freeze] unless values.empty?
          end.to_h.freeze
        end

        def line_grid(node, part)
          grid = part.child(node, "docGrid") or return
          type = part.attr(grid, "type")
          return if type.nil? || type == "default"
          {type:, pitch: measure(grid, "linePitch", part), characters: part.attr(grid, "charSpace")&.to_i}.freeze
        end

        def line_numbers(node, part)
          found = part.child(node, "lnNumType") or return
          {every: part.attr(found, "countBy").to_i, start: (part.attr(found, "start") || 1).to_i,
           distance: measure(found, "distance", part), restart: part.attr(found, "restart") || "newPage"}.freeze
        end

        # {top: Styles::BorderLine, …} of an element that holds one child for each side, without those that are none.
        def borders(node, part)
          return {}.freeze unless node
          node.element_children.filter_map do |side|
            kind = part.attr(side, "val") or next
            line = Styles::BorderLine.new(kind:, width: part.attr(side, "sz").to_f / 8,
              space: part.attr(side, "space").to_f, color: Colour.hex(part.attr(side, "color")) || "auto")
            [BORDER_SIDES.fetch(side.name, side.name.to_sym), line] unless line.none?
          end.to_h.freeze
        end

        def vertical(word)
          VERTICAL.fetch(word, word || "top")
        end

        def value_of(node, part, name)
          child = part.child(node, name)
          child && part.attr(child, "val")
        end

        def flag?(node, part, name)
          child = part.child(node, name)
          child ? part.on?(child) : false
        end

        # Writes what differs between the section as it came and as it is.
        def write(node, part, was, now)
          page(node, part, was, now)
          margin(node, part, was, now, :margin_top, "top")
          margin(node, part, was, now, :margin_bottom, "bottom")
          margin(node, part, was, now, :margin_left, "left")
          margin(node, part, was, now, :margin_right, "right")
          margin(node, part, was, now, :header, "header", EDGE)
          margin(node, part, was, now, :footer, "footer", EDGE)
          write_columns(part.place(node, "cols"), part, was, now) unless was.columns == now.columns
          start(node, part, was, now)
          numbers(node, part, was, now)
          title(node, part, was, now)
        end

        # Another number of columns is of columns that are alike.
        def write_columns(node, part, was, now)
          part.set(node, "num", now.columns)
          return unless was.unequal_columns
          part.set(node, "equalWidth", 1)
          part.children(node, "col").each(&:remove)
        end

        def start(node, part, was, now)
          return if was.starts == now.starts
          return part.drop(node, "type") if now.starts == "next_page"
          part.set(part.place(node, "type"), "val", STARTS.key(now.starts))
        end

        def numbers(node, part, was, now)
          return if [was.number_format, was.number_start] == [now.number_format, now.number_start]
          numbers = part.place(node, "pgNumType")
          unless was.number_format == now.number_format
            part.set(numbers, "fmt", FORMATS.key(now.number_format) || "decimal")
          end
          now.number_start ? part.set(numbers, "start", now.number_start) : part.unset(numbers, "start")
        end

        def title(node, part, was, now)
          return if was.title_page == now.title_page
          part.drop(node, "titlePg")
          part.place(node, "titlePg") if now.title_page
        end

        def page(node, part, was, now)
          return if [was.width, was.height] == [now.width, now.height]
          size = part.place(node, "pgSz")
          part.set(size, "w", Length.whole(now.width, "twip"))
          part.set(size, "h", Length.whole(now.height, "twip"))
          now.landscape? ? part.set(size, "orient", "landscape") : part.unset(size, "orient")
        end

        # A margin includes the gutter here and not in the file: the difference is what is written.
        def margin(node, part, was, now, field, name, usual = INCH)
          change = now[field] - was[field]
          return if change.zero?
          margins = part.place(node, "pgMar")
          before = measure(margins, name, part) || usual
          part.set(margins, name, Length.whole(before + (before.negative? ? -change : change), "twip"))
        end

        def measure(node, name, part)
          text = node && part.attr(node, name) or return
          part.length(text, "twip")
        end

        private_class_method :margins, :gutter_side, :columns, :notes, :line_grid, :line_numbers, :vertical,
          :value_of, :flag?, :start, :numbers, :title, :page, :margin, :measure
      end
    end
  end
end
