# frozen_string_literal: true

module Norvel
  module Formats
    # The styles and page set-up of a document without its text, for other tools to go by: as a template of either
    # format, or as a stylesheet for paged media.
    module StylesAlone
      ENDINGS = [".dotx", ".ott", ".css"].freeze

      module_function

      # The bytes of a file of an ending of ENDINGS. Raises Refused, Unwritable.
      def bytes(document, ending)
        return css(document) if ending == ".css"
        Formats.write_for(Formats.read(Formats.template(document), name: "template"), "styles#{ending}").bytes
      end

      # A class for each style that text is in, or that a style in use is based on, by its name (CSS 2.1), and the first
      # section's page (CSS Paged Media 3).
      def css(document)
        sheet = Html::Stylesheet.new
        rules = worn(document).map { |style| rule(document, style, sheet) }
        head = "/* The styles of #{document.name.to_s.gsub("*/", "")}, by Norvel. */"
        [head, page(document.sections.first), *rules, ""].join("\n")
      end

      # "heading-1" of "Heading 1"; by its id where a name has no letters.
      def class_name(style)
        [style.name, style.id, "style"].map { |text| text.downcase.gsub(/[^\p{Alnum}]+/, "-").gsub(/\A-|-\z/, "") }
          .find { |text| !text.empty? }.sub(/\A(?=\d)/, "s-")
      end

      def worn(document)
        characters = document.working.flat_map { |one| one.runs.filter_map(&:style_id) }.uniq
        ids = document.working.map { |one| document.style_of(one)&.id }.uniq + characters
        ids.compact.flat_map { |id| document.styles.chain(document.styles[id]) }.uniq.reject { |style| style.name.nil? }
          .sort_by { |style| [style.character? ? 1 : 0, style.name] }
      end

      def rule(document, style, sheet)
        letters = document.cascade.of_style(style, :run)
        said = sheet.run(letters)
        paragraph = sheet.paragraph(document.cascade.of_style(style, :paragraph)) unless style.character?
        said = {**paragraph, **said, **sheet.lines_of(letters)} if paragraph
        declared = said.map { |name, value| "#{name}: #{value};" }.join(" ")
        "#{"span" if style.character?}.#{class_name(style)} { #{declared} }"
      end

      def page(section)
        margins = %i[margin_top margin_right margin_bottom margin_left].map { |side| "#{section[side].round(2)}pt" }
        "@page { size: #{section.width.round(2)}pt #{section.height.round(2)}pt; margin: #{margins.join(" ")}; }"
      end
      private_class_method :css, :class_name, :worn, :rule, :page
    end
  end
end
