# frozen_string_literal: true

module Norvel
  module Edits
    # Makes a list style: a name for nine levels of markers that hang before their text (ISO/IEC 29500-1 17.9.27,
    # w:styleLink).
    class DefineListStyle < StyleEdit
      LEVELS = 9
      STEP = 18.0 # points from the text of one level to that of the next: common practice
      BULLETS = %w[• – ▪].freeze
      OUTLINE = %w[decimal lower_letter lower_roman].freeze

      # The forms a list begins with: the word a person reads, and the level of a number as [format, marker].
      FORMS = {
        "bullets" => ["Bullets", ->(number) { ["bullet", BULLETS[number % 3]] }],
        "numbers" => ["1. · a. · i.", ->(number) { [OUTLINE[number % 3], "%#{number + 1}."] }],
        "decimal" => ["1 · 1.1 · 1.1.1", ->(number) { ["decimal", (1..number + 1).map { |n| "%#{n}" }.join(".")] }],
        "letters" => ["(a) · (i) · (1)", ->(number) { [OUTLINE.rotate[number % 3], "(%#{number + 1})"] }]
      }.freeze

      def initialize(name, form)
        raise Refused, "There is no form of lists “#{form}”." unless FORMS.key?(form)
        @name = name.to_s.strip
        @form = form
      end

      def change(document)
        refuse_name(document, @name)
        id = document.free_style_id(@name)
        levels = DefineListStyle.levels(@form)
        numbering, definition_id = document.numbering.define(Document::Numbering::Definition.new(levels, id))
        numbering, list_id = numbering.add(Document::Numbering::List.new(definition_id))
        style = Styles::Style.new(id:, name: @name, type: "numbering",
          based_on: document.styles.default("numbering")&.id, custom: !Styles::BuiltIn.name?(@name),
          paragraph: Styles::PropertySet.of(list_id:))
        document.with(numbering:, styles: document.styles.put(style))
      end

      def title(_document)
        "Make the list style #{@name}"
      end

      # {number from 0 => Document::ListLevel} of a form.
      def self.levels(form)
        (0...LEVELS).to_h do |number|
          format, text = FORMS.fetch(form).last.call(number)
          width = STEP * ((form == "decimal") ? 1 + (number * 0.5) : 1)
          paragraph = Styles::PropertySet.of(indent_left: (STEP * number) + width, first_line: -width)
          [number, Document::ListLevel.new(format:, text:, paragraph:)]
        end
      end
    end
  end
end
