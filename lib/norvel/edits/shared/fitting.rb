# frozen_string_literal: true

module Norvel
  module Edits
    # Moves paragraphs from one state of the styles to another so that they look as they did: what the style gives is
    # left to it, the rest is set directly, and what is named to be the style's is the style's. Words that are set
    # apart in their paragraph stay so in any case. Worked out once for all paragraphs that are set alike.
    class Fitting
      # What sets words apart from the rest of their paragraph.
      EMPHASIS = %i[bold italic underline strike caps small_caps highlight color].freeze
      KINDS = {paragraph: Styles::Properties.shown_on(:paragraph).map(&:name) - %i[list outline_level],
               run: Styles::Properties.shown_on(:run).map(&:name)}.freeze

      # before, after: Documents; ruled: names of properties that are the style's from now on
      def initialize(before, after, ruled: [])
        @before = before
        @after = after
        @ruled = ruled
        @known = {}
      end

      attr_reader :after

      # The paragraph of +before+ as it stands in a style of +after+.
      def fit(was, style_id = was.style_id)
        now = was.with(style_id:, direct: paragraph_set(was, style_id), mark: mark(was))
        mixed = mixed(was)
        runs = was.runs.map do |run|
          direct = run_set(run, was, now, mixed)
          direct.equal?(run.direct) ? run : run.with(direct:)
        end
        same = now.style_id == was.style_id && now.direct == was.direct && now.mark == was.mark &&
          runs.zip(was.runs).all? { |new, old| new.equal?(old) }
        same ? was : now.with(runs: runs.freeze)
      end

      # The emphases that only some words of a paragraph have, or that a style of words says of some.
      def mixed(paragraph)
        return [] if paragraph.ways.size < 2
        runs = worded(paragraph)
        looks = runs.map { |run| @before.run_look(run, paragraph) }.uniq
        said = runs.filter_map(&:style_id).uniq.flat_map { |id| emphases_of(id) }
        EMPHASIS.select { |name| said.include?(name) || looks.map { |look| look[name] }.uniq.size > 1 }
      end

      private

      # One run of each way in which words are set; a full stop or a space is no word.
      def worded(paragraph)
        paragraph.letters.select { |run| run.words.match?(/[[:alnum:]]/) }.uniq { |run| Document::Formatting.way(run) }
      end

      # What a style of words sets.
      def emphases_of(id)
        @before.cascade.memo(:emphases, id) do
          style = @before.styles.resolve(id, "character")
          @before.styles.chain(style).flat_map { |link| EMPHASIS.select { |name| link.run.key?(name) } }
        end
      end

      def paragraph_set(was, style_id)
        @known[[was.style_id, was.direct, was.table, style_id]] ||= begin
          kept = with_list(was, style_id, kept(was.direct, :paragraph, heading?(style_id) ? [:outline_level] : []))
          look = ->(set) { @after.look(was.with(style_id:, direct: set)) }
          settle(kept, was.direct, @before.look(was), look, KINDS[:paragraph] - @ruled)
        end
      end

      # The mark of a blank paragraph is its height, that of a list's paragraph the look of its marker.
      def mark(was)
        return was.mark if was.mark.empty? || was.blank? || @before.cascade.list_of(was)
        kept(was.mark, :run, [])
      end

      def run_set(run, was, now, mixed)
        ruled = @ruled - mixed
        key = [was.style_id, was.table, run.style_id, run.direct, run.symbols?, run.visible?, now.style_id, ruled]
        @known[key] ||= begin
          look = ->(set) { @after.run_look(run.with(direct: set), now) }
          settled = settle(kept(run.direct, :run, []), run.direct, @before.run_look(run, was), look,
            free(run, was, ruled))
          (settled == run.direct) ? run.direct : settled
        end
      end

      # The properties in which a run goes on looking as it did. Symbols, and what stands above or below the line in a
      # size of its own, are set so by nature. What has no letters, the mark of a note, keeps only what it says itself.
      def free(run, was, ruled)
        return KINDS[:run] if run.symbols?
        own = run.direct.key?(:size) && @before.run_look(run, was)[:position] != "normal"
        names = KINDS[:run] - (own ? [] : ruled)
        run.visible? ? names : names & run.direct.keys.map { |slot| Styles::Properties[slot].key }
      end

      # Slots that no clearing takes, and those in a format's own words.
      def kept(set, place, but)
        return set if set.empty?
        set.slice(*set.keys.select { |slot| !but.include?(slot) && stays?(Styles::Properties[slot], place) })
      end

      def stays?(property, place)
        property.on == place && (property.clear == :keep || (!property.shown? && !property.part_of))
      end

      # +set+ with what it takes for these properties to be seen as in +seen+: the slots they had where those still do
      # it.
      def settle(set, had, seen, look, names)
        bare = look.call(set)
        differing = names.reject { |name| Styles::Properties[name].same?(bare[name], seen[name]) }
        return set if differing.empty?
        whole = look.call(set.merge(had))
        differing.inject(set) do |now, name|
          slots = Styles::Properties.slots_of(name)
          own = had.slice(*slots)
          next now.merge(own) if !own.empty? && Styles::Properties[name].same?(whole[name], seen[name])
          Setting.put(now, name, seen[name], bare)
        end
      end

      def heading?(style_id)
        style = @after.styles[style_id]
        style && Survey::StyleRoles.of_style(@after.styles, style).to_s.start_with?("heading")
      end

      # The place in a list that it has now.
      def with_list(was, style_id, set)
        place = @before.cascade.list_of(was)
        bare = set.without(:list_id, :list_level)
        return bare if @after.cascade.list_of(was.with(style_id:, direct: bare)) == place
        place ? bare.merge(list_id: place[0], list_level: place[1]) : bare.merge(list_id: 0)
      end
    end
  end
end
