# frozen_string_literal: true

module Norvel
  module Edits
    # Changes a page style, and with it the set-up of every section that is in it; or its name alone.
    class ChangePageStyle < Edit
      include PageStyles

      # values: {margin_left: 85.05, name: "Front matter", …}
      def initialize(name, values)
        @name = name
        @values = values
      end

      def change(document)
        style = page_style(document, @name)
        values = @values.key?(:name) ? @values.merge(name: renamed(document, style)) : @values
        changed = style.with(**values)
        inside = document.sections.each.with_index(1).select { |section, _| style.worn_by?(section) }
          .to_h { |_, number| [number, changed.set_up] }
        set_up(document, inside).with(page_styles: document.page_styles
          .map { |other| other.equal?(style) ? changed : other }.freeze)
      end

      def title(_document)
        said = @values.map { |name, value|
          if name == :name
            "now #{value}"
          else
            said = (name == :columns) ? value : Length.spoken(value, Length.of_sheets)
            "#{Document::PageStyle::LABELS[name].downcase} #{said}"
          end
        }
        "Page style #{@name}: #{said.join(", ")}"
      end

      private

      def renamed(document, style)
        name = @values[:name].to_s.strip
        name.casecmp?(style.name) ? name : free_name(document, name)
      end
    end
  end
end
