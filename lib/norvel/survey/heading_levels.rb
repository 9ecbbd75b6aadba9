# frozen_string_literal: true

module Norvel
  module Survey
    # Levels for headings found by their looks: headings of one look have one level, a more prominent look has a higher
    # one, and numbers that are typed or counted say it outright.
    class HeadingLevels
      # What tells the looks of headings apart. Sizes within half a point are one (they were meant to be).
      Kind = Struct.new(:size, :bold, :capitals, :italic, :underline, :small_caps, :centred) do
        # How much it stands out, to be compared part by part.
        def prominence
          [size, capitals ? 1 : 0, bold ? 1 : 0, small_caps ? 1 : 0, centred ? 1 : 0, underline ? 1 : 0, italic ? 0 : 1]
        end
      end

      # headings: the paragraphs found; marked: {paragraph => level} of those that their styles mark; follows: gives the
      # paragraph after one
      def initialize(headings, document, marked: {}, follows: ->(_) {})
        @follows = follows
        @document = document
        @headings = headings
        @marked = marked.to_h { |paragraph, level| [kind(paragraph), level] }
        @kinds = headings.to_h { |paragraph| [paragraph.id, kind(paragraph)] }
        merge_near_sizes
        settle_strays
        @levels = rank
      end

      # Do other headings look the same but for their size, and does no number say its level?
      def by_size?(paragraph)
        @sizes ||= @levels.keys.group_by { |kind| kind.to_a.drop(1) }
        kind = @kinds[paragraph.id]
        Traits.of(paragraph).form.nil? && @sizes.fetch(kind.to_a.drop(1), []).size > 1
      end

      # 1–6
      def level(paragraph)
        stated(paragraph) || numbered_deeper(paragraph) || beside_numbered(paragraph) || by_form(paragraph)
      end

      private

      # Where headings of one look are numbered at several depths, the number says the level and the look does not.
      def numbered_deeper(paragraph)
        traits, found = Traits.of(paragraph), depths[@kinds[paragraph.id]]
        return if traits.kind != :decimal || found.size < 2
        traits.depth.clamp(1, 6) if traits.depth >= 2 || found.min == 1
      end

      # Without a number it stands beside the highest of them.
      def beside_numbered(paragraph)
        found = depths[@kinds[paragraph.id]]
        found.min if found.size > 1 && Traits.of(paragraph).form.nil?
      end

      # The level of its look, and one more for each form that its own stands under.
      def by_form(paragraph)
        kind = @kinds[paragraph.id]
        (@levels.fetch(kind) + nesting(kind).fetch(Traits.of(paragraph).form, 0)).clamp(1, 6)
      end

      # How deep each form of counting stands among headings of one look: {"§" => 1} where sections come between
      # chapters; a form is also below a plain heading that it follows at once, as "Phase 1" under "Phases".
      def nesting(kind)
        @nesting ||= Hash.new do |known, look|
          headings = @headings.select { |heading| @kinds[heading.id] == look }
          forms = headings.map { |heading| Traits.of(heading).form }
          known[look] = forms.uniq.compact.each_with_object({}) do |form, depths|
            above = parent(form, forms, headings)
            depths[form] = (above == :plain) ? 1 : depths.fetch(above, -1) + 1
          end
        end
        @nesting[kind]
      end

      # The form above: the nearest before that comes again later; :plain for a heading that does not count.
      def parent(form, forms, headings)
        first = forms.index(form)
        earlier = forms.first(first).compact.uniq - [form]
        sandwich = earlier.reverse.find { |other| forms.drop(first + 1).include?(other) }
        return sandwich if sandwich
        before = first.positive? && forms[first - 1].nil? && headings[first - 1]
        :plain if before && @follows.call(before).equal?(headings[first])
      end

      # The depths at which headings of each look are numbered: {kind => [1, 2]}.
      def depths
        @depths ||= Hash.new([].freeze).merge(
          @headings.select { |heading| Traits.of(heading).kind == :decimal }.group_by { |heading| @kinds[heading.id] }
            .transform_values { |list| list.map { |heading| Traits.of(heading).depth }.uniq }
        )
      end

      # A level the file states itself.
      def stated(paragraph)
        level = @document.look(paragraph)[:outline_level]
        level.clamp(1, 6) if level.positive?
      end

      def kind(paragraph)
        letters = @document.letter_look(paragraph)
        traits = Traits.of(paragraph)
        Kind.new(letters[:size], letters[:bold], letters[:caps] || traits.capitals?, letters[:italic],
          letters[:underline] != "none", letters[:small_caps], @document.look(paragraph)[:align] == "center")
      end

      def merge_near_sizes
        sizes = @kinds.values.map(&:size).tally
        usual = sizes.sort_by { |_, count| -count }.map(&:first)
        nearest = sizes.keys.to_h do |size|
          [size, usual.find { |other|
            (other - size).abs <= 0.5 &&
              (other == size || sizes[other] > sizes[size] * 2)
          } || size]
        end
        @kinds.transform_values! { |kind| kind.dup.tap { |merged| merged.size = nearest[kind.size] } }
      end

      # One that counts as many others do, and looks otherwise by mistake, is of their kind.
      def settle_strays
        all = @kinds.values.tally
        @headings.group_by { |heading| Traits.of(heading).form }.each do |form, list|
          next if form.nil? || list.size < 3
          usual, count = list.map { |heading| @kinds[heading.id] }.tally.max_by(&:last)
          next if count * 3 < list.size * 2
          list.each { |heading| @kinds[heading.id] = usual if all[@kinds[heading.id]] * 3 <= count }
        end
      end

      def rank
        by_kind = @headings.group_by { |paragraph| @kinds[paragraph.id] }
        ordered = (by_kind.keys | @marked.keys).sort_by { |kind| kind.prominence.map { |value| -value } }
        numbered = by_kind.transform_values { |list| depth(list) }
        levels = {}
        ordered.each do |kind|
          levels[kind] = @marked[kind] || numbered[kind] || between(kind, ordered, numbered, levels, by_kind)
        end
        levels.transform_values { |level| level.clamp(1, 6) }
      end

      # The depth that most of a kind's numbers say; chapters above plain numbers push those down.
      def depth(paragraphs)
        numbers = paragraphs.filter_map do |paragraph|
          Traits.of(paragraph).then do |t|
            (t.kind == :decimal) ? t.depth : (1 if %i[chapter appendix].include?(t.kind))
          end
        end
        return if numbers.size * 2 < paragraphs.size || numbers.empty?
        usual = numbers.tally.max_by(&:last).first
        (usual == 1 && chapters_elsewhere?(paragraphs)) ? 2 : usual
      end

      def chapters_elsewhere?(paragraphs)
        return false if paragraphs.any? { |paragraph| %i[chapter appendix].include?(Traits.of(paragraph).kind) }
        @headings.count { |paragraph| Traits.of(paragraph).chapter? && !paragraphs.include?(paragraph) } >= 2
      end

      # Unnumbered: below the next more prominent kind, or beside one that is used in the same way.
      def between(kind, ordered, numbered, levels, by_kind)
        above = ordered.take(ordered.index(kind))
        return 1 if above.empty?
        return levels[above.last] if same_use?(kind, above.last, by_kind)
        level = levels[above.last] + 1
        below = ordered.drop(ordered.index(kind) + 1).filter_map { |other| numbered[other] }.min
        (below && level > below) ? [below - 1, 1].max : level
      end

      # A single heading of a look of its own among many of nearly the same (by size) is one of them.
      def same_use?(kind, other, by_kind)
        alone = by_kind[kind].size == 1 && by_kind.fetch(other, []).size >= 3
        alone && (kind.size - other.size).abs <= 0.5 && kind.bold == other.bold && kind.italic == other.italic
      end
    end
  end
end
