# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Which conditional formats of a table's style reach a cell, in order of application (ISO/IEC 29500-1 17.7.6,
      # 17.4.55).
      class TableLayout
        BITS = {"firstRow" => 0x20, "lastRow" => 0x40, "firstColumn" => 0x80, "lastColumn" => 0x100, "noHBand" => 0x200,
                "noVBand" => 0x400}.freeze

        def initialize(part, properties, style)
          @style = style
          @look = look(part, properties && part.child(properties, "tblLook"))
        end

        # Rows and columns count from 0.
        def conditions(row, rows, column, columns)
          return [].freeze unless @style&.conditions&.any?
          first_row = @look["firstRow"] && row.zero?
          last_row = @look["lastRow"] && row == rows - 1 && rows > 1
          first_column = @look["firstColumn"] && column.zero?
          last_column = @look["lastColumn"] && column == columns - 1 && columns > 1
          found = ["wholeTable"]
          found << band("Vert", column - (@look["firstColumn"] ? 1 : 0), @style.bands[1]) unless @look["noVBand"] ||
            first_column || last_column
          found << band("Horz", row - (@look["firstRow"] ? 1 : 0), @style.bands[0]) unless @look["noHBand"] ||
            first_row || last_row
          found << "firstRow" if first_row
          found << "lastRow" if last_row
          found << "firstCol" if first_column
          found << "lastCol" if last_column
          corner = "#{first_row ? "n" : ("s" if last_row)}#{first_column ? "w" : ("e" if last_column)}Cell"
          found << corner if corner.size == 6
          found.freeze
        end

        private

        def band(direction, place, size)
          "band#{((place / size) % 2) + 1}#{direction}"
        end

        def look(part, node)
          return BITS.keys.to_h { |name| [name, %w[firstRow firstColumn noVBand].include?(name)] } unless node
          bits = part.attr(node, "val").to_s.hex
          BITS.to_h do |name, bit|
            [name, (said = part.attr(node, name)) ? XmlPart::TRUE_WORDS.include?(said) : bits.anybits?(bit)]
          end
        end
      end
    end
  end
end
