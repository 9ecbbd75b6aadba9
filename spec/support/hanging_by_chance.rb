# frozen_string_literal: true

# Texts with images that hang at places of the page, drawn by chance: at either side, in the middle, at a length from
# its edge or margin; text beside them, apart from them, or through them; in one column or two.
class HangingByChance
  include Demo::Markup

  WRAPS = %w[wrapSquare wrapSquare wrapTopAndBottom wrapNone].freeze

  def initialize(seed)
    @dice = Random.new(seed)
    @prose = Demo::Prose.new(seed)
  end

  def document
    body = Array.new(12 + @dice.rand(20)) {
      p("#{image if @dice.rand < 0.12}#{r(@prose.paragraph(20..160))}", '<w:spacing w:after="200"/>')
    }.join
    columns = '<w:cols w:num="2" w:space="400"/>' if @dice.rand < 0.3
    page = '<w:sectPr><w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1440" w:right="1440" w:bottom="1440" ' \
      "w:left=\"1440\" w:header=\"0\" w:footer=\"0\" w:gutter=\"0\"/>#{columns}</w:sectPr>"
    Norvel::Formats.read(Demo::Package.new(body: body + page, styles: "").bytes, name: "hanging.docx")
  end

  # Lines that stand on an image which text gives way to: [[number of the sheet, words of the line], …]
  def self.crossed(pages)
    pages.sheets.flat_map do |sheet|
      boxes = []
      sheet.bands.each do |x, y, column|
        Norvel::Layout::Placing.hanging(column, x, y) { |one, *at| boxes << [one, *at] if one.elsewhere? }
      end
      crossed = sheet.lines.select { |line| boxes.any? { |one, left, top| on?(line, one, left, top) } }
      crossed.map { |line| [sheet.page, line.text] }
    end
  end

  # Are small letters of a line on it? Room above them may be what parts the line from an image.
  def self.on?(line, one, left, top)
    line.width.positive? && line.left < left + one.width - 1 && line.left + line.width > left + 1 &&
      line.baseline - (line.block.set_items.letters.ascent / 2) < top + one.height && line.baseline > top
  end
  private_class_method :on?

  private

  def image
    across = [%w[margin page column].sample(random: @dice), either(%w[left right center], 300)]
    down = [%w[margin page].sample(random: @dice), either(%w[top bottom center], 700)]
    width, height = 60 + @dice.rand(250), 40 + @dice.rand(220)
    '<w:r><w:drawing><wp:anchor distL="114300" distR="114300" distT="63500" distB="63500" simplePos="0">' \
      "<wp:simplePos x=\"0\" y=\"0\"/>#{place("H", *across)}#{place("V", *down)}" \
      "<wp:extent cx=\"#{width * 12_700}\" cy=\"#{height * 12_700}\"/><wp:#{WRAPS.sample(random: @dice)}/>" \
      '<wp:docPr id="1" name="Mill"/></wp:anchor></w:drawing></w:r>'
  end

  def either(words, most)
    (@dice.rand < 0.5) ? words.sample(random: @dice) : @dice.rand(most)
  end

  def place(way, from, where)
    inside = where.is_a?(String) ? "<wp:align>#{where}</wp:align>" : "<wp:posOffset>#{where * 12_700}</wp:posOffset>"
    "<wp:position#{way} relativeFrom=\"#{from}\">#{inside}</wp:position#{way}>"
  end
end
