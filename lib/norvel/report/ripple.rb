# frozen_string_literal: true

module Norvel
  module Report
    # What a change of styles, lists or pages will move, before it is made: styles that inherit it, paragraphs that
    # change their look or marker, those that don't because they set the value themselves, sections, and findings that
    # go and come.
    class Ripple
      Place = Struct.new(:before, :after)

      attr_reader :before, :after

      # check: the Guide::Check of the document as it is
      def initialize(edit, document, check)
        @before = document
        @edit = edit
        @check = check
        @after = edit.change(document)
      end

      # Styles whose own look changes, by what they are based on.
      def styles
        @styles ||= Styles.reached(before, after).keys.map { |id| after.styles[id] }
      end

      # Paragraphs that look otherwise or have another marker. Judged once for all that are set alike.
      def moved
        @moved ||= parted.first.map { |was, now| Place.new(was, now) }
      end

      # Numbers of the sections that are set up otherwise.
      def sections
        @sections ||= (1..after.sections.size).reject { |n| before.sections[n - 1] == after.sections[n - 1] }
      end

      # Paragraphs that stand in such a section: their lines may end elsewhere.
      def resized
        return [] if sections.empty?
        @resized ||= after.paragraphs.select { |paragraph| !paragraph.blank? && sections.include?(paragraph.section) }
      end

      # Paragraphs in a style that changes which look as before, since they set the value themselves.
      def unmoved
        @unmoved ||= parted.last.select { |was, now| was.equal?(now) && !was.blank? }.map(&:last)
      end

      # Paragraphs in a style that changes which set by hand what changes, on themselves or on most of their letters:
      # they keep their value, whatever else of them moves.
      def overriding
        @overriding ||= reached.filter_map do |was, now|
          now if was.equal?(now) && !was.blank? && sets_what_changes?(now)
        end
      end

      # How many findings go.
      def findings_gone
        counts.first
      end

      # How many findings come.
      def findings_come
        counts.last
      end

      # How pages change: nil where those of before are not known, or those after can't be.
      def pages
        return @pages if defined?(@pages)
        @pages = Layout.pages(before) && Pages.new(Layout.pages(before), Layout.of(after, known: Layout.pages(before)))
      rescue Layout::Defeated
        @pages = nil
      end

      # Pages before and after a change.
      Pages = Struct.new(:before, :after) do
        # How many sheets more there are after it.
        def more
          after.sheets.size - before.sheets.size
        end

        # Pairs of sheets with one number that show other lines, one of them nil where the other has no more.
        def changed
          @changed ||= (0...[before.sheets.size, after.sheets.size].max)
            .map { |number| [before.sheets[number], after.sheets[number]] }.reject { |was, now| same?(was, now) }
        end

        # Those of them that change most, by what stands on them.
        def most_changed(most = 3)
          changed.select(&:all?).max_by(most) { |was, now| (ids(was) - ids(now)).size + (ids(now) - ids(was)).size }
            .sort_by { |was, _| was.page }
        end

        private

        def same?(was, now)
          return was.equal?(now) unless was && now
          was.equal?(now) || (was.label == now.label && was.start == now.start && shape(was) == shape(now))
        end

        def shape(sheet)
          sheet.bands.map { |x, y, column|
            [x, y, column.pieces.map { |piece| [piece.block.key, piece.from, piece.to, piece.y.round(2)] }]
          }
        end

        def ids(sheet)
          sheet.paragraphs.map(&:id)
        end
      end

      # The places that change most, one of each look, for showing before and after.
      def samples(most = 4)
        seen = {}
        moved.lazy.reject { |place| place.after.blank? || seen[place.after.formatting] }.select do |place|
          seen[place.after.formatting] = true
          looks = [[before, place.before], [after, place.after]].flat_map do |whose, paragraph|
            [whose.look(paragraph), whose.letter_look(paragraph)]
          end
          !seen[looks] && seen[looks] = true
        end.first(most)
      end

      # The Guide::Check of the document as it would be.
      def after_check
        @after_check ||= Guide::Check.attempt(@check.guide, Survey::Suggestions.share(before, after), before: @check,
          reached: styles.to_h { |style| [style.id, true] })
      end

      private

      def parted
        @parted ||= reached.partition { |was, now| differs?(was, now) || marker(before, was) != marker(after, now) }
      end

      def reached
        ids = styles.to_h { |style| [style.id, true] }
        @reached ||= after.paragraphs.filter_map do |now|
          style = after.style_of(now)
          was = before.paragraph(now.id) if before.include?(now.id)
          reached = (style && ids[style.id]) || !now.equal?(was) || now.runs.any? { |run| ids[run.style_id] } ||
            (was && marker(before, was) != marker(after, now))
          [was, now] if was && reached
        end
      end

      def sets_what_changes?(paragraph)
        names = changed_in(after.style_of(paragraph)) or return false
        @sets ||= {}
        @sets.fetch([paragraph.formatting, names]) do |key|
          look = after.letter_look(paragraph)
          most = paragraph.letters.find { |run| after.run_look(run, paragraph).equal?(look) }
          set = paragraph.direct.keys + (most ? most.direct.keys : [])
          @sets[key] = set.any? { |slot| names.include?(Styles::Properties[slot].key) }
        end
      end

      # Names of the properties that a style gives otherwise after the change; nil where it does not change.
      def changed_in(style)
        return unless style
        @changed_in ||= Hash.new do |known, id|
          names = %i[paragraph run].flat_map do |place|
            looks = [before, after].map { |one| one.cascade.of_style(one.styles[id], place) }
            looks.first.differences(looks.last, place).map(&:name)
          end
          known[id] = names.empty? ? nil : names
        end
        @changed_in[style.id] if before.styles[style.id]
      end

      # Markers are counted only when lists may have changed.
      def marker(document, paragraph)
        document.markers[paragraph.id] if lists_change?
      end

      def lists_change?
        return @lists_change unless @lists_change.nil?
        lists = [before, after].map do |document|
          document.styles.by_id.transform_values { |style| style.paragraph.values.slice(:list_id, :list_level) }
        end
        @lists_change = !before.numbering.equal?(after.numbering) || lists.uniq.size == 2
      end

      # Judged once for all that are set alike: does the paragraph, or any way its letters are set, look otherwise?
      def differs?(was, now)
        @known ||= {}
        key = was.equal?(now) ? was.formatting : [was.formatting, now.formatting]
        @known.fetch(key) do
          @known[key] = before.look(was) != after.look(now) || letters(before, was) != letters(after, now)
        end
      end

      def letters(document, paragraph)
        ways = paragraph.formatting.letters
        ways.empty? ? [document.letter_look(paragraph)] : ways.map { |run| document.run_look(run, paragraph) }
      end

      # Findings by rule at each paragraph whose findings were judged anew; document-wide ones all together.
      def counts
        return [0, 0] if @check.fault || after_check.fault
        @counts ||= pairs.inject([0, 0]) do |sums, (was, now)|
          sums.zip(difference(was.map(&:rule), now.map(&:rule))).map(&:sum)
        end
      end

      # Findings before and after, place by place, where they are not the very same.
      def pairs
        places = after.paragraphs.map { |paragraph| [@check.on(paragraph.id) || [], after_check.on(paragraph.id)] }
        places.reject { |was, now| was.equal?(now) } << [@check.on_document, after_check.on_document]
      end

      # [how many go, how many come] of two lists of rules.
      def difference(was, now)
        return [0, 0] if was == now
        before, after = was.tally, now.tally
        changes = (before.keys | after.keys).map { |rule| (after[rule] || 0) - (before[rule] || 0) }
        [-changes.select(&:negative?).sum, changes.select(&:positive?).sum]
      end
    end
  end
end
