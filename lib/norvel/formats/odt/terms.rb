# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # What a Translation needs to know of OpenDocument: its kinds of style, its names, ids and slots.
      module Terms
        SLOTS = PropertyTable::CODECS.to_h { |place, codecs| [place, codecs.keys] }
          .merge(paragraph: PropertyTable::PARAGRAPH.keys + Translation::STRUCTURE).freeze

        module_function

        # Types of styles that it has.
        def types
          %w[paragraph character numbering]
        end

        # A base style of words is none here.
        # Does it take this style over?
        def keeps?(style)
          style.paragraph? || !style.default
        end

        # Do styles of all kinds share one space of names?
        # Is a name one style's alone, of whatever type?
        def shared_names?
          false
        end

        # Can a style of paragraphs name one of words?
        def linked?
          false
        end

        # May a formula say itself that it has a line of its own?
        def formula_lines?
          false
        end

        # {slot => true} of what can be set on :paragraph or :run.
        def slots(place)
          SLOTS.fetch(place)
        end

        # The name that is usual there for a style.
        def name(names, name, base)
          base ? StyleReader::USUAL : names.fetch(name, name)
        end

        # An id for a style of this name that is not taken.
        def id(name, style, _taken)
          Names.id(Names.encoded(name), style.type)
        end

        # {id of a list => its id there}
        def definition_ids(ids)
          ids.to_h { |id| [id, id] }
        end

        # The styles, told which are the defaults.
        def defaults(styles)
          styles.map { |style| style.paragraph? ? style : style.with(default: false) }
        end
      end
    end
  end
end
