# frozen_string_literal: true

module Norvel
  module Edits
    # The style of a paragraph takes over its look; what the paragraph had by hand goes, as it is the style's now.
    class AdoptLook < StyleEdit
      # id: the paragraph; style: the style that adopts, by default the paragraph's own
      def initialize(id, style: nil)
        @id = id
        @style = style
      end

      def change(document)
        paragraph = document.paragraph(@id)
        style = @style ? style(document, @style) : document.style_of(paragraph)
        raise Refused, "The paragraph is in no style that could adopt its look." unless style&.paragraph?
        values = SharedLook.new(document, [paragraph]).beyond(style)
        raise Refused, "The paragraph looks as #{style.name} does already." if values.empty?
        changed = ChangeStyle.new(style.id, values).change(document)
        assigned = changed.replace([changed.paragraph(@id).with(style_id: style.id)])
        ClearDirect.new([@id], keep_emphasis: true).change(assigned)
      end

      def title(document)
        paragraph = document.paragraph(@id)
        name = @style ? name_of(document, @style) : document.style_name(paragraph)
        "Let #{name} adopt the look of paragraph #{document.position(@id) + 1}"
      end
    end
  end
end
