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
        unless @number.between?(2, document.sections.size)
          raise Refused, "There is no section #{@number} with one before it."
        end
        shown = resolved(document)
        sections = document.sections.dup
        sections[@number - 2, 2] = [kept(document)]
        following = sections[@number - 1]
        sections[@number - 1] = following.with(heads: {**shown, **own(following, shown)}.freeze) if following
        document.with(paragraphs: moved(document), sections: sections.freeze, stories: stories(document, sections))
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

      # What the section after both shows by inheritance, told by ids: it goes on showing that.
      def resolved(document)
        which = [:default, (:even if document.settings.even_and_odd),
          (:first if document.sections[@number]&.title_page)].compact
        SetRunning::KINDS.to_h do |kind|
          [kind.to_sym, which.to_h { |way| [way, document.head(@number, kind, way.to_s)&.id] }.freeze]
        end
      end

      def own(section, shown)
        section.heads.to_h { |kind, which| [kind, {**shown.fetch(kind, {}), **which}.freeze] }
      end

      def kept(document)
        before, this = document.sections[@number - 2, 2]
        return before unless @keep == "this"
        this.with(starts: before.starts, number_start: before.number_start, heads: heads_of(document).freeze)
      end

      # What the section shows, so that it shows it where the one before began.
      def heads_of(document)
        ways = %i[default even first]
        SetRunning::KINDS.to_h { |kind|
          [kind.to_sym, ways.filter_map { |way|
            id = document.head(@number, kind, way.to_s)&.id
            [way, id] if id
          }.to_h.freeze]
        }.reject { |_, which| which.empty? }
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

      def stories(document, sections)
        used = sections.flat_map { |section| section.heads.values.flat_map(&:values) }.to_h { |id| [id, true] }
        document.stories.filter_map { |story|
          next story unless story.head?
          next unless used[story.id]
          (story.section.to_i >= @number) ? story.with(section: story.section - 1) : story
        }.freeze
      end
    end
  end
end
