# frozen_string_literal: true

module Norvel
  module Edits
    # What edits of styles share.
    class StyleEdit < Edit
      private

      def style(document, id)
        document.styles[id] or raise Refused, "There is no style “#{id}” in this document."
      end

      # A name must be one that lists of styles can hold.
      def refuse_words(name)
        raise Refused, "A style needs a name." if name.empty?
        raise Refused, "A style's name can't hold a comma or semicolon." if name.match?(/[,;]/)
      end

      # That of a new style must be free, too.
      def refuse_name(document, name)
        refuse_words(name)
        namesake = document.styles.named(name)
        raise Refused, "There is a style “#{namesake.name}” already." if namesake
      end

      def name_of(document, id)
        document.styles[id]&.name || id
      end

      def with_sheet(document, styles)
        document.with(styles: document.styles.with(styles:))
      end

      # Content that is in a style is put in another, in notes and headers too; nil takes a character style off.
      def repoint(document, from, to)
        document.with_everything(document.everything.map do |paragraph|
          paragraph = paragraph.with(style_id: to) if paragraph.style_id == from
          next paragraph unless paragraph.runs.any? { |run| run.style_id == from }
          paragraph.with(runs: paragraph.runs.map { |run| (run.style_id == from) ? run.with(style_id: to) : run }
            .freeze)
        end)
      end

      # Every link from style to style that named one names another.
      def relink(styles, from, to)
        styles.transform_values do |other|
          links = {based_on: other.based_on, next_id: other.next_id}
          next other unless links.value?(from) || other.link == from
          changed = links.transform_values { |id| (id == from) ? to : id }
            .merge(link: (other.link == from) ? nil : other.link)
          changed[:based_on] = nil if changed[:based_on] == other.id
          other.with(**changed)
        end
      end
    end
  end
end
