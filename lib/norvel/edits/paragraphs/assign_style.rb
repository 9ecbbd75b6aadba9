# frozen_string_literal: true

module Norvel
  module Edits
    # Puts paragraphs in a style. Direct formatting stays unless +clear+ says otherwise; a blank paragraph's mark goes
    # with it, or the line would keep its old height.
    class AssignStyle < Edit
      # ids: paragraphs; style: the id of a paragraph style; clear: :nothing, :all or :emphasis_kept
      def initialize(ids, style, clear: :nothing)
        @ids = ids
        @style = style
        @clear = clear
      end

      def change(document)
        style = document.sheet[@style]
        raise Refused, "There is no paragraph style “#{@style}” in this document." unless style&.paragraph?
        document = document.replace(chosen(document, @ids)
          .map { |paragraph| paragraph.with(style_id: style.id, mark: paragraph.mark.slice(*kept_on_mark)) })
        return document if @clear == :nothing
        ClearDirect.new(@ids, keep_emphasis: @clear == :emphasis_kept).change(document)
      end

      def title(document)
        "Put #{count(@ids.size)} in #{document.sheet[@style]&.name}"
      end

      private

      def kept_on_mark
        Styles::Properties.on(:run).select { |property| property.clear == :keep }.map(&:name)
      end
    end
  end
end
