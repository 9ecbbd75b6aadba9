# frozen_string_literal: true

module Norvel
  module Formats
    module Html
      # Markup::Text to a web page (HTML Living Standard): elements by what they mean, one stylesheet made of the
      # styles, images within it, notes as WAI-ARIA roles for documents have them (DPUB-ARIA 1.1).
      class Writer
        MARKS = {bold: "strong", italic: "em", strike: "s", underline: "u", highlight: "mark", code: "code"}.freeze
        POSITIONS = {"super" => "sup", "sub" => "sub"}.freeze
        SELECTORS = {"body" => "p, li", "title" => "h1", "quote" => "blockquote", "caption" => ".caption, caption",
                     "code" => "pre"}.freeze

        # styles: {role => id of the style that its paragraphs wear}; document: of the styles
        def initialize(text, report, document: nil, styles: {})
          @text = text
          @report = report
          @document = document
          @styles = styles
          @notes = {}
          @marked = Hash.new(0)
          @shift = (text.blocks.any? { |block| block.role == "title" }) ? 1 : 0
          @level = 0
        end

        # The page.
        def source
          body = blocks(@text.blocks)
          <<~HTML
            <!DOCTYPE html>
            <html lang="#{h @text.info[:language] || "en"}">
            <head>
            <meta charset="UTF-8">
            <meta name="viewport" content="width=device-width, initial-scale=1">
            <title>#{h title}</title>
            #{meta}<style>
            #{stylesheet}
            </style>
            </head>
            <body>
            #{heading}<main>
            #{body}
            #{notes}</main>
            </body>
            </html>
          HTML
        end

        private

        def h(text)
          text.to_s.encode(xml: :text).gsub("\"", "&quot;")
        end

        def title
          found = @text.info[:title] || @text.blocks.find { |block| block.role.match?(/\Atitle|\Aheading/) }&.text
          found = File.basename(@document.name, ".*") if found.to_s.strip.empty? && @document
          found.to_s.strip.empty? ? "Text" : found.tr("\n", " ")
        end

        # A page has one heading of the first level at least: a text without any has its title above it.
        def heading
          first = @text.blocks.any? { |block| block.role.match?(/\A(?:title|heading_\d)\z/) && block.place.nil? }
          first ? "" : "<header><h1>#{h title}</h1></header>\n"
        end

        def meta
          author = @text.info[:author]
          author ? %(<meta name="author" content="#{h author}">\n) : ""
        end

        # --- blocks ---

        def blocks(list)
          Markup.groups(list).map { |group| group(group) }.join("\n")
        end

        def group(group)
          first = group.first
          return lists(group) if first.place
          case first.role
          when "code" then "<pre><code>#{group.map { |block| h(block.text) }.join("\n")}</code></pre>"
          when "quote" then "<blockquote>\n#{group.map { |block| "<p>#{words(block)}</p>" }.join("\n")}\n</blockquote>"
          when "table" then table(first)
          else paragraph(first)
          end
        end

        def paragraph(block)
          level = level(block) or return %(<p#{' class="caption"' if block.role == "caption"}>#{words(block)}</p>)
          "<h#{level}>#{words(block)}</h#{level}>"
        end

        # Levels go down one by one, so that nobody misses one.
        def level(block)
          asked = (block.role == "title") ? 1 : block.role[/\Aheading_(\d)/, 1]&.to_i&.+(@shift)
          return unless asked
          level = [asked, @level + 1, 6].min
          @report.approximate("levels of headings that are left out", "the next one below") if level < [asked, 6].min
          @level = level
        end

        # --- lists ---

        # Entries of one list, with the lists in them.
        def lists(blocks)
          found = []
          left = blocks.dup
          found << list(left, left.first.place.level) while left.any?
          found.join("\n")
        end

        def list(left, level)
          first = left.first.place
          items = []
          while left.any? && left.first.place.level >= level
            place = left.first.place
            if place.level > level
              items << "" if items.empty?
              items[-1] += "\n#{list(left, place.level)}"
            elsif !items.empty? && !place.continues && (place.key != first.key || place.ordered != first.ordered)
              break
            else
              entry(items, left.shift, place)
            end
          end
          wrapped(first, items)
        end

        def entry(items, block, place)
          text = words(block)
          return items << text unless place.continues && items.any?
          items[-1] = "<p>#{items[-1]}</p>" unless items[-1].start_with?("<p>")
          items[-1] += "\n<p>#{text}</p>"
        end

        def wrapped(place, items)
          inside = items.map { |item| "<li>#{item}</li>" }.join("\n")
          start = %( start="#{place.start}") if place.ordered && place.start != 1
          name = place.ordered ? "ol" : "ul"
          "<#{name}#{start}>\n#{inside}\n</#{name}>"
        end

        # --- tables ---

        def table(block)
          head, body = block.rows.partition.with_index do |row, index|
            row.all?(&:header) && block.rows.first(index + 1).all? { |one| one.all?(&:header) }
          end
          caption = "<caption>#{h block.caption}</caption>\n" unless block.caption.to_s.empty?
          parts = {"thead" => head, "tbody" => body}.reject { |_, rows| rows.empty? }.map do |name, rows|
            "<#{name}>\n#{rows.map { |row| row(row) }.join("\n")}\n</#{name}>"
          end
          "<table>\n#{caption}#{parts.join("\n")}\n</table>"
        end

        def row(cells)
          "<tr>#{cells.map { |cell| cell(cell) }.join}</tr>"
        end

        def cell(cell)
          name, scope = cell.header ? ["th", ' scope="col"'] : ["td", ""]
          spans = {"colspan" => cell.columns, "rowspan" => cell.rows}
            .filter_map { |key, count| %( #{key}="#{count}") if count > 1 }
          plain = cell.blocks.size == 1 && cell.blocks.first.role == "body" && cell.blocks.first.place.nil?
          inside = plain ? words(cell.blocks.first) : blocks(cell.blocks)
          "<#{name}#{scope}#{spans.join}>#{inside}</#{name}>"
        end

        # --- words ---

        def words(block)
          block.pieces.chunk_while { |one, other| one.link && one.link == other.link }.map { |group|
            inside = group.map { |piece| piece(piece) }.join
            link = group.first.link
            link&.match?(Markup::ADDRESS) ? %(<a href="#{h link}">#{inside}</a>) : inside
          }.join.strip
        end

        def piece(piece)
          return note_mark(piece.note) if piece.note
          return image(piece.image) if piece.image
          return Mathml.read(piece.formula).source if piece.formula
          text = h(piece.text).gsub("\n", "<br>\n")
          text = tagged(POSITIONS[piece.marks[:position]], text) if POSITIONS.key?(piece.marks[:position])
          MARKS.inject(text) { |inside, (name, tag)| piece.marks[name] ? tagged(tag, inside) : inside }
        end

        def tagged(tag, text)
          text.strip.empty? ? text : "<#{tag}>#{text}</#{tag}>"
        end

        def image(image)
          return "" unless image.bytes
          type = {".png" => "png", ".jpg" => "jpeg", ".gif" => "gif"}[Markup::ImageSize.ending(image.bytes)]
          unless type
            @report.lost("images of a kind that browsers do not draw")
            return ""
          end
          %(<img src="data:image/#{type};base64,#{[image.bytes].pack("m0")}" alt="#{h image.description}">)
        end

        # --- notes ---

        def note_mark(key)
          number = @notes[key] ||= @notes.size + 1
          place = (@marked[key] += 1)
          id = "noteref-#{number}#{"-#{place}" if place > 1}"
          %(<sup><a href="#note-#{number}" id="#{id}" role="doc-noteref">#{number}</a></sup>)
        end

        def notes
          return "" if @notes.empty?
          done = {}
          while (pending = @notes.reject { |key, _| done.key?(key) }).any?
            pending.each { |key, _| done[key] = (@text.notes[key] || []).map { |block| words(block) } }
          end
          items = done.map do |key, texts|
            back = %(<a href="#noteref-#{@notes[key]}" role="doc-backlink">Back to the text</a>)
            %(<li id="note-#{@notes[key]}">\n#{texts.map { |text| "<p>#{text}</p>" }.join("\n")}\n<p>#{back}</p>\n</li>)
          end
          %(<section role="doc-endnotes" aria-label="Notes">\n<ol>\n#{items.join("\n")}\n</ol>\n</section>\n)
        end

        # --- looks ---

        # One rule for each role, as the style looks that its paragraphs wear.
        def stylesheet
          rules = @styles.filter_map { |role, id| rule(role, id) }
          (["main { max-width: 42em; margin: 0 auto; padding: 1em; }", "table { border-collapse: collapse; }",
            "th, td { border: 1px solid; padding: 0.25em 0.5em; text-align: left; }",
            "img { max-width: 100%; height: auto; }", "pre { overflow-x: auto; }"] + rules).join("\n")
        end

        def rule(role, id)
          selector = SELECTORS[role] || role[/\Aheading_(\d)/, 1]&.then { |level| "h#{[level.to_i + @shift, 6].min}" }
          return unless selector && @document
          style = @document.styles.resolve(id)
          looks = [css_rule(selector, declared(style))]
          looks << css_rule("main > p", {"text-indent" => first_line(style)}) if role == "body"
          looks.join("\n")
        end

        def css_rule(selector, declared)
          "#{selector} { #{declared.map { |name, value| "#{name}: #{value};" }.join(" ")} }"
        end

        # Of running text alone: entries of lists and lines of code have none.
        def first_line(style)
          em([@document.cascade.of_style(style, :paragraph)[:first_line], 0.0].max)
        end

        # What makes sense on a screen of any width.
        def declared(style)
          paragraph, letters = @document.cascade.of_style(style, :paragraph), @document.cascade.of_style(style, :run)
          spacing = paragraph[:line_spacing]
          {
            "font-family" => Stylesheet.new.family(letters), "font-size" => em(letters[:size]),
            "font-weight" => letters[:bold] ? "bold" : "normal", "font-style" => letters[:italic] ? "italic" : "normal",
            "text-align" => paragraph[:align],
            "line-height" => ((spacing[:rule] == "multiple") ? [spacing[:value] * 1.2, 1.2].max.round(2) : 1.4).to_s,
            "margin" => %i[space_before indent_right space_after indent_left]
              .map { |name| em([paragraph[name], 0.0].max) }.join(" ")
          }
        end

        def em(points)
          points.zero? ? "0" : "#{Length.plain((points / 12.0).round(2))}rem"
        end
      end
    end
  end
end
