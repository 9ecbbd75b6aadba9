# frozen_string_literal: true

module Norvel
  module Formats
    # Which words may be divided at line ends, said as another format says it: for the whole, with styles that are left
    # out (ISO/IEC 29500-1 17.15.1.10, 17.3.1.34), or by the letters of styles (ISO/IEC 26300-1 20.196).
    module Hyphenated
      LEFT_OUT = :suppressAutoHyphens_paragraph
      NOT = %w[0 false off].freeze

      module_function

      # The document as one of these Document::Conventions says it.
      def told(document, conventions)
        by_letters = conventions.hyphenated_by_letters
        return document if document.conventions.hyphenated_by_letters == by_letters
        by_letters ? by_letters(document) : by_settings(document)
      end

      def by_letters(document)
        return document unless document.settings.hyphenated
        sheet = document.styles
        styles = sheet.by_id.transform_values do |style|
          said = style.paragraph[LEFT_OUT]
          said ? style.with(run: style.run.merge(hyphenated: NOT.include?(said[:val].to_s))) : style
        end
        document.with(styles: sheet.with(styles:, run_defaults: sheet.run_defaults.merge({hyphenated: true})))
      end

      def by_settings(document)
        sheet = document.styles
        usual = sheet.run_defaults[:hyphenated]
        return document unless usual || sheet.by_id.each_value.any? { |style| style.run[:hyphenated] }
        styles = sheet.by_id.transform_values do |style|
          said = style.run[:hyphenated]
          if said.nil?
            style
          else
            style.with(paragraph: style.paragraph.merge(LEFT_OUT => said ? {val: "0"} : {}))
          end
        end
        defaults = usual ? sheet.paragraph_defaults : sheet.paragraph_defaults.merge(LEFT_OUT => {})
        document.with(styles: sheet.with(styles:, paragraph_defaults: defaults),
          settings: document.settings.with(hyphenated: true))
      end
      private_class_method :by_letters, :by_settings
    end
  end
end
