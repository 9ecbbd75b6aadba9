# frozen_string_literal: true

# How a document stands on the shelf: from what was counted at its last change, never from the document itself.
module ShelfView
  METER = 160.0

  def shelf_standing(item)
    return partial(:shelf_fault, item:, message: item.fault) if item.fault
    counts = item.standing or return partial(:shelf_uncounted, item:)
    met, asked = item.rules_met.to_i, [item.rules_asked.to_i, 1].max
    partial(:shelf_standing, item:, met:, asked:, width: (METER * met / asked).round(1), worst: worst_of(counts),
      counts: counts.reject { |_, count| count.zero? })
  end

  # The last worked on first, or those with most that is open.
  def by_order(items)
    (params[:by] == "open") ? items.sort_by { |item| SEVERITY.map { |name| -item[name].to_i } } : items
  end

  SEVERITY = %i[must should advice].freeze

  # While files are being read, the shelf looks again by itself.
  def looks_again
    return "" if @arrivals.all?(&:fault)
    ' hx-get="/" hx-trigger="every 2s" hx-select="#documents" hx-swap="outerHTML"'
  end

  # "no guide chosen"
  def shelf_against(item)
    against_key(item).empty? ? "no guide chosen" : against_words(item)
  end

  # "12 must"; where no guide was chosen "12 things to tidy".
  def count_words(item, severity, count)
    item.guide ? "#{number(count)} #{severity}" : "#{counted(count, "thing")} to tidy"
  end

  # What a file that is not read yet waits for.
  def arrival_words(item)
    before = item.before
    before.zero? ? "Being read." : "Waiting: #{counted(before, "file")} before it."
  end

  # The class of the meter: it looks as good as the worst that is left.
  def worst_of(counts)
    counts.find { |_, count| count.positive? }&.first || "meets"
  end
end
