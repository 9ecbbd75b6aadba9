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

  # Where each block of the galley begins: "1:0.0,41:12.5".
  def spine_tops
    spine_bands.each_slice(GalleyRow::BLOCK).map { |bands| "#{bands.first.id}:#{bands.first.top.round(1)}" }.join(",")
  end

  STEP = 9 # of the strip's height that one step of the ribbon stands for
  REACH = 8.0 # how far the ribbon reaches out where most must be mended

  # How densely the text must be mended, from its begin to its end: a ribbon as one path, empty where nothing must.
  def spine_density
    counts = must_counts
    rows = spine_bands.group_by { |band| (band.top / STEP).floor }
    weights = rows.transform_values { |bands| bands.sum { |band| counts[band.id] }.fdiv(bands.size) }
    most = weights.values.max.to_f
    return "" if most.zero?
    weights.reject { |_, weight| weight.zero? }.map do |row, weight|
      reach = [REACH * weight / most, 1.2].max.round(1)
      "M51 #{row * STEP}h#{reach}v#{STEP}h-#{reach}z"
    end.join
  end

  # How many findings of severity must stand at each paragraph, by id; all of them where no guide was chosen.
  def must_counts
    musts = manuscript.check.findings.select { |finding| finding.severity == "must" || !guided? }
    musts.filter_map(&:paragraph).tally.tap { |counts| counts.default = 0 }
  end
end
