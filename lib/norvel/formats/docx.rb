# frozen_string_literal: true

module Norvel
  module Formats
    # WordprocessingML packages, ISO/IEC 29500.
    module Docx
      TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml"

      FORMAT = Format.new(
        name: "docx", label: ".docx",
        extensions: {
          ".docx" => "#{TYPE}.document", ".dotx" => "#{TYPE}.template",
          ".docm" => "application/vnd.ms-word.document.macroEnabled.12"
        },
        marks: ->(bytes) { Signature.archive?(bytes) },
        reader: ->(bytes, name:) { Reader.new(Container.new(bytes), name:).document },
        writer: ->(document) { Written.new(Writer.new(document).bytes, CarryReport.new) },
        template: ->(document) { TemplateWriter.new(document).bytes },
        rules: CascadeRules, retold: Canonical.method(:of), terms: Terms,
        builder: ->(document, report) { Builder.new(document, report).bytes },
        kinds: ->(bytes, extension) { Kinds.made(bytes, extension) }
      )
    end
  end
end
