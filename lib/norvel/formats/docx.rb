# frozen_string_literal: true

module Norvel
  module Formats
    # WordprocessingML packages, ISO/IEC 29500.
    module Docx
      TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml"

      CONVENTIONS = Document::Conventions.new(
        cascade: CascadeRules, cell_margins: {left: 5.4, right: 5.4}.freeze, # 0.075 in, common practice
        headings_by_name: true, chapters_by_style: true, bookmarks_numbered: true, heads_inherited: true,
        sections_end: true, sequences_by_heading: true, labels_computed: true,
        decorations: true
      )

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
        conventions: CONVENTIONS, canonical: Canonical.method(:of), terms: Terms,
        builder: ->(document, report) { Builder.new(document, report).bytes },
        tracked: Tracked.method(:words), stretches: ->(document) { Stretch.new(document) },
        joiner: ->(base, text, **place) { Joining.new(base, text, **place).bytes },
        kinds: ->(bytes, extension) { Kinds.made(bytes, extension) }
      )
    end
  end
end
