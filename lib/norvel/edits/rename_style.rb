# frozen_string_literal: true

module Norvel
  module Edits
    # Gives a style another name. Built-in names stay, since contents lists and assistive technology go by them.
    class RenameStyle < StyleEdit
      def initialize(id, name)
        @id = id
        @name = name.to_s.strip
      end

      def change(document)
        style = style(document, @id)
        raise Refused, "A style needs a name." if @name.empty?
        raise Refused, "A style's name can't hold a comma or semicolon." if @name.match?(/[,;]/)
        raise Refused, "#{style.name} keeps its name: contents lists and assistive technology find such styles by it. Make a style based on it instead." if Styles::BuiltIn.name?(style.name)
        other = document.sheet.named(@name)
        raise Refused, "There is a style “#{other.name}” already: merge the two if they should be one." if other && !other.equal?(style)
        document.with(sheet: document.sheet.put(style.with(name: @name)))
      end

      def title(document)
        "Rename #{name_of(document, @id)} to #{@name}"
      end
    end
  end
end
