# frozen_string_literal: true

module Norvel
  module Consistency
    # Headings of one level in several looks.
    class HeadingLooks < Subject
      RULE = "heading_looks"
      LETTERS = %i[font size bold italic underline caps small_caps color].freeze
      LINES = %i[align].freeze

      def odds
        headings.flat_map do |level, list|
          looks = list.map { |one| appearance(one) }
          most = usual(looks, share: 0.6)
          next [] unless most
          list.zip(looks).reject { |_, own| own == most }.map { |one, own| deviation(level, one, own, most) }
        end
      end

      private

      def appearance(paragraph)
        letters(paragraph).values.slice(*LETTERS).merge(look(paragraph).values.slice(*LINES))
      end

      def deviation(level, paragraph, own, most)
        names = own.keys.reject { |name| own[name] == most[name] }
        spoken = ->(values) { names.map { |name| value_words(name, values[name]) }.join(", ") }
        odd(paragraph:, usual: spoken[most], found: spoken[own],
          message: "A heading of level #{level} looks otherwise than the others: #{spoken[own]}",
          **mend(paragraph, names, most))
      end

      # Where its style looks as the others do, what was set by hand goes.
      def mend(paragraph, names, most)
        style = @document.style_of(paragraph)
        same = names.all? do |name|
          property = Styles::Properties[name]
          property.same?(@document.cascade.of_style(style, property.on)[name], most[name])
        end
        return {} unless same
        {label: "Let it look as the others", steps: [[:let_style_say, names]], why: "it would change how it looks"}
      end

      def value_words(name, value)
        property = Styles::Properties[name]
        return "#{"not " unless value}#{property.label.downcase}" if property.flag?
        said = property.spoken(value)
        %i[font size align].include?(name) ? said : "#{property.label.downcase} #{said}"
      end
    end
  end
end
