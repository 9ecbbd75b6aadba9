# frozen_string_literal: true

module Norvel
  module Formats
    module PlainText
      # Markup::Text to plain text: paragraphs with blank lines between them, titles underlined, lists with their
      # markers, notes at the end.
      class Writer
        LINES = {"title" => "=", "heading_1" => "=", "heading_2" => "-"}.freeze

        def initialize(text, report)
          @text = text
          @report = report
          @notes, @met = {}, []
        end

        # The text without any markup.
        def source
          body = @text.blocks.chunk_while { |one, other| together?(one, other) }
            .map { |group| group.map { |block| block(block) }.join("\n") }
          (body + notes).join("\n\n") + "\n"
        end

        private

        def together?(one, other)
          (one.place && other.place) || (one.role == "code" && other.role == "code")
        end

        def block(block)
          return table(block) if block.role == "table"
          words = words(block)
          return "#{marker(block.place)}#{words}" if block.place
          sign = LINES[block.role] or return words
          "#{words.tr("\n", " ")}\n#{sign * [words.size, 3].max}"
        end

        def marker(place)
          indent = "   " * place.level
          return "#{indent}   " if place.continues
          place.ordered ? "#{indent}#{place.start}. " : "#{indent}- "
        end

        def table(block)
          @report.approximate("tables", "lines of words")
          rows = block.rows.map { |row| row.map { |cell| cell.blocks.map { |one| inner(one) }.join(" ") }.join("\t") }
          [block.caption.to_s, *rows].reject(&:empty?).join("\n")
        end

        def inner(block)
          (block.role == "table") ? table(block).tr("\n", " ") : words(block).tr("\n", " ")
        end

        def words(block)
          block.pieces.map { |piece| piece(piece) }.join
        end

        def piece(piece)
          return "[#{@notes[piece.note] ||= @met.push(piece.note).size}]" if piece.note
          return image if piece.image
          return formula(piece) if piece.formula
          piece.text
        end

        def formula(piece)
          @report.approximate("formulas", "their letters in a row")
          piece.text
        end

        def image
          @report.lost("images")
          ""
        end

        def notes
          found = []
          while (key = @met[found.size]) # notes may name others
            found << "[#{@notes[key]}] #{(@text.notes[key] || []).map { |block| words(block) }.join("\n")}"
          end
          found
        end
      end
    end
  end
end
