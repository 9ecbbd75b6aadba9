# frozen_string_literal: true

module Norvel
  module Edits
    # Makes a paragraph or character style from values.
    class DefineStyle < StyleEdit
      # name: what people see; type: "paragraph" or "character"; based_on, next_id: ids or nil; values by names of the
      # property table
      def initialize(name, type: "paragraph", based_on: nil, next_id: nil, values: {})
        @name = name.to_s.strip
        @type = type
        @based_on = based_on
        @next_id = next_id
        @values = values
      end

      def change(document)
        refuse_name(document, @name)
        refuse_kind(document)
        id = document.free_style_id(@name)
        style = Styles::Style.new(id:, name: @name, type: @type, based_on: @based_on ||
          document.styles.default(@type)&.id, next_id: @next_id, custom: !Styles::BuiltIn.name?(@name), **outline)
        ChangeStyle.new(id, @values).change(document.with(styles: document.styles.put(style)))
      end

      def title(_document)
        "Make the style #{@name}"
      end

      private

      def refuse_kind(document)
        raise Refused, "A style made from values is one of paragraphs or of characters." unless %w[paragraph character]
          .include?(@type)
        base = @based_on && style(document, @based_on)
        raise Refused, "#{@name} would be a #{@type} style and #{base.name} is a #{base.type} style." if base &&
          base.type != @type
      end

      # A heading is one for contents lists and assistive technology too.
      def outline
        level = (@type == "paragraph") && @name[/\Aheading ([1-9])\z/i, 1] or return {}
        {paragraph: Styles::PropertySet.of(outline_level: level.to_i)}
      end
    end
  end
end
