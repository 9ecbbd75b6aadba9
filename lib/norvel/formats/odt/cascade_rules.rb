# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # How levels combine in OpenDocument, for Styles::Cascade: the nearest value wins, nothing toggles (ISO/IEC
      # 26300-1 16.2); a set of tab stops replaces the one below; a list level's indents stand just before the place
      # that supplied the list.
      module CascadeRules
        NONE = [].freeze

        module_function

        # The slot that supplies a property, and its value.
        def supply(name, seen, _size = nil)
          [name, seen[name]]
        end

        # Slots whose value others supply.
        def supplied
          NONE
        end

        # Does a slot add to the level below it?
        def merges?(slot)
          slot != :tabs
        end

        # Does a slot that is set twice go back?
        def toggle?(_slot)
          false
        end

        # What a list sets, among what the style and the hand set.
        def with_list(styles, direct, list, supplier)
          Docx::CascadeRules.with_list(styles, direct, list, supplier)
        end

        # A heading is numbered by its own level, whatever style it wears; a paragraph in the style of headings that is
        # none is not numbered (ISO/IEC 26300-1 5.1.2).
        def level_in_list(level, supplier, direct)
          return level unless supplier&.paragraph&.key?(:outline_level) && direct.key?(:outline_level)
          direct[:outline_level] - 1 if direct[:outline_level].positive?
        end

        # Alignment is told by the beginning and end of lines, which are other sides in right-to-left text.
        def settle(values)
          Docx::CascadeRules.settle(values)
        end

        # Spaces of neighbours add up: common practice.
        def space_between(above, below, same_style:, settings:)
          Docx::CascadeRules.space_between(above, below, same_style:, settings:)
        end
      end
    end
  end
end
