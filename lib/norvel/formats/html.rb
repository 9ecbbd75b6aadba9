# frozen_string_literal: true

module Norvel
  module Formats
    # Web pages (HTML Living Standard).
    module Html
      MARKUP = MarkupFormat.new(
        name: "html", label: "web page", extensions: {".html" => "text/html", ".htm" => "text/html"},
        reader: ->(source) { Reader.page(source) },
        writer: ->(text, report, document:, styles:, **) { Writer.new(text, report, document:, styles:).source }
      )
    end
  end
end
