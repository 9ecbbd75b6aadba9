# frozen_string_literal: true

module Norvel
  module Edits
    # Which slots have to be set for a property to have a value: its twins with it, stronger slots out of the way.
    module Setting
      TWINS = {size: :size_complex, bold: :bold_complex, italic: :italic_complex}.freeze

      module_function

      # {slot => value} of what is set where a property gets a value: with its twin for other scripts.
      def slots(name, value)
        return counted(name, value) if value.is_a?(Length::Counted)
        values = {name => value}
        values[TWINS[name]] = value if TWINS.key?(name)
        values
      end

      # In the slot for lines or characters where the property has one, else in points.
      def counted(name, value)
        slot = :"#{name}_#{(value.unit == "characters") ? "chars" : "lines"}"
        Styles::Properties.slots_of(name).include?(slot) ? {slot => value.hundredths} : {name => value.points}
      end

      # The set with the property at a value, over what levels below give. Slots that would beat it (counted in lines or
      # characters, automatic) are removed, and switched off where a level below has them.
      def put(set, name, value, inherited)
        value = Styles::Properties[name].type.over(inherited[name], value)
        stronger = Styles::Properties.slots_of(name) - slots(name, value).keys
        off = stronger.select { |slot| inherited[slot].is_a?(Integer) && inherited[slot].nonzero? }
          .to_h { |slot| [slot, 0] }
        set.without(*stronger).merge(slots(name, value).merge(off))
      end

      private_class_method :counted
    end
  end
end
