# frozen_string_literal: true

module Norvel
  module Edits
    # Sets one flag of headings: in their style where only headings wear it, else at each by itself.
    module ByStyle
      private

      # The document in which these paragraphs have it.
      def flagged(document, paragraphs, name)
        left = paragraphs.reject { |paragraph| document.look(paragraph)[name] }
        styles = left.filter_map { |paragraph| document.style_of(paragraph) }.uniq
          .select { |style| own?(style, document) }
        now = styles.inject(document) { |made, style| ChangeStyle.new(style.id, {name => true}).change(made) }
        left = left.map { |paragraph| now.paragraph(paragraph.id) }.reject { |paragraph| now.look(paragraph)[name] }
        now.replace(left.map { |paragraph| set_directly(now, paragraph, name, true) })
      end

      # Is a style worn by headings of one level alone?
      def own?(style, document)
        roles = document.paragraphs.select { |paragraph| document.style_of(paragraph).equal?(style) }
          .map { |paragraph| Survey.role(document, paragraph) }.uniq - ["blank"]
        roles.size == 1 && roles.first.start_with?("heading_")
      end
    end
  end
end
