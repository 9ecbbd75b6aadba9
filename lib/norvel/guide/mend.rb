# frozen_string_literal: true

module Norvel
  class Guide
    # A computed change that puts findings right, as plain data: it holds no document, so findings can be kept for as
    # long as anyone likes. +safe+ ones change no text and no meaning and may run in bulk.
    #   name   its name in the command line's JSON
    #   label  what a button says
    #   steps  [[a key of STEPS, arguments …], …], done in order
    #   why    of one that is not safe: what it may change
    Mend = Value.define(:name, :label, :safe, :steps, :why) do
      # Does it put paragraphs in a style?
      def put?
        steps.first.first == :put_in_style
      end

      # The same as one that asks first.
      def asking(why)
        with(safe: false, why:)
      end

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
        Mend.put(list, guide, style, role, hand: :stays)
      },
      take_look: ->(list, guide, style, role) {
        Edits::TakeLook.new(Mend.ids(list), style, asked: guide.requirements(role), quiet: true)
      },
      change_style: ->(list, _, style, values) {
        Edits::ChangeStyleFor.new(style, values, Mend.ids(list), kinds: true)
      },
      change_level: ->(_, _, definition, level, values) { Edits::ChangeListLevel.new(definition, level, values) },
      clear: ->(list, _, options) { Edits::ClearDirect.new(Mend.ids(list), **options) },
      let_style_say: ->(list, _, ruled) { Edits::LetStyleSay.new(Mend.ids(list), ruled:) },
      make_equal: ->(list, _, name, value) { Edits::MakeEqual.new(Mend.ids(list), name, value) },
      style_lead_ins: ->(list, _) { Edits::StyleLeadIns.new(Mend.ids(list)) },
      change_case: ->(list, _, kind) { Edits::ChangeCase.new(Mend.ids(list), kind) },
      drop_end_marks: ->(list, _) { Edits::DropEndMarks.new(Mend.ids(list)) },
      number_headings: ->(_, _, scheme) { Edits::NumberHeadings.new(scheme) },
      show_capitals: ->(list, _) { Edits::ShowCapitals.new(Mend.ids(list)) },
      begin_pages: ->(list, _, breaks, blanks) { Edits::BeginPagesByStyle.new(Mend.ids(list), breaks, blanks) },
      hang_definitions: ->(list, _, indent) { Edits::HangDefinitions.new(Mend.ids(list), indent) },
      mark_header_rows: ->(_, _, tables) { Edits::MarkHeaderRows.new(tables) },
      merge_styles: ->(_, _, style, into) { Edits::MergeStyles.new(style, into) },
      delete_styles: ->(_, _, ids) { Edits::DeleteStyles.new(ids) },
      say_language: ->(list, _, tag) { Edits::SayLanguage.new(Mend.ids(list), tag) },
      set_page: ->(list, _, values) { Edits::SetPage.new(list.map(&:section), values) },
      set_matters: ->(_, _, matters) {
        Edits::SetMatters.new(matters.map { |one| Edits::SetMatters::Matter.new(**one) })
      },
      set_running: ->(_, _, sections, ways) {
        Edits::Several.new(ways.map { |which, lines|
          Edits::SetRunning.new(sections, lines.transform_values { |line| Running::Line.new(**line) }, which:)
        })
      },
      refresh_contents: ->(_, _, number) { Edits::RefreshContents.new(number) },
      count_captions: ->(list, _) { Edits::CountCaptions.new(Mend.ids(list)) },
      renumber_captions: ->(_, _, by_chapter) { Edits::RenumberCaptions.new(by_chapter:) },
      refresh_numbers: ->(list, _) { Edits::RefreshNumbers.new(Mend.ids(list).uniq) },
      put_in_part: ->(_, _, name, order, levels = 3) { Edits::PutInPart.new(name, order, levels:) },
      replace_typed_contents: ->(_, _, ids, levels) { Edits::ReplaceTypedContents.new(ids, levels:) },
      begin_chapters: ->(_, _, ids) { Edits::BeginChapters.new(ids) },
      mirror_margins: ->(_, _) { Edits::MirrorMargins.new(true) },
      begin_on_page: ->(list, _) { Edits::BeginOnPage.new(Mend.ids(list)) },
      move_caption: ->(list, _, way) { Edits::MoveParagraphs.new(Mend.ids(list), way) },
      keep_with_next: ->(list, _) { Edits::KeepWithNext.new(Mend.ids(list)) },
      remove_page_breaks: ->(_, _, ids) { Edits::RemovePageBreaks.new(ids) },
      begin_by_style: ->(_, _, ids) {
        breaks = ids.drop(1)
        edits = [Edits::BeginOnPage.new(ids.first(1)), *(Edits::RemovePageBreaks.new(breaks) if breaks.any?)]
        Edits::Several.new(edits, title: "Begin chapters on a new page by their style")
      },
      begin_on_next_page: ->(_, _, ids) { Edits::BeginOnNextPage.new(ids) },
      describe: ->(_, _, values) { Edits::Describe.new(values) },
      space_for_blanks: ->(list, guide, equal = false) {
        Edits::SpaceForBlanks.new(Mend.ids(list), asked: guide.asked, equal:)
      },
      remove_blanks: ->(list, _, ids = nil) {
        Edits::RemoveBlankParagraphs.new(ids || Mend.ids(list), keep_gaps: ids.nil?)
      },
      indent_without_tabs: ->(list, guide) { Edits::IndentWithoutTabs.new(Mend.ids(list), asked: guide.asked) },
      indent_without_spaces: ->(list, guide) {
        Edits::IndentWithoutTabs.new(Mend.ids(list), pattern: Survey::ByHand::LEADING_SPACE, asked: guide.asked)
      },
      single_spaces: ->(list, _) { Edits::SingleSpaces.new(Mend.ids(list)) },
      list_typed: ->(list, _) { Edits::ListTyped.new(Mend.ids(list)) },
      split_at_breaks: ->(list, _) { Edits::SplitAtBreaks.new(Mend.ids(list)) },
      drop_last_breaks: ->(list, _) { Edits::DropLastBreaks.new(Mend.ids(list)) },
      join_lines: ->(list, _) { Edits::JoinLines.new(Mend.ids(list)) }
    }.freeze

    # Ids of the paragraphs that findings are about.
    def Mend.ids(findings)
      findings.filter_map(&:paragraph)
    end

    # Paragraphs in the style of their role, hand and look as for Edits::PutInStyle.
    def Mend.put(findings, guide, style, role, hand:, look: :theirs_if_made)
      Edits::PutInStyle.new(ids(findings), style, asked: guide.requirements(role), role:, hand:, look:,
        pattern: Edits::Pattern.new(guide:))
    end
  end
end
