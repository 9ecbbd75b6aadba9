# frozen_string_literal: true

# How the findings went: since the last change, and over all changes; and the exceptions that were granted on the way.
module HistoryView
  LINE = [120.0, 22.0].freeze # width and height of the drawing

  # What the last change made of the findings, nil where there was none.
  def since_last
    was, now = Desk.check_before(manuscript), manuscript.check
    return if was.nil? || was.fault || now.fault || was.document.equal?(now.document)
    @since_last ||= Norvel::Guide::Outcome.new(was, now)
  end

  # How many findings were open after each change that was counted, and now.
  def open_counts
    @open_counts ||= manuscript.ledger_entries.where.not(open_findings: nil).pluck(:open_findings)
  end

  def open_words
    "open findings, change by change: #{open_counts.last(12).join(", ")}"
  end

  # The same as a line, the most at the top.
  def open_path
    wide, high = LINE
    most = [open_counts.max, 1].max.to_f
    points = open_counts.each_with_index.map do |count, index|
      "#{(wide * index / (open_counts.size - 1)).round(1)} #{(1 + ((high - 2) * (1 - (count / most)))).round(1)}"
    end
    "M#{points.join("L")}"
  end

  # [[Exceptions::Granted, the Grant of this document that it is or nil], …]
  def granted_here
    own = manuscript.grants.index_by(&:exception)
    manuscript.check.granted.map { |granted| [granted, own[granted.granted]] }
  end
end
