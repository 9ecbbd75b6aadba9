# frozen_string_literal: true

# Paragraphs that a page names shortly: "1-3,7". However much is named, the work is that of the document's own
# paragraphs.
module Spans
  MOST = 20_000 # spans in one request

  module_function

  # "1-3,7" for ids.
  def write(ids)
    ids.chunk_while { |one, other| other == one + 1 }
      .map { |run| (run.size == 1) ? run.first.to_s : "#{run.first}-#{run.last}" }.join(",")
  end

  # The ids of a document's paragraphs that are named, each once, in the order of the document. Raises Door::Malformed.
  def read(text, paragraphs)
    spans = text.split(",")
    if spans.size > MOST
      raise Door::Malformed, "More was selected than one request can name: select everything instead."
    end
    ranges = merged(spans.map { |span| range(span) })
    paragraphs.map(&:id).select { |id| (found = ranges.bsearch { |range| range.end >= id }) && found.begin <= id }
  end

  def range(span)
    first, last = span.split("-", 2).map(&:to_i)
    (first || 0)..(last || first || 0)
  end

  # Ranges in order that do not touch.
  def merged(ranges)
    ranges.reject { |range| range.end < range.begin }.sort_by(&:begin).each_with_object([]) do |range, kept|
      (kept.last && range.begin <= kept.last.end) ? kept[-1] = kept.last.begin..[kept.last.end, range.end]
        .max : kept << range
    end
  end
end
