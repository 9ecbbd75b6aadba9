# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # sectPr to Section and back (ISO/IEC 29500-1 17.6). Absent page sizes and margins are those that files without them are
      # shown with: A4 and one inch (common practice).
      module Sections
        STARTS = {"nextPage" => "next_page", "continuous" => "continuous", "oddPage" => "odd_page", "evenPage" => "even_page", "nextColumn" => "continuous"}.freeze
        FORMATS = {
          "decimal" => "decimal", "lowerRoman" => "lower_roman", "upperRoman" => "upper_roman", "lowerLetter" => "lower_letter", "upperLetter" => "upper_letter",
          "none" => "none", "decimalZero" => "decimal_zero", "bullet" => "bullet"
        }.freeze
        A4 = [595.3, 841.9].freeze
        INCH = 72.0

        module_function

        def read(node, part, settings, source)
          size, margins, numbers, columns = %w[pgSz pgMar pgNumType cols].map { |name| part.child(node, name) }
          type = part.child(node, "type")
          gutter = measure(margins, "gutter", part) || 0.0
          right_gutter = (found = part.child(node, "rtlGutter")) && part.on?(found)
          Document::Section.new(
            starts: STARTS.fetch(type && part.attr(type, "val"), "next_page"), width: measure(size, "w", part) || A4[0], height: measure(size, "h", part) || A4[1],
            margin_top: (measure(margins, "top", part) || INCH).abs + (settings[:gutter_at_top] ? gutter : 0), margin_bottom: (measure(margins, "bottom", part) || INCH).abs,
            margin_left: (measure(margins, "left", part) || measure(margins, "start", part) || INCH) + ((settings[:gutter_at_top] || right_gutter) ? 0 : gutter),
            margin_right: (measure(margins, "right", part) || measure(margins, "end", part) || INCH) + (right_gutter ? gutter : 0),
            header: measure(margins, "header", part) || 36.0, footer: measure(margins, "footer", part) || 36.0, gutter:, mirrored: settings[:mirrored] || false,
            number_format: FORMATS.fetch((numbers && part.attr(numbers, "fmt")) || "decimal", "decimal"), number_start: numbers && part.attr(numbers, "start")&.to_i,
            columns: [(columns && part.attr(columns, "num")).to_i, 1].max, title_page: (first = part.child(node, "titlePg")) ? part.on?(first) : false, source:
          )
        end

        # Writes what differs between the section as it came and as it is.
        def write(node, part, was, now)
          page(node, part, was, now)
          margin(node, part, was, now, :margin_top, "top")
          margin(node, part, was, now, :margin_bottom, "bottom")
          margin(node, part, was, now, :margin_left, "left")
          margin(node, part, was, now, :margin_right, "right")
          margin(node, part, was, now, :header, "header", 36.0)
          margin(node, part, was, now, :footer, "footer", 36.0)
          part.set(part.place(node, "cols"), "num", now.columns) unless was.columns == now.columns
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
      end
    end
  end
end
