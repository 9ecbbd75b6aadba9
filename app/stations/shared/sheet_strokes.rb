# frozen_string_literal: true

# A laid-out sheet as a small drawing: its lines as bars where they fall, one path a form, so that a wall of hundreds
# stays light. Units: points of the sheet.
module SheetStrokes
  BAR = 0.55 # of a line's height that its bar takes

  # {form => path} of a sheet's lines, pictures and notes.
  def sheet_paths(sheet, whose = document)
    paths = Hash.new { |all, form| all[form] = +"" }
    sheet.each_line { |line| bar(paths[line_form(line, whose)], line) }
    sheet.note_lines.each { |line| bar(paths["n"], line) }
    things(sheet) { |x, y, w, h| paths["i"] << "M#{x.round} #{y.round}h#{w.round}v#{h.round}h-#{w.round}z" }
    paths.reject { |_, path| path.empty? }
  end

  private

  def line_form(line, whose)
    return "n" if line.block.beside?
    @forms ||= {}.compare_by_identity
    @forms[line.block.paragraph] ||= Strokes::FORMS[Norvel::Survey.role(whose, line.block.paragraph)]
  end

  def bar(path, line)
    return if line.width < 0.5
    tall = [line.height * BAR, 11].min
    wide = line.width.round
    path << "M#{line.left.round} #{(line.baseline - (tall * 0.8)).round}h#{wide}v#{tall.round}h-#{wide}z"
  end

  # Pictures and boxes: in lines, and at their anchors above them.
  def things(sheet)
    sheet.each_line do |line|
      block = line.block
      if line.line.zero?
        Norvel::Layout::Placing.places(block, line.x, line.top) { |one, x, y| yield x, y, one.width, one.height }
      end
      next unless block.set_items.objects
      line.spans.filter_map { |span| [span, span.object] if span.object }.each do |span, object|
        yield span.x, line.baseline - object.height, span.width, object.height + object.depth
      end
    end
  end
end
