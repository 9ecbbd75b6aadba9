# frozen_string_literal: true

module Norvel
  module Edits
    # Gives paragraphs of a numbered style that have no number (a preface among chapters) a style of their own: based on
    # theirs, in contents lists as they are, without a number.
    class StyleUnnumbered < StyleEdit
      SUFFIX = " Unnumbered"

      # id: the numbered style; ids: of the paragraphs, else those of the style whose number is switched off on each
      def initialize(id, ids = nil)
        @id = id
        @ids = ids
      end

      # The paragraphs that it is for.
      def places(document)
        return @ids.map { |id| document.paragraph(id) } if @ids
        return [] unless document.styles[@id]&.paragraph? && document.cascade.memo(:listed, @id) { listed?(document) }
        document.paragraphs.select { |one| document.style_of(one)&.id == @id && one.direct[:list_id]&.zero? }
      end

      def change(document)
        without = places(document)
        raise Refused, "Nothing in #{name_of(document, @id)} has its number switched off." if without.empty?
        made = with_style(document)
        style = made.styles.named(name(document))
        made = made.with(styles: made.styles.put(style.with(paragraph: style.paragraph.merge(list_id: 0))))
        made.replace(without.map do |paragraph|
          paragraph.with(style_id: style.id, direct: paragraph.direct.without(:list_id, :list_level))
        end)
      end

      def title(document)
        "Make #{name(document)} of #{count(places(document).size)}"
      end

      private

      # Lists of styles part names with commas.
      def name(document)
        "#{name_of(document, @id)}#{SUFFIX}"
      end

      def with_style(document)
        return document if document.styles.named(name(document))
        DefineStyle.new(name(document), based_on: @id, next_id: document.styles[@id].next_id).change(document)
      end

      def listed?(document)
        place = document.cascade.of_style(document.styles[@id], :paragraph)[:list]
        !place.nil?
      end
    end
  end
end
