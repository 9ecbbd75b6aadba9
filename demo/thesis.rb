# frozen_string_literal: true

module Demo
  # A thesis of some sixty pages as it grows over years on several computers: one style, everything else by hand.
  class Thesis
    include Markup

    TITLE = "Salt and Timber: repairing the tide mills of the Ravel"
    CHAPTERS = ["The Estuary and its Mills", "The Wheel Pit", "Accounts of Repair", "Timber and its Marks",
      "The Dispute over the Channel", "Two Surveys Compared", "What the Tides Left"].freeze
    SERIF = '<w:rFonts w:ascii="Times New Roman" w:hAnsi="Times New Roman"/>'
    BODY_SIZE = '<w:sz w:val="24"/>'
    DOUBLE = '<w:spacing w:line="480" w:lineRule="auto"/>'
    # Indents that were meant to be one: 1.90, 1.93 and 1.91 cm.
    INSETS = [1077, 1077, 1077, 1094, 1077, 1083].freeze

    def initialize
      @prose = Prose.new(1871)
      @notes = 0
      @footnotes = +""
      @figures = @tables = @images = 0
    end

    def bytes
      body = front + CHAPTERS.each_with_index.map { |title, index| chapter(title, index + 1) }.join + references +
        section(left: 1701)
      Package.new(body:, styles:, footnotes: @footnotes, footer: page_number, image: Picture.png).bytes
    end

    private

    def styles
      defaults("Calibri", 22) + style("Normal", "Normal", default: true) +
        style("DefaultParagraphFont", "Default Paragraph Font", type: "character", default: true) +
        style("Heading1", "heading 1", based_on: "Normal", next_id: "Normal",
          ppr: '<w:keepNext/><w:spacing w:before="480"/><w:outlineLvl w:val="0"/>',
          rpr: '<w:b/><w:color w:val="365F91"/><w:sz w:val="28"/>') +
        style("Heading2", "heading 2", based_on: "Normal", next_id: "Normal",
          ppr: '<w:keepNext/><w:spacing w:before="200"/><w:outlineLvl w:val="1"/>',
          rpr: '<w:b/><w:color w:val="4F81BD"/><w:sz w:val="26"/>')
    end

    def blank(count = 1)
      p("", @prose.chance?(0.3) ? %(<w:rPr>#{SERIF}#{BODY_SIZE}</w:rPr>) : "") * count
    end

    def centred(text, properties)
      p(r(text, properties), '<w:jc w:val="center"/>')
    end

    def front
      blank(6) + centred(TITLE, "#{SERIF}<w:b/><w:sz w:val=\"44\"/>") + blank(3) +
        centred("A thesis handed in to the Graduate Office of Ravelmouth", "#{SERIF}#{BODY_SIZE}") + blank(2) +
        centred("Ines Aldermoor", "#{SERIF}<w:sz w:val=\"28\"/>") + blank(5) +
        centred("Ravelmouth, 2026", "#{SERIF}#{BODY_SIZE}") + p(%(<w:r><w:br w:type="page"/></w:r>)) +
        fake_heading("Abstract", 32, centre: true) + blank + plain(@prose.paragraph(6..8)) + blank +
        plain(@prose.paragraph(4..6)) + p(%(<w:r><w:br w:type="page"/></w:r>))
    end

    def fake_heading(text, half_points, centre: false, italic: false)
      p(r(text, "#{SERIF}<w:b/>#{"<w:i/>" if italic}<w:sz w:val=\"#{half_points}\"/>"),
        centre ? '<w:jc w:val="center"/>' : "")
    end

    def chapter(title, number)
      start = fake_heading("CHAPTER #{number}. #{title.upcase}", 32, centre: true) + blank
      start + Array.new(4) { plain(@prose.paragraph) + gap }.join +
        Array.new(5) { |index| topic("#{number}.#{index + 1}") }.join +
        ((number == CHAPTERS.size) ? "" : p(%(<w:r><w:br w:type="page"/></w:r>)))
    end

    def topic(number)
      heading = p(r("#{number} #{@prose.heading}", "#{SERIF}<w:b/><w:sz w:val=\"#{@prose.chance?(0.1) ? 27 : 28}\"/>"))
      text = Array.new(@prose.number(5..7)) { |index| [plain(@prose.paragraph), extra(index)].join + gap }.join
      third = @prose.chance?(0.4) ? fake_heading(@prose.heading, 24, italic: true) + plain(@prose.paragraph) + gap +
        plain(@prose.paragraph) + gap : ""
      heading + blank + text + third
    end

    def gap
      @prose.chance?(0.5) ? blank : ""
    end

    # One of the things that stand between paragraphs.
    def extra(index)
      return "" unless index == 2 || @prose.chance?(0.08)
      case @prose.number(0..3)
      when 0, 1 then quotation
      when 2 then figure
      else data
      end
    end

    def plain(text)
      lead = @prose.chance?(0.85) ? "\t" : "     "
      text = text.sub(". ", ".  ") if @prose.chance?(0.15)
      text = text.sub(/, (?=[a-z])/, ",\n") if @prose.chance?(0.04)
      size = @prose.chance?(0.04) ? '<w:sz w:val="23"/>' : BODY_SIZE
      inside = "#{SERIF}#{size}"
      p(decorated(lead + text, inside), "#{DOUBLE}<w:jc w:val=\"both\"/>")
    end

    # Titles of works in italics, now and then a note.
    def decorated(text, inside)
      return r(text, inside) + marker(inside) unless @prose.chance?(0.3)
      at = text.index(". ", text.size / 3)
      return r(text, inside) unless at
      r("#{text[0..at]} The passage is quoted in ", inside) +
        r(@prose.pick(Prose::WORKS), "#{SERIF}<w:i/>#{inside.delete_prefix(SERIF)}") +
        r(" without a date.#{text[(at + 1)..]}", inside) + marker(inside)
    end

    def marker(_inside)
      return "" unless @prose.chance?(0.12)
      @notes += 1
      @footnotes << footnote(@notes, "#{@prose.pick(Prose::WORKS)}, leaf #{@prose.number(2..90)}. #{@prose.sentence}")
      note(@notes)
    end

    def quotation
      p(r(@prose.quotation, "#{SERIF}<w:sz w:val=\"20\"/>"),
        %(<w:ind w:left="#{INSETS[@prose.number(0...INSETS.size)]}"/><w:jc w:val="both"/>))
    end

    def figure
      @figures += 1
      @images += 1
      p(image(@images), '<w:jc w:val="center"/>') + p(r("Figure #{@figures}. #{@prose.heading}, from the east bank",
        "#{SERIF}<w:i/><w:sz w:val=\"20\"/>"), '<w:jc w:val="center"/>')
    end

    def data
      @tables += 1
      rows = [%w[Year Repair Sum]] + Array.new(4) { |n|
        [(1780 + (n * @prose.number(2..9))).to_s, @prose.pick(Prose::NOUNS), "#{@prose.number(3..40)} crowns"]
      }
      p(r("Table #{@tables}. #{@prose.heading}", "#{SERIF}<w:i/><w:sz w:val=\"20\"/>")) +
        table(rows, cell: "#{SERIF}<w:sz w:val=\"20\"/>")
    end

    def references
      list = Array.new(24) do |n|
        [Prose::WORKS[n % 5], %w[Aldermoor Brack Cullen Dunmere Eskew Farrow Gale Haldane][n % 8]]
      end
      p(%(<w:r><w:br w:type="page"/></w:r>)) + fake_heading("REFERENCES", 32, centre: true) + blank +
        list.sort_by(&:last).each_with_index
          .map { |(work, name), index|
          p(r("#{name}, #{%w[A. B. C. D.][index % 4]} (#{1890 + (index * 5)}). ",
            "#{SERIF}#{BODY_SIZE}") + r(work, "#{SERIF}<w:i/>#{BODY_SIZE}") +
              r(". Ravelmouth: Quay Press.", "#{SERIF}#{BODY_SIZE}"), '<w:ind w:left="720" w:hanging="720"/>')
        }.join
    end
  end
end
