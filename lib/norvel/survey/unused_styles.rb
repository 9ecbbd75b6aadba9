# frozen_string_literal: true

module Norvel
  module Survey
    # Styles that someone made and that nothing is in: no text, no style based on one that text is in, no linked twin.
    # Of two that are linked the paragraph style stands for both.
    module UnusedStyles
      module_function

      # [Styles::Style, …] of paragraphs and words.
      def of(document)
        used, styles = used(document), document.styles
        styles.by_id.values.select do |style|
          (style.paragraph? || (style.character? && styles.twin(style).nil?)) && !used[style.id] && !style.default &&
            !Styles::BuiltIn.name?(style.name)
        end
      end

      # {id => true} of styles that text is in, and of what these need.
      def used(document)
        styles = document.styles
        ids = document.styles_used.keys
        twins = ids.filter_map { |id| styles[id] && styles.twin(styles[id])&.id }
        wanted = (ids + twins).filter_map { |id| styles[id] }.flat_map { |style| styles.chain(style) }.map(&:id)
        following = wanted.filter_map { |id| styles[id]&.next_id }
        numbering = document.numbering.definitions.values.flat_map do |definition|
          [definition.style_id, *definition.levels.values.map(&:style_id)]
        end
        (wanted + following + numbering.compact).to_h { |id| [id, true] }
      end

      private_class_method :used
    end
  end
end
