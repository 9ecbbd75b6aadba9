# frozen_string_literal: true

module Norvel
  module Formats
    # OpenDocument text, ISO/IEC 26300: packages (.odt, .ott) and single files (.fodt).
    module Odt
      TYPE = "application/vnd.oasis.opendocument.text"
      TEMPLATE_TYPE = "#{TYPE}-template".freeze
      FLAT_TYPE = "#{TYPE}-flat-xml".freeze

      # The marks of notes are raised: ISO/IEC 26300-1 16.27.31, common practice.
      CONVENTIONS = Document::Conventions.new(cascade: CascadeRules, note_marks_raised: true,
        hyphenated_by_letters: true)

      FORMAT = Format.new(
        name: "odt", label: ".odt", extensions: {".odt" => TYPE, ".ott" => TEMPLATE_TYPE},
        marks: ->(bytes) { Signature.open_document?(bytes) },
        reader: ->(bytes, name:) { Reader.new(Package.new(Container.new(bytes)), name:).document },
        writer: ->(document) { Written.new(Writer.new(document).bytes, CarryReport.new) },
        template: ->(document) { TemplateWriter.new(document).bytes },
        conventions: CONVENTIONS, canonical: Canonical.method(:of), terms: Terms,
        builder: ->(document, report) { Builder.new(document, report).bytes },
        tracked: Tracked.method(:words), stretches: ->(document) { Stretch.new(document) },
        joiner: ->(base, text, **place) { Joining.new(base, text, **place).bytes },
        kinds: ->(bytes, extension) { Kinds.made(bytes, extension) }
      )

      FLAT = Format.new(
        name: "fodt", label: ".fodt", extensions: {".fodt" => FLAT_TYPE},
        marks: ->(bytes) { FlatFile.flat?(bytes) },
        reader: ->(bytes, name:) { Reader.new(Package.new(FlatFile.new(bytes)), name:).document },
        writer: ->(document) { Written.new(Writer.new(document).bytes, CarryReport.new) },
        template: ->(document) { TemplateWriter.new(document).bytes },
        conventions: CONVENTIONS, canonical: Canonical.method(:of), terms: Terms,
        builder: ->(document, report) { Builder.new(document, report, flat: true).bytes }, joined_as: "odt",
        tracked: Tracked.method(:words), stretches: ->(document) { Stretch.new(document) }
      )
    end
  end
end
