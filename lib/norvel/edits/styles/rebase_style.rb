# frozen_string_literal: true

module Norvel
  module Edits
    # Bases a style on another, or on none. What it sets itself stays; circles are refused.
    class RebaseStyle < StyleEdit
      def initialize(id, base)
        @id = id
        @base = base.to_s.empty? ? nil : base
      end

      def change(document)
        style = style(document, @id)
        base = @base && style(document, @base)
        raise Refused, "#{style.name} can't be based on itself." if base.equal?(style)
        raise Refused, "#{style.name} is a #{style.type} style and #{base.name} a #{base.type} style." if base &&
          base.type != style.type
        raise Refused, "#{base.name} is based on #{style.name} already: that would be a circle." if base &&
          document.styles.chain(base).include?(style)
        document.with(styles: document.styles.put(style.with(based_on: @base)))
      end

      def title(document)
        "Base #{name_of(document, @id)} on #{@base ? name_of(document, @base) : "the document"}"
      end
    end
  end
end
