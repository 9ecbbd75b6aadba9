# frozen_string_literal: true

# The whole document as one strip: every paragraph a band, its height the lines it takes, its edges its indents, its
# form its role; notches where findings are.
module Spine
  HEIGHT = 1000.0
  LEFT = 9.0
  ROOM = 38.0

  Band = Struct.new(:id, :top, :height)

  def spine_bands
    @spine_bands ||= begin
      lines = document.paragraphs.map { |paragraph| lines_of(paragraph) + ((form_of(paragraph) == "h1") ? 1.5 : 0.3) }
      scale = HEIGHT / [lines.sum, 40].max
      top = 0.0
      document.paragraphs.zip(lines).map do |paragraph, count|
        Band.new(paragraph.id, top, count * scale).tap { |band| top += band.height }
      end
    end
  end

  # One path a form: thousands of bands, a handful of elements.
  def spine_paths
    paths = Hash.new { |all, form| all[form] = +"" }
    document.paragraphs.zip(spine_bands) do |paragraph, band|
      form = form_of(paragraph)
      next if form == "x"
      look = document.look(paragraph)
      scale = ROOM / document.section_of(paragraph).measure
      left = (look[:indent_left] * scale).clamp(-4, ROOM * 0.6)
      width = ROOM - left - (look[:indent_right] * scale).clamp(-4, ROOM * 0.3)
      width *= 0.62 if form.start_with?("h")
      left += (ROOM - left - width) / 2 if look[:align] == "center"
      wide, tall = width.round(1), [band.height * 0.78, 0.35].max.round(2)
      paths[form] << "M#{(LEFT + left).round(1)} #{band.top.round(2)}h#{wide}v#{tall}h-#{wide}z"
    end
    paths
  end

  # Notches: one a pixel, the worst severity wins.
  def spine_notches
    tops = spine_bands.to_h { |band| [band.id, band.top] }
    worst = {}
    manuscript.check.findings.each do |finding|
      next unless finding.paragraph && finding.severity == "must" && (top = tops[finding.paragraph])
      worst[(top / 9).round] ||= finding
    end
    worst.keys.map { |row| "M51 #{row * 9}l6 -3v6z" }.join
  end
end
