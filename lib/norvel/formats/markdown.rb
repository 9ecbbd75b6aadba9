# frozen_string_literal: true

module Norvel
  module Formats
    # Markdown: text with signs for headings, lists and emphasis (CommonMark; tables and notes as they are usual).
    module Markdown
      MARKUP = MarkupFormat.new(
        name: "markdown", label: "Markdown", extensions: {".md" => "text/markdown", ".markdown" => "text/markdown"},
        reader: ->(source) { Reader.text(source) },
        writer: ->(text, report, plain: false, **) { Writer.new(text, report, plain:).source }
      )
    end
  end
end
