# frozen_string_literal: true

module Norvel
  module Edits
    # Gives a style another name, and its linked style one that says so. Built-in names stay, since contents lists and
    # assistive technology go by them.
    class RenameStyle < StyleEdit
      def initialize(id, name)
        @id = id
        @name = name.to_s.strip
      end

      def change(document)
        style = style(document, @id)
        refuse_words(@name)
        if Styles::BuiltIn.name?(style.name)
          raise Refused, "#{style.name} keeps its name: contents lists and assistive technology find such styles by " \
            "it. Make a style based on it instead."
        end
        other = document.styles.named(@name)
        raise Refused, "There is a style “#{other.name}” already: merge the two if they should be one." if other &&
          !other.equal?(style)
        sheet = document.styles.put(style.with(name: @name))
        twin = document.styles.twin(style)
        sheet = sheet.put(twin.with(name: twin_name(document, twin, style))) if twin
        document.with(styles: sheet)
      end

      def title(document)
        "Rename #{name_of(document, @id)} to #{@name}"
      end

      private

      # "X Char" becomes "Y Char"; a twin with a name of its own keeps it.
      def twin_name(document, twin, style)
        wanted = (twin.name.downcase == "#{style.name} char".downcase) ? "#{@name} Char" : twin.name
        document.styles.named(wanted) ? twin.name : wanted
      end
    end
  end
end
