# frozen_string_literal: true

# The sheets of a document beside what they were: those that show other lines, a pair at a time.
module SheetsBesideView
  # [[sheet before, sheet now], …] of those that differ, either nil.
  def sheet_pairs
    @sheet_pairs ||= Norvel::Report::Ripple::Pages.new(sheets_before, pages).changed
  end

  def sheets_before
    Norvel::Layout.pages(beside) || Norvel::Layout.of(beside, known: pages)
  end

  # The pair that is shown, counted from 0.
  def pair_at
    whole(:pair).clamp(0, [sheet_pairs.size - 1, 0].max)
  end

  # "sheet 3, the 1st of 12 that differ"
  def pair_words
    return "no sheet differs" if sheet_pairs.empty?
    "#{number(pair_at + 1)} of #{counted(sheet_pairs.size, "sheet")} that differ · " \
      "#{counted(sheets_before.sheets.size, "sheet")} before, #{number(pages.sheets.size)} now"
  end

  # Lines of a sheet that the other does not have at this place, as one path behind the text.
  def lines_apart(sheet, other)
    known = other ? other.lines.to_h { |line| [line_key(line), true] } : {}
    sheet.lines.reject { |line| known[line_key(line)] }.map do |line|
      "M#{fine(line.left - 2)} #{fine(line.top)}h#{fine(line.width + 4)}v#{fine(line.height)}h#{fine(-line.width - 4)}z"
    end.join
  end

  private

  def line_key(line)
    [line.text, line.left.round, line.baseline.round, line.width.round]
  end
end
