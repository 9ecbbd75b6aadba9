# frozen_string_literal: true

module Norvel
  class Guide
    # A computed change that puts findings right, as plain data: it holds no document, so findings can be kept for as
    # long as anyone likes. +safe+ ones change no text and no meaning and may run in bulk.
    #   name   its name in the command line's JSON
    #   label  what a button says
    #   steps  [[a key of STEPS, arguments …], …], done in order
    Mend = Value.define(:name, :label, :safe, :steps) do
      # The edits of the findings of one cause.
      #   Mend.new(name: "describe", label: "…", safe: true, steps: [[:describe, {title: "T"}]]).edit(findings, guide)
      def edit(findings, guide)
        edits = steps.map { |step, *arguments| Mend::STEPS.fetch(step).call(findings, guide, *arguments) }
        (edits.size == 1) ? edits.first : Edits::Several.new(edits)
      end
    end

    # What a step makes of the findings, the guide and its arguments.
    Mend::STEPS = {
      put_in_style: ->(list, guide, style, role) {
        Edits::ApplyRoleStyle.new(Mend.ids(list), style, guide.values(role))
      },
      change_style: ->(_, _, style, values) { Edits::ChangeStyle.new(style, values) },
      change_level: ->(_, _, definition, level, values) { Edits::ChangeListLevel.new(definition, level, values) },
      clear: ->(list, _, options) { Edits::ClearDirect.new(Mend.ids(list), **options) },
      set_page: ->(list, _, values) { Edits::SetPage.new(list.map(&:section), values) },
      describe: ->(_, _, values) { Edits::Describe.new(values) },
      remove_blank_paragraphs: ->(list, _) { Edits::RemoveBlankParagraphs.new(Mend.ids(list)) },
      indent_without_tabs: ->(list, _) { Edits::IndentWithoutTabs.new(Mend.ids(list)) },
      single_spaces: ->(list, _) { Edits::SingleSpaces.new(Mend.ids(list)) },
      join_lines: ->(list, _) { Edits::JoinLines.new(Mend.ids(list)) }
    }.freeze

    def Mend.ids(findings)
      findings.filter_map(&:paragraph)
    end
  end
end
