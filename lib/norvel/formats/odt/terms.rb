# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # What a Translation needs to know of OpenDocument: its kinds of style, its names, ids and slots.
      module Terms
        SLOTS = PropertyTable::CODECS.to_h { |place, codecs| [place, codecs.keys] }
          .merge(paragraph: PropertyTable::PARAGRAPH.keys + Translation::STRUCTURE).freeze

        module_function

        def types
          %w[paragraph character numbering]
        end

        # A base style of words is none here.
        def keeps?(style)
          style.paragraph? || !style.default
        end

        # Do styles of all kinds share one space of names?
        def shared_names?
          false
        end

        def linked?
          false
        end

        # May a formula say itself that it has a line of its own?
        def formula_lines?
          false
        end

        def slots(place)
          SLOTS.fetch(place)
        end

        def name(names, name, base)
          base ? StyleReader::USUAL : names.fetch(name, name)
        end

        def id(name, style, _taken)
          Names.id(Names.encoded(name), style.type)
        end

        def definition_ids(ids)
          ids.to_h { |id| [id, id] }
        end

        def defaults(styles)
          styles.map { |style| style.paragraph? ? style : style.with(default: false) }
        end
      end
    end
  end
end
