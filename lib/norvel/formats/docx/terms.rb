# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # What a Translation needs to know of WordprocessingML: its kinds of style, its names, ids and slots.
      module Terms
        SLOTS = PropertyTable::CODECS.transform_values { |codecs| codecs.keys - Translation::OWN }.freeze

        module_function

        # Types of styles that it has.
        def types
          %w[paragraph character numbering]
        end

        # Does it take this style over?
        def keeps?(_style)
          true
        end

        # Is a name one style's alone, of whatever type?
        def shared_names?
          true
        end

        # Can a style of paragraphs name one of words?
        def linked?
          true
        end

        # May a formula say itself that it has a line of its own (ISO/IEC 29500-1 22.1.2.78)?
        def formula_lines?
          true
        end

        # {slot => true} of what can be set on :paragraph or :run.
        def slots(place)
          SLOTS.fetch(place)
        end

        # The name that is usual there for a style.
        def name(names, name, base)
          base ? "Normal" : names.key(name) || name
        end

        # An id for a style of this name that is not taken.
        def id(name, _style, taken)
          stem = name.unicode_normalize(:nfd).gsub(/[^A-Za-z0-9]/, "")
          stem = "Style" if stem.empty?
          return stem unless taken[stem.downcase]
          (1..).lazy.map { |number| "#{stem}#{number}" }.find { |id| !taken[id.downcase] }
        end

        # Definitions have numbers.
        # {id of a list => its id there}
        def definition_ids(ids)
          ids.each_with_index.to_h { |id, number| [id, number.to_s] }
        end

        # A file has a base style of each kind.
        # The styles, told which are the defaults.
        def defaults(styles)
          base = styles.any? { |style| style.paragraph? && style.default }
          added = [
            (Styles::Style.new(id: "Normal", name: "Normal", default: true) unless base),
            Styles::Style.new(id: "DefaultParagraphFont", name: "Default Paragraph Font", type: "character",
              default: true, hidden: true, priority: 1)
          ].compact
          added + styles
        end
      end
    end
  end
end
