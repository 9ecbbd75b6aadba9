# frozen_string_literal: true

module Norvel
  module Edits
    # Removes direct formatting: all of it, or some properties. What carries meaning stays: super- and subscript,
    # language, list membership, page breaks, hidden text; emphasis inside a paragraph when asked (docs/file-formats.md
    # says what is which).
    class ClearDirect < Edit
      # What is kept as emphasis when asked: colour and capitals are looks here.
      EMPHASIS = Fitting::EMPHASIS - %i[color caps]

      # ids: paragraphs, or :all; properties: names of the property table, or nil for all; keep: names that stay;
      # keep_emphasis: the kinds of emphasis (true for all) by which words that stand out in their paragraph go on doing
      # so.
      def initialize(ids, properties: nil, keep: [], keep_emphasis: false)
        @ids = ids
        @slots = properties&.flat_map { |name| Styles::Properties.slots_of(name) }
        @keep = keep.flat_map { |name| Styles::Properties.slots_of(name) }
        @emphasis = (keep_emphasis == true) ? EMPHASIS : Array(keep_emphasis || nil)
        @names = properties
      end

      def change(document)
        paragraphs = (@ids == :all) ? document.working : chosen(document, @ids)
        document.replace(paragraphs.filter_map { |paragraph| cleared(paragraph, document) })
      end

      def title(document)
        named = @names&.map { |name| Styles::Properties[name].label.downcase }
        what = named ? "#{named.join(", ")} set by hand" : "what was set by hand"
        touched = change(document)
        number = document.everything.zip(touched.everything).count { |was, now| !was.equal?(now) }
        "Clear #{what} on #{count(number)}"
      end

      private

      # The paragraph without it, or nil when nothing goes.
      def cleared(paragraph, document)
        direct = paragraph.direct.without(*going(paragraph.direct, :paragraph))
        mark = paragraph.mark.without(*going(paragraph.mark, :run))
        bare = paragraph.runs.map { |run| unset(run) }
        same = bare.zip(paragraph.runs).all? { |new, old| new.equal?(old) }
        return if same && direct.equal?(paragraph.direct) && mark.equal?(paragraph.mark)
        now = paragraph.with(direct:, mark:, runs: bare.freeze)
        @emphasis.any? ? emphasised(paragraph, now, document) : now
      end

      def unset(run)
        return run if run.symbols?
        direct = run.direct.without(*going(run.direct, :run))
        direct.equal?(run.direct) ? run : run.with(direct:)
      end

      def going(set, place)
        return [] if set.empty?
        set.keys.select do |slot|
          property = Styles::Properties[slot]
          property.on == place && !@keep.include?(slot) && (@slots ? @slots.include?(slot) : property.clear != :keep)
        end
      end

      # Words that are set apart in their paragraph stay so, also where they are most of it; a whole paragraph set bold
      # is its look. Toggles make it necessary to compare what is seen, not what is set.
      def emphasised(was, now, document)
        mixed = Fitting.new(document, document).mixed(was) & @emphasis
        runs = was.runs.zip(now.runs).map do |old, new|
          kept = mixed.each_with_object({}) do |name, values|
            next if @slots && !@slots.include?(name)
            seen = document.run_look(old, was)[name]
            values.merge!(Setting.slots(name, seen)) unless same?(name, seen, document.run_look(new, now)[name])
          end
          kept.empty? ? new : new.with(direct: new.direct.merge(kept))
        end
        now.with(runs: runs.freeze)
      end

      def same?(name, one, other)
        Styles::Properties[name].same?(one, other)
      end
    end
  end
end
