# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A package of the standard's strict kind as one of its transitional kind, which may hold all that the other may
      # (ISO/IEC 29500-4 1): the names of its schemas and relationships are the other's.
      module Transitional
        STRICT = %r{http://purl\.oclc\.org/ooxml/([\w./]+)}n
        # By their last names in the strict kind; where the year stands in the other (ISO/IEC 29500-4, annexes A and B).
        PLACES = %w[wordprocessingml drawingml officeDocument presentationml spreadsheetml schemaLibrary].freeze
        CONFORMANCE = /\s(?:[\w.-]+:)?conformance\s*=\s*["']strict["']/n
        PART = /\.(?:xml|rels)\z/i

        module_function

        # A Container of a Container.
        def of(container)
          changed = container.names.grep(PART).to_h { |name| [name, converted(container.read(name))] }.compact
          Container.new(Archive.write(container, changed))
        end

        def converted(bytes)
          text = bytes.b
          return unless STRICT.match?(text)
          text.gsub(STRICT) { name($1) || $& }.sub(CONFORMANCE, "")
        end

        # "wordprocessingml/main" as "…/wordprocessingml/2006/main".
        def name(rest)
          first, *others = rest.split("/")
          ["http://schemas.openxmlformats.org", first, "2006", *others].join("/") if PLACES.include?(first)
        end
        private_class_method :converted, :name
      end
    end
  end
end
