# frozen_string_literal: true

module Norvel
  module Edits
    # Joins a section to the one before it: one of them says how the pages of both are set up, and what stands at their
    # head and foot.
    class JoinSections < Edit
      # number: of the section that is joined to the one before, from 2; keep: "before" or "this", whose set-up stays
      def initialize(number, keep: "before")
        @number = number
        @keep = keep
      end

      def change(document)
        refuse(document)
        sections = document.sections.dup
        sections[@number - 2, 2] = [kept(document)]
        joined = document.with(paragraphs: moved(document), sections: sections.freeze, stories: stories(document))
        RunningHeads.new(joined).change { |heads| heads_of_next(document, heads) }
      end

      def title(document)
        stays = (@keep == "this") ? @number : @number - 1
        section = document.sections[stays - 1]
        paper = section && PaperSizes.name_of(section.width, section.height, 1.0)
        lies = " on its long side" if section&.landscape?
        "Join section #{@number} to the one before, set up as section #{stays} is#{": #{paper}#{lies}" if paper}"
      end

      # Heads that only one of the two showed may go.
      def changes_heads?(_document)
        true
      end

      private

      def refuse(document)
        unless @number.between?(2, document.sections.size)
          raise Refused, "There is no section #{@number} with one before it."
        end
        first = @keep == "this" && @number == 2
        return unless first && !document.conventions.sections_end && document.paragraphs.first.container
        raise Refused, "The text begins with a table, which can't name another set-up: keep that of the section before."
      end

      # The section after both goes on showing what it showed.
      def heads_of_next(document, heads)
        following = document.sections[@number] or return
        each_way do |kind, way|
          next if following.says_head?(kind, way)
          heads.say(@number, kind, way, document.head(@number + 1, kind, way)&.id)
        end
      end

      def each_way(&)
        SetRunning::KINDS.product(SetRunning::WAYS).each(&)
      end

      def kept(document)
        before, this = document.sections[@number - 2, 2]
        return before unless @keep == "this"
        this.with(starts: before.starts, number_start: before.number_start, heads: heads_of(document).freeze)
      end

      # What the section shows, so that it shows it where the one before began.
      def heads_of(document)
        found = Hash.new { |all, kind| all[kind] = {} }
        each_way { |kind, way| found[kind.to_sym][way.to_sym] = document.head(@number, kind, way)&.id }
        found.transform_values { |which| which.compact.freeze }.reject { |_, which| which.empty? }
      end

      # The paragraph that ended the section before holds nothing of it any more; what began on a new page goes on doing
      # so.
      def moved(document)
        last = document.paragraphs.rindex { |one| one.section == @number - 1 && one.container.nil? }
        first = document.paragraphs.index { |one| one.section == @number }
        document.paragraphs.each_with_index.map { |paragraph, place|
          next paragraph.with(holds: nil) if place == last && paragraph.holds == :section_break
          paragraph = on_new_page(document, paragraph) if place == first
          (paragraph.section >= @number) ? paragraph.with(section: paragraph.section - 1) : paragraph
        }.freeze
      end

      def on_new_page(document, paragraph)
        return paragraph if paragraph.container || document.look(paragraph)[:page_break_before] ||
          document.sections[@number - 1].starts == "continuous"
        set_directly(document, paragraph, :page_break_before, true)
      end

      def stories(document)
        document.stories.map { |story|
          (story.section.to_i >= @number) ? story.with(section: story.section - 1) : story
        }.freeze
      end
    end
  end
end
