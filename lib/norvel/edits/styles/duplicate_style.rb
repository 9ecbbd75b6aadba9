# frozen_string_literal: true

module Norvel
  module Edits
    # Makes a style that is like another, under a name of its own.
    class DuplicateStyle < StyleEdit
      def initialize(id, name)
        @id = id
        @name = name.to_s.strip
      end

      def change(document)
        style = style(document, @id)
        refuse_name(document, @name)
        id = document.free_style_id(@name)
        custom = !Styles::BuiltIn.name?(@name)
        copy = style.with(id:, name: @name, default: false, custom:, link: nil, source: nil)
        document.with(styles: document.styles.put(copy))
      end

      def title(document)
        "Make #{@name} like #{name_of(document, @id)}"
      end
    end
  end
end
