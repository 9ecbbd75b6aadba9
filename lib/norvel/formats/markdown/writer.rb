# frozen_string_literal: true

module Norvel
  module Formats
    module Markdown
      # Markup::Text to Markdown (CommonMark 0.31, with tables, strikethrough and notes as they are usual): front
      # matter, headings by their level, lists by their places.
      class Writer
        SPECIAL = /([\\`*_\[\]<>|~])/
        BEGINNING = /\A(\s*)([#+>-]|\d+[.)]|=+\s*\z)/
        MARKS = {bold: "**", italic: "*", strike: "~~"}.freeze
        UNSAID = {underline: "underlined words", highlight: "highlighted words"}.freeze
        POSITIONS = {"super" => "sup", "sub" => "sub"}.freeze
        FRONT = {title: "title", author: "author", language: "lang"}.freeze

        # plain: without signs for what is set apart
        def initialize(text, report, plain: false)
          @text = text
          @plain = plain
          @report = report
          @notes, @met = {}, []
          @shift = (text.blocks.any? { |block| block.role == "title" }) ? 1 : 0
        end

        # The text in Markdown.
        def source
          [front, body(@text.blocks), notes].reject(&:empty?).join("\n\n") + "\n"
        end

        private

        def front
          said = @text.info.slice(*FRONT.keys)
          return "" if said.empty?
          ["---", *said.map { |field, value| "#{FRONT[field]}: #{value.to_json}" }, "---"].join("\n")
        end

        def body(blocks)
          groups = Markup.groups(blocks)
          groups.map { |group| group(group) }.reject(&:empty?).join("\n\n")
        end

        def group(group)
          first = group.first
          return list(group) if first.place
          case first.role
          when "code" then fenced(group)
          when "quote" then group.map { |block| "> #{words(block)}".gsub("\n", "\n> ") }.join("\n>\n")
          when "table" then table(first)
          else paragraph(first)
          end
        end

        def paragraph(block)
          level = (block.role == "title") ? 1 : block.role[/\Aheading_(\d)/, 1]&.to_i&.+(@shift)
          return "#{"#" * [level, 6].min} #{words(block).tr("\n", " ").sub(/\s*(?:\\\s*)+\z/, "")}" if level
          beginning(words(block))
        end

        def fenced(group)
          lines = group.map(&:text)
          fence = "`" * [3, *lines.join("\n").scan(/`{3,}/).map { |ticks| ticks.size + 1 }].max
          [fence, *lines, fence].join("\n")
        end

        # --- lists ---

        # Entries are set in by the width of the markers they stand under.
        def list(blocks)
          widths = []
          counts = Hash.new(0)
          last = nil
          blocks.map { |block|
            place = block.place
            level = [place.level, widths.size].min
            other = last && last.level == place.level && (last.key != place.key || last.ordered != place.ordered)
            widths = widths.first(level)
            indent = " " * widths.sum
            text = words(block)
            if place.continues
              room = " " * 3
              lines = "\n#{indent}#{room}#{text.gsub("\n", "\n#{indent}#{room}")}"
              last = place
              next lines
            end
            counts[level] = place.start
            marker = place.ordered ? "#{counts[level]}. " : "- "
            widths << marker.size
            last = place
            line = "#{indent}#{marker}#{beginning(text).gsub("\n", "\n#{indent}#{" " * marker.size}")}"
            other ? "\n<!-- -->\n\n#{line}" : line
          }.join("\n")
        end

        # --- tables ---

        def table(block)
          rows = block.rows.map { |row| row.flat_map { |cell| [cell(cell)] + ([""] * (cell.columns - 1)) } }
          @report.approximate("cells over several rows or columns", "one cell") if spans?(block)
          width = rows.map(&:size).max || 1
          rows = rows.map { |row| row + ([""] * (width - row.size)) }
          head = block.rows.first&.all?(&:header) ? rows.shift : [""] * width
          lines = [head, ["---"] * width, *rows].map { |row| "| #{row.join(" | ")} |" }
          caption = block.caption.to_s.empty? ? [] : [escaped(block.caption), ""]
          (caption + lines).join("\n")
        end

        def spans?(block)
          block.rows.flatten.any? { |cell| cell.columns > 1 || cell.rows > 1 }
        end

        def cell(cell)
          lines = cell.blocks.map { |block| (block.role == "table") ? flat(block) : words(block) }
          lines.map { |line| line.gsub(/\\?\n/, "<br>") }.join("<br>")
        end

        # A table in a table has no place in Markdown: its words have.
        def flat(block)
          @report.approximate("tables in tables", "their words in a row")
          block.rows.flatten.flat_map(&:blocks).map { |one| words(one) }.join(" ")
        end

        # --- words ---

        # White space at the beginning of a line would make it code.
        def words(block)
          block.pieces.map { |piece| piece(piece) }.join.strip.gsub(/\n[ \t\u00A0]+/, "\n")
        end

        # What would be read as markup at the beginning of a line is not.
        def beginning(text)
          text.lines.map { |line| line.sub(BEGINNING) { "#{$1}#{mute($2)}" } }.join
        end

        def mute(sign)
          sign.match?(/\A\d/) ? sign.sub(/([.)])\z/, "\\\\\\1") : "\\#{sign}"
        end

        def piece(piece)
          return note(piece.note) if piece.note
          return image(piece.image) if piece.image
          return formula(piece) if piece.formula
          linked = piece.link&.match?(Markup::ADDRESS) && !@plain
          marked(piece).then { |text| linked ? "[#{text}](#{address(piece.link)})" : text }
        end

        def formula(piece)
          @report.approximate("formulas", "their letters in a row")
          escaped(piece.text)
        end

        # Signs of emphasis stand at letters, spaces outside of them.
        def marked(piece)
          before, inside, after = piece.text.match(/\A(\s*)(.*?)(\s*)\z/m).captures
          return piece.text.gsub("\n", "\\\n") if inside.empty?
          text = (piece.marks[:code] && !@plain) ? code(inside) : escaped(inside)
          marks = @plain ? {} : piece.marks
          text = tagged(POSITIONS[marks[:position]], text) if POSITIONS.key?(marks[:position])
          UNSAID.each { |name, what| @report.approximate(what, "plain words") if marks[name] }
          MARKS.each { |name, sign| text = "#{sign}#{text}#{sign}" if marks[name] }
          "#{before}#{text}#{after}".gsub("\n", "\\\n")
        end

        def tagged(tag, text)
          "<#{tag}>#{text}</#{tag}>"
        end

        def code(text)
          ticks = "`" * ((text.scan(/`+/).map(&:size).max || 0) + 1)
          pad = " " if text.start_with?("`") || text.end_with?("`")
          "#{ticks}#{pad}#{text}#{pad}#{ticks}"
        end

        def escaped(text)
          text.gsub(SPECIAL) { "\\#{$1}" }.gsub(/&(?=#?\w+;)/, "&amp;")
        end

        def address(link)
          link.match?(/[\s()<>]/) ? "<#{link.gsub(/[<>]/) { |sign| format("%%%02X", sign.ord) }}>" : link
        end

        def image(image)
          @report.lost("images, whose files can't be in a text") if image.bytes
          "![#{escaped(image.description)}](#{address(image.address.to_s)})"
        end

        # --- notes ---

        def note(key)
          number = @notes[key] ||= @met.push(key).size
          "[^#{number}]"
        end

        def notes
          found = []
          while (key = @met[found.size]) # notes may name others
            blocks = @text.notes[key] || []
            found << "[^#{@notes[key]}]: #{blocks.map { |block| words(block) }.join("\n\n").gsub("\n", "\n    ")}"
          end
          found.join("\n\n")
        end
      end
    end
  end
end
