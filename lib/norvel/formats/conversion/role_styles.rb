# frozen_string_literal: true

module Norvel
  module Formats
    # The styles of a template by the roles of text. What the template has no style for is made, on the style of its
    # running text.
    class RoleStyles
      SINGLE = Styles::Properties::SINGLE
      # What a style is like that has to be made, on the style of running text: [paragraph, letters].
      MADE = {
        "quote" => [{indent_left: 36.0, indent_right: 36.0, first_line: 0.0}, {}],
        "code" => [{first_line: 0.0, align: "left", line_spacing: SINGLE, space_before: 0.0, space_after: 0.0},
          {font: "Courier New"}],
        "caption" => [{first_line: 0.0}, {italic: true}],
        "note" => [{first_line: 0.0, line_spacing: SINGLE, space_after: 0.0}, {size: 10.0}],
        "title" => [{align: "center", first_line: 0.0}, {bold: true}],
        "list_item" => [{first_line: 0.0}, {}],
        **(1..6).to_h { |level|
          ["heading_#{level}", [{outline_level: level, keep_with_next: true, first_line: 0.0, space_before: 12.0,
                                 space_after: 6.0}, {bold: true, size: [18.0 - ((level - 1) * 2), 12.0].max}]]
        }
      }.freeze
      WORDS = {link: /\A(?:hyperlink|internet link)\z/i,
               code: /\A(?:(?:source |verbatim |inline )?code|source text)\b/i,
               footnote: /\Afootnote (?:reference|anchor|symbol)\z/i}.freeze

      attr_reader :style_sheet

      def initialize(template)
        @template = template
        @style_sheet = template.styles
        @known = {}
      end

      # The id of the style for a role; may be nil in a template without styles.
      def style(role)
        @known[role] ||= (found(role) || made(role) || body)&.id
      end

      # The id of the template's style of words for links, code and marks of notes; nil where it has none.
      def words(kind)
        @style_sheet.by_id.values.find { |style| style.character? && WORDS.fetch(kind).match?(style.name) }&.id
      end

      private

      def found(role)
        return body if role == "body"
        usual = Survey::Roles::ALL[role]&.style
        (usual && @template.styles.called(usual)) || by_role[role]
      end

      def by_role
        @by_role ||= Survey::StyleRoles.best(@template)
      end

      def body
        @body ||= by_role["body"] || @template.styles.default
      end

      def made(role)
        return unless MADE.key?(role)
        paragraph, run = MADE[role]
        name = Survey::Roles::ALL[role].style || Survey::Roles.words(role).capitalize
        style = Styles::Style.new(id: @template.free_style_id(name), name:, based_on: body&.id, next_id: body&.id,
          paragraph: Styles::PropertySet.of(paragraph), run: Styles::PropertySet.of(run),
          custom: !Styles::BuiltIn.name?(name))
        @style_sheet = @style_sheet.put(style)
        style
      end
    end
  end
end
