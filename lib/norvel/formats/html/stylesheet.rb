# frozen_string_literal: true

module Norvel
  module Formats
    module Html
      # Looks as declarations of a stylesheet (CSS 2.1 and CSS Text 3): {"text-align" => "left", …}. A line's height
      # depends on the letters in it, so a paragraph says how many lines (--lines) and its letters how tall one is.
      class Stylesheet
        GENERIC = {"serif" => "serif", "mono" => "monospace"}.freeze
        RAISED = 0.65 # size of superscript and subscript to that of the text: common practice
        LINES = {"double" => "double", "triple" => "double", "dotted" => "dotted", "dashed" => "dashed"}.freeze

        # How a property stands in CSS, for those that need nothing else of the look. What is not here is not carried.
        PARAGRAPH = {
          align: ->(value) { {"text-align" => value} },
          shading: ->(value) { (value == "auto") ? {} : {"background-color" => value} },
          borders: ->(value) { Stylesheet.borders(value) }
        }.freeze
        RUN = {
          bold: ->(value) { {"font-weight" => value ? "700" : "400"} },
          italic: ->(value) { {"font-style" => value ? "italic" : "normal"} },
          caps: ->(value) { value ? {"text-transform" => "uppercase"} : {} },
          small_caps: ->(value) { value ? {"font-variant-caps" => "small-caps"} : {} },
          color: ->(value) { (value == "auto") ? {} : {"color" => value} },
          highlight: ->(value) { (value == "auto") ? {} : {"background-color" => value} }
        }.freeze

        # {"border-top" => "0.5px solid #1f3864", …} of the sides that are drawn.
        def self.borders(value)
          Styles::Types::Borders.new.drawn(value).to_h do |side, line|
            drawn = LINES.fetch(line.kind, "solid")
            width = [line.width, (drawn == "double") ? 2 : 0.5].max
            ["border-#{side}", "#{width}px #{drawn} #{Colour.hex(line.color) || "currentColor"}"]
          end
        end

        # length: ->(points) { how a length is said }
        def initialize(length: ->(points) { "#{points}pt" })
          @length = length
        end

        # {property => value} in CSS of a paragraph's look.
        def paragraph(look)
          css = {
            "text-indent" => length(look[:first_line]), "padding-left" => length([look[:indent_left], 0].max),
            "padding-right" => length([look[:indent_right], 0].max),
            "padding-top" => length([look[:space_before], 0].max),
            "padding-bottom" => length([look[:space_after], 0].max), **lines(look[:line_spacing])
          }
          css["margin-left"] = length(look[:indent_left]) if look[:indent_left].negative?
          css["direction"] = "rtl" if look[:right_to_left]
          css.merge(mapped(PARAGRAPH, look))
        end

        # The same of the look of letters.
        def run(look)
          css = {"font-family" => family(look),
                 "font-size" => length(look[:size] * ((look[:position] == "normal") ? 1 : RAISED))}
          lines = [("underline" if look[:underline] != "none"), ("line-through" if look[:strike])].compact
          css["text-decoration"] = lines.join(" ") unless lines.empty?
          css["vertical-align"] = look[:position] unless look[:position] == "normal"
          css["letter-spacing"] = length(look[:letter_spacing]) unless look[:letter_spacing].zero?
          css.merge(mapped(RUN, look))
        end

        # What a paragraph needs of its letters: their size, and how tall a line of them is.
        def lines_of(letters)
          natural = Layout::Fonts.face(letters).line_height.round(4)
          {"font-size" => length(letters[:size]), "line-height" => "var(--line,calc(var(--lines,1)*#{natural}))"}
        end

        # The stand-in for a font that ships with the application, and its kind.
        def family(look)
          stand_in = ShippedFonts.stand_in(look[:font])
          "\"#{stand_in.family}\", #{GENERIC.fetch(stand_in.kind, "sans-serif")}"
        end

        private

        def length(points)
          @length.call(points)
        end

        def lines(spacing)
          return {"--lines" => spacing[:value].round(4).to_s} if spacing[:rule] == "multiple"
          {"--line" => length(spacing[:value])}
        end

        def mapped(table, look)
          table.inject({}) { |css, (name, say)| css.merge(say.call(look[name])) }
        end
      end
    end
  end
end
