# frozen_string_literal: true

module Norvel
  module Edits
    # Deletes styles. What is in one goes to another (its base unless said), looking as that one does or, with
    # keep_look, as before: then what differs is set directly on its users and on styles that were based on it.
    class DeleteStyles < StyleEdit
      def initialize(ids, to: nil, keep_look: false)
        @ids = ids
        @to = to
        @keep_look = keep_look
      end

      def change(document)
        raise Refused, "No style is chosen." if @ids.empty?
        @ids.each { |id| style(document, id) }
        @ids.inject(document) { |now, id| now.styles[id] ? both(now, id) : now }
      end

      def title(document)
        (@ids.size == 1) ? "Delete the style #{name_of(document, @ids.first)}" : "Delete #{count(@ids.size, "style")}"
      end

      private

      # The style and the one that it is linked with: words in that one go where the text goes.
      def both(document, id)
        style = style(document, id)
        twin = document.styles.twin(style)
        heir = heir(document, style)
        return delete(document, style, heir) unless twin
        heir_of_twin = document.styles.twin(document.styles[heir])&.id || heir(document, twin)
        delete(delete(document, style, heir), document.styles[twin.id], heir_of_twin)
      end

      def delete(document, style, heir)
        raise Refused, "#{style.name} is the style of all text that is in no other: it can't go." if style.default
        after = repoint(document, style.id, heir)
        styles = relink(after.styles.by_id.except(style.id), style.id,
          (style.based_on == style.id) ? nil : style.based_on)
        styles = with_own_values(styles, document, style) if @keep_look
        after = with_sheet(after, styles).with(numbering: document.numbering.without_style(style.id))
        @keep_look ? restored(document, after, style) : after
      end

      def heir(document, style)
        return @to if @to && document.styles[@to]&.type == style.type && @to != style.id
        base = document.styles[style.based_on]
        return base.id if base && base.type == style.type
        style.paragraph? ? document.styles.default&.id : nil
      end

      # Styles based on it take over what it set.
      def with_own_values(styles, document, style)
        document.styles.by_id.each_value.select { |other| other.based_on == style.id }.inject(styles) do |now, child|
          now.merge(child.id => now[child.id].with(paragraph: style.paragraph.merge(child.paragraph), run: style.run
            .merge(child.run)))
        end
      end

      def restored(before, after, style)
        after.with_everything(before.everything.zip(after.everything).map do |was, now|
          uses = was.style_id == style.id || was.runs.any? { |run| run.style_id == style.id }
          uses ? Looks.keep(was, before, now, after) : now
        end)
      end
    end
  end
end
