# frozen_string_literal: true

# One sheet in its fonts, with its measures. Units: points of the sheet.
module SheetAtSize
  FURTHER = "Noto Serif Hebrew, TeX Gyre Termes Math, DejaVu Sans" # for what a face lacks
  ROUND = {left: 84, top: 40, right: 100, bottom: 40}.freeze # around the sheet, for dimensions

  def size_view_box(sheet)
    section = section_of_sheet(sheet)
    "#{-ROUND[:left]} #{-ROUND[:top]} #{(section.width + ROUND[:left] + ROUND[:right]).round} " \
      "#{(section.height + ROUND[:top] + ROUND[:bottom]).round}"
  end

  # Lines by paragraph: [[paragraph, [Placed, …]], …]
  def paragraphs_on(sheet)
    sheet.lines.chunk_while { |one, other| one.block.equal?(other.block) }
      .map { |lines| [lines.first.block.paragraph, lines] }
  end

  # What is left of a page at its foot, where it ended before it was full: [y, height] or nil.
  def left_over(sheet)
    spare = sheet.spare
    [fine(sheet.reached), fine(spare)] if spare > 8 && SheetsView::SIGNS.key?(sheet.ended_by) && !sheet.blank
  end

  # The words of lines as SVG text, each span where it stands.
  def set_words(lines)
    lines.flat_map { |line| line.spans.map { |span| span_words(span, line.baseline) } }.join
  end

  # Heads, feet and notes of a sheet.
  def around_words(sheet, whose = pages)
    lines = sheet.note_lines
    whose.heads(sheet).each do |_, x, y, column|
      Norvel::Layout::Placing.column(column, x, y) { |line| lines << line }
    end
    set_words(lines)
  end

  # Where the text stands, how wide and long, and how far head and foot: {name => [words, x, y, anchor]}
  def size_dimensions(sheet)
    section, frame = section_of_sheet(sheet), sheet.frame
    beside = fine(section.width + 10)
    middle = ->(one, other) { fine((one + other) / 2) }
    {
      "left margin" => [spoken_mm(frame.left), middle[0, frame.left], -14, "middle"],
      "measure" => [measure_and_characters(sheet), middle[frame.left, frame.right], -14, "middle"],
      "right margin" => [spoken_mm(section.width - frame.right), middle[frame.right, section.width], -14, "middle"],
      "top margin" => [spoken_mm(frame.top), -12, fine((frame.top / 2) + 4), "end"],
      "lines" => [counted(lines_on(sheet), "line"), -12, middle[frame.top, frame.bottom], "end"],
      "bottom margin" => [spoken_mm(section.height - frame.bottom), -12, middle[frame.bottom + 4, section.height + 4],
        "end"],
      "head at" => ["head #{spoken_mm(section.header)}", beside, fine(section.header + 4), "start"],
      "foot at" => ["foot #{spoken_mm(section.footer)}", beside, fine(section.height - section.footer + 4), "start"]
    }
  end

  # Dimension lines of a sheet as one path.
  def size_strokes(sheet)
    section, frame = section_of_sheet(sheet), sheet.frame
    across = [0, frame.left, frame.right, section.width].each_cons(2).map { |from, to|
      "M#{fine(from)} -8H#{fine(to)}M#{fine(from)} -12v8M#{fine(to)} -12v8"
    }
    down = [0, frame.top, frame.bottom, section.height].each_cons(2).map { |from, to|
      "M-6 #{fine(from)}V#{fine(to)}M-10 #{fine(from)}h8M-10 #{fine(to)}h8"
    }
    (across + down).join
  end

  INSERTED = Norvel::Recent.new(12) # {digest of a file => Norvel::Formats::Insertions}

  # What was inserted in the file while changes were tracked.
  def insertions
    INSERTED.fetch(manuscript.original.digest) { Norvel::Formats::Insertions.new(manuscript.first_document) }
  end

  BAR = 10 # points from the text

  # A bar at the outer side of each line in which something was inserted.
  def change_bars(sheet)
    at = (sheet.side == "left") ? sheet.frame.left - BAR : sheet.frame.right + BAR
    sheet.lines.select { |line| insertions.in?(line) }
      .map { |line| "M#{fine(at)} #{fine(line.top)}v#{fine(line.height)}" }.join
  end

  def baselines(sheet)
    sheet.lines.map { |line| "M#{fine(sheet.frame.left)} #{fine(line.baseline)}H#{fine(sheet.frame.right)}" }.join
  end

  private

  def spoken_mm(points)
    length_words(points)
  end

  def measure_and_characters(sheet)
    blocks = sheet.lines.map(&:block).uniq.select { |block| block.count > 1 }
    counts = blocks.filter_map(&:characters)
    measure = spoken_mm(sheet.frame.width)
    return measure if counts.empty?
    "#{measure} · #{counts.max_by { |count| counts.count(count) }} characters a line"
  end

  def lines_on(sheet)
    sheet.lines.map { |line| line.baseline.round }.uniq.size
  end

  def span_words(span, baseline)
    return thing_drawn(span, baseline) if span.object
    letters = span.letters
    look = letters.look
    font = Norvel::ShippedFonts.stand_in(look[:font]).family
    font += ", #{FURTHER}" unless span.text.ascii_only?
    said = {"x" => fine(span.right_to_left ? span.x + span.width : span.x), "y" => fine(baseline - letters.rise),
            "font-family" => font, "font-size" => fine(letters.size), **letter_attributes(letters, look)}
    said["class"] = "kerned" if letters.kerned?
    said["direction"], said["unicode-bidi"] = "rtl", "bidi-override" if span.right_to_left
    said["word-spacing"] = span.stretch.round(3) unless span.stretch.zero?
    attributes = said.map { |name, value| %(#{name}="#{h value.to_s}") }.join(" ")
    %(<text #{attributes}>#{h(letters.shown(span.text))}</text>)
  end

  def letter_attributes(letters, look)
    lines = [("underline" if underlined?(look)), ("line-through" if look[:strike])].compact
    {
      "font-weight" => ("700" if look[:bold]), "font-style" => ("italic" if look[:italic]),
      "text-decoration" => (lines.join(" ") if lines.any?), "font-variant" => ("small-caps" if letters.small_caps?),
      "letter-spacing" => (fine(letters.spacing) unless letters.spacing.zero?),
      "fill" => Norvel::Colour.hex(look[:color])
    }.compact
  end

  def underlined?(look)
    Norvel::Styles::Properties[:underline].type.json(look[:underline])
  end

  def thing_drawn(span, baseline)
    return formula_drawn(span.object.formula, span.x, baseline, span.letters.look[:color]) if span.object.formula
    object_drawn(span.object, span.x, baseline - span.object.height)
  end
end
