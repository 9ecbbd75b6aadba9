# frozen_string_literal: true

module Norvel
  class Document
    # A named page set-up: the sheet, its margins, the place of running head and foot, columns; lengths in points. A
    # section is in it when its set-up is the same, so that nothing can point at a style that it does not have. Other
    # programs that write a section know no such name: there the section says its set-up itself.
    PageStyle = Value.define(:name, *SetUp::FIELDS) do
      include SetUp

      self::LABELS = {width: "Sheet width", height: "Sheet height", margin_top: "Margin above",
                      margin_bottom: "Margin below", margin_left: "Margin at the left",
                      margin_right: "Margin at the right",
                      header: "Running head at", footer: "Running foot at", columns: "Columns"}.freeze

      # The set-up of a section under a name.
      def self.of(section, name)
        new(name:, **section.set_up)
      end

      # Is the section set up so? Within a twip, as lengths go through files.
      def worn_by?(section)
        set_up.all? do |name, value|
          (name == :columns) ? section.columns == value : Length.equal?(section[name], value)
        end
      end
    end
  end
end
