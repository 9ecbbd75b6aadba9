# frozen_string_literal: true

module Norvel
  module Edits
    # Changes a style for the sake of some paragraphs. Styles based on it that others wear, and other paragraphs in it,
    # look as before: those styles say themselves what they inherited, those paragraphs have it by hand.
    class ChangeStyleFor < Edit
      # style: an id; values: by names of the property table; ids: the paragraphs it is for
      def initialize(style, values, ids)
        @style = style
        @values = values
        @ids = ids
      end

      def change(document)
        after = with_heirs(document, ChangeStyle.new(@style, @values).change(document))
        ours = @ids.to_h { |id| [id, true] }
        fitting = Fitting.new(document, after)
        after.replace(document.everything.filter_map do |paragraph|
          next if ours[paragraph.id] || document.style_of(paragraph)&.id != @style
          now = fitting.fit(paragraph)
          now unless now.equal?(paragraph)
        end)
      end

      def title(document)
        ChangeStyle.new(@style, @values).title(document)
      end

      private

      def with_heirs(document, after)
        wanted = @ids.filter_map { |id| document.style_of(document.paragraph(id))&.id }.to_h { |id| [id, true] }
        heirs = document.sheet.styles.each_value.select do |style|
          style.id != @style && !wanted[style.id] && document.sheet.chain(style).any? { |link| link.id == @style } &&
            document.styles_used[style.id]
        end
        heirs.inject(after) do |now, style|
          values = inherited(document, now, style)
          values.empty? ? now : ChangeStyle.new(style.id, values).change(now)
        end
      end

      # What the style had from its base and would have otherwise now.
      def inherited(before, after, style)
        @values.keys.filter_map { |name|
          property = Styles::Properties[name]
          was, now = [before, after].map do |document|
            document.cascade.of_style(document.sheet[style.id], property.on)[name]
          end
          [name, was] unless property.same?(was, now)
        }.to_h
      end
    end
  end
end
