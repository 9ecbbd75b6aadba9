# frozen_string_literal: true

module Norvel
  module Edits
    # Paragraphs as they stand in a style, without what was set by hand on the whole of them. Words that are set apart
    # stay so: by emphasis, as code, above or below the line, by language, in a character style. Nothing is set by hand
    # that was not.
    class FormattingRemoval
      # What is set by hand on a paragraph in a style that has a list of its own, which gives its markers.
      def self.without_list(sheet, style, set)
        own = sheet.chain(style).any? { |link| link.paragraph[:list_id]&.nonzero? }
        own ? set.without(*set.keys.select { |slot| slot.start_with?("list_") }) : set
      end

      # before, after: Documents, the second with the style as it is then; hand: :goes, or :stays where a person says so
      # (then only what the style gives anyway goes); ruled: properties that are the style's in any case
      def initialize(before, after, hand: :goes, ruled: [])
        @before = before
        @after = after
        @stays = hand == :stays
        @ruled = ruled.flat_map { |name| Styles::Properties.slots_of(name) }
        @fitting = Fitting.new(before, before)
        @known = {}
      end

      # The paragraph of +before+ in a style of +after+, the very same where nothing changes.
      def put(was, style_id)
        now = was.with(style_id:, direct: lines(was, style_id), mark: mark(was))
        mixed = mixed(was)
        runs = was.runs.map { |run| letters(run, was, now, mixed) }
        same = now.style_id == was.style_id && now.direct == was.direct && now.mark == was.mark &&
          runs.zip(was.runs).all? { |new, old| new.equal?(old) }
        same ? was : now.with(runs: runs.freeze)
      end

      # What would go of a paragraph: Survey::Departures::Departure, [] where it stays.
      def going(paragraph)
        return [] if @stays
        kept = @fitting.mixed(paragraph)
        Survey::Departures.of(@before, paragraph).reject { |departure| kept.include?(departure.name) }
      end

      private

      def mixed(paragraph)
        @fitting.mixed(paragraph).flat_map { |name| Styles::Properties.slots_of(name) }
      end

      def lines(was, style_id)
        @known[[was.style_id, was.direct, was.table, style_id]] ||= begin
          set = FormattingRemoval.without_list(@after.styles, @after.styles[style_id], was.direct)
          set = @stays ? set.without(*@ruled) : kept(set, :paragraph).without(:outline_level)
          needed(set, ->(other) { @after.look(was.with(style_id:, direct: other)) })
        end
      end

      # The mark is the height of a blank paragraph, and the look of a list's marker.
      def mark(was)
        return was.mark if was.mark.empty?
        @stays ? was.mark.without(*@ruled) : kept(was.mark, :run)
      end

      def letters(run, was, now, mixed)
        return run if run.symbols? || run.direct.empty? || !run.visible?
        apart = code?(run, was) ? mixed + %i[font size size_complex] : mixed
        key = [run.style_id, run.direct, was.style_id, was.table, now.style_id, apart]
        direct = @known[key] ||= run_set(run, was, now, apart)
        (direct == run.direct) ? run : run.with(direct:)
      end

      def run_set(run, was, now, apart)
        own = sized?(run, was) ? apart + %i[size size_complex] : apart
        set = @stays ? run.direct.without(*(@ruled - own)) : kept(run.direct, :run, own)
        needed(set, ->(other) { @after.run_look(run.with(direct: other), now) }, own)
      end

      # What stands above or below the line may have a size of its own.
      def sized?(run, was)
        run.direct.key?(:size) && @before.run_look(run, was)[:position] != "normal"
      end

      # Words in a fixed-width face among others are code.
      def code?(run, was)
        return false unless run.direct.key?(:font) && was.ways.size > 1
        fixed?(@before.run_look(run, was)) && !fixed?(@before.letter_look(was))
      end

      def fixed?(look)
        ShippedFonts.stand_in(look[:font]).kind == "mono"
      end

      # Slots that no clearing takes, those in a format's own words, and these.
      def kept(set, place, also = [])
        return set if set.empty?
        set.slice(*set.keys.select { |slot| also.include?(slot) || stays?(Styles::Properties[slot], place) })
      end

      def stays?(property, place)
        property.on == place && (property.clear == :keep || (!property.shown? && !property.part_of))
      end

      # The set without what the style gives anyway.
      def needed(set, look, apart = [])
        return set unless @stays && !set.empty?
        full = look.call(set)
        keys = set.keys.reject { |slot| apart.include?(slot) }.map { |slot| Styles::Properties[slot] }
          .select { |property| property.clear != :keep && (property.shown? || property.part_of) }.map(&:key).uniq
        keys.inject(set) do |now, name|
          less = now.without(*Styles::Properties.slots_of(name))
          Styles::Properties[name].same?(look.call(less)[name], full[name]) ? less : now
        end
      end
    end
  end
end
