# frozen_string_literal: true

module Norvel
  module Formats
    # What a package holds that a Document does not: it stays in a file of the same format, and is told when the
    # document leaves in another one.
    module Unmodelled
      # [what, how it goes along (nil for not), parts it is looked for in, its mark there (nil: the part itself)]
      DOCX = [
        ["tracked insertions", "plain text", %r{\Aword/[\w.]+\.xml\z}, /<(?:\w+:)?ins\s[^>]*(?<!\/)>/n],
        ["tracked deletions", nil, %r{\Aword/[\w.]+\.xml\z}, /<(?:\w+:)?del\s[^>]*(?<!\/)>/n],
        ["content controls", "their contents", %r{\Aword/document\.xml\z}, /<(?:\w+:)?sdt>/n],
        ["charts and diagrams", nil, %r{\Aword/(?:charts/chart|diagrams/data)\d*\.xml\z}, nil],
        ["embedded objects", nil, %r{\Aword/embeddings/}, nil], ["macros", nil, /vbaProject\.bin\z/, nil],
        ["signatures", nil, %r{\A_xmlsignatures/sig}, nil]
      ].freeze
      OBJECTS = /<draw:object(?:-ole)?[\s>\/]/n
      ODT = [
        ["tracked insertions", "plain text", /\Acontent\.xml\z/, /<text:insertion[\s>\/]/n],
        ["tracked deletions", nil, /\Acontent\.xml\z/, /<text:deletion[\s>\/]/n],
        ["form controls", nil, /\Acontent\.xml\z/, /<draw:control[\s>\/]/n],
        ["embedded objects", "the picture of them, where there is one", /\Acontent\.xml\z/, OBJECTS],
        ["macros", nil, %r{\A(?:Basic|Scripts)/.+\.(?:xml|xba|py|js|bsh)\z}, nil],
        ["signatures", nil, %r{\AMETA-INF/documentsignatures\.xml\z}, nil]
      ].freeze
      TABLES = {"docx" => DOCX, "odt" => ODT}.freeze

      module_function

      # Tells a report of what the document's package holds. report: CarryReport
      def tell(document, report)
        source = document.source
        return unless source.respond_to?(:names)
        TABLES.fetch(document.format, []).each do |what, how, parts, mark|
          count = source.names.grep(parts).sum { |name| mark ? source.read(name).to_s.b.scan(mark).size : 1 }
          count -= formulas(document) if mark == OBJECTS
          next unless count.positive?
          how ? report.approximate(what, how, count:) : report.lost(what, count:)
        end
      end

      # Objects that are mathematics go along.
      def formulas(document)
        document.everything.sum { |paragraph| paragraph.images.count(&:formula) }
      end
      private_class_method :formulas
    end
  end
end
