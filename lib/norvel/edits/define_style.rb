# frozen_string_literal: true

module Norvel
  module Edits
    # Makes a paragraph style from values.
    class DefineStyle < Edit
      # name: what people see; based_on, next_id: ids or nil; values by names of the property table
      def initialize(name, based_on: nil, next_id: nil, values: {})
        @name = name.to_s.strip
        @based_on = based_on
        @next_id = next_id
        @values = values
      end

      def change(document)
        raise Refused, "A style needs a name." if @name.empty?
        raise Refused, "There is a style “#{@name}” already." if document.sheet.named(@name)
        id = document.sheet.free_id(@name)
        style = Styles::Style.new(id:, name: @name, based_on: @based_on || document.sheet.default&.id, next_id: @next_id, custom: !Styles::BuiltIn.name?(@name), **outline)
        ChangeStyle.new(id, @values).change(document.with(sheet: document.sheet.put(style)))
      end

      def title(_document)
        "Make the style #{@name}"
      end

      private

      # A heading is one for contents lists and assistive technology too.
      def outline
        level = @name[/\Aheading ([1-9])\z/i, 1] or return {}
        {paragraph: Styles::PropertySet.of(outline_level: level.to_i)}
      end
    end
  end
end
