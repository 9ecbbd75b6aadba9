# frozen_string_literal: true

module Norvel
  module Formats
    # Text and nothing else.
    module PlainText
      MARKUP = MarkupFormat.new(
        name: "text", guesses: true, label: "plain text", extensions: {".txt" => "text/plain"},
        reader: ->(source) { Reader.text(source) },
        writer: ->(text, report, **) { Writer.new(text, report).source }
      )
    end
  end
end
