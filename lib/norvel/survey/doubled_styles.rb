# frozen_string_literal: true

module Norvel
  module Survey
    # Paragraph styles that someone made beside another and that look just as that does.
    module DoubledStyles
      module_function

      # [[Styles::Style, the one that more text is in], …]; styles that the formats know by their name are never the
      # first.
      def of(document)
        worn = document.styles.by_id.values.select { |style| style.paragraph? && document.uses[style.id].positive? }
        alike = worn.group_by { |style| [looks(document, style), StyleRoles.of_style(document.styles, style)] }
        alike.values.flat_map do |list|
          most = list.max_by { |style| [known?(style) ? 1 : 0, document.uses[style.id]] }
          (list - [most]).reject { |style| style.default || known?(style) }.map { |style| [style, most] }
        end
      end

      def known?(style)
        Styles::BuiltIn.name?(style.name)
      end

      def looks(document, style)
        %i[paragraph run].map { |place| document.cascade.of_style(style, place) }
      end

      private_class_method :known?, :looks
    end
  end
end
