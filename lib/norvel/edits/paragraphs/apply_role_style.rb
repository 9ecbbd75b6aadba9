# frozen_string_literal: true

module Norvel
  module Edits
    # Puts paragraphs in the style that a guide names for their role; makes the style with the guide's values when the
    # document lacks it.
    class ApplyRoleStyle < Edit
      # ids: paragraphs; name: of the style; values: what the guide asks of it
      def initialize(ids, name, values = {})
        @ids = ids
        @name = name
        @values = values
      end

      def change(document)
        document = DefineStyle.new(@name, values: @values).change(document) unless document.sheet
          .named(@name, "paragraph")
        AssignStyle.new(@ids, document.sheet.named(@name, "paragraph").id).change(document)
      end

      def title(document)
        put = "put #{count(@ids.size)} in #{@name}"
        document.sheet.named(@name, "paragraph") ? put.sub(/\Ap/, "P") : "Make #{@name}, #{put}"
      end
    end
  end
end
