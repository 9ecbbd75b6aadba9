# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.direct: formatting by hand. What the style says anyway goes without a look; what is seen is asked about,
      # unless a style can take it over.
      class DirectRules < Family
        RULES = [
          Rule.new(name: "clean.direct", goes_by: :look, stage: :by_hand, switch: ["clean", "direct_formatting"])
        ].freeze

        # A guide keeps by these names; positions are kept anyway.
        KEPT = {"superscript" => :position, "subscript" => :position}.freeze
        SAME = Mend.new(name: "clear_direct", label: "Let the style say it", safe: true, steps: [[:let_style_say, []]])

        def initialize(check)
          super
          @known = {}
          @seen = {}
          @departures = {}
          @puts = {}
          prepare if asked?("clean.direct")
        end

        def on(paragraph)
          return [] unless @clear
          ways = paragraph.remember_set(:all_ways) { paragraph.runs.map { |run| Document::Makeup.way(run) }.uniq }
          departures = @departures[[paragraph.direct, ways]] ||= departures(paragraph)
          departures.empty? ? [] : [direct(paragraph, departures, ways)]
        end

        private

        def prepare
          @kept = keep
          emphasis = @kept & Edits::ClearDirect::EMPHASIS
          @clear = Mend.new(name: "clear_direct", label: "Clear it", safe: false,
            steps: [[:clear, {keep: @kept - emphasis, keep_emphasis: emphasis}]])
        end

        def direct(paragraph, departures, ways)
          seen = @seen[[paragraph.style_id, paragraph.direct, paragraph.table, ways]] ||= seen(paragraph)
          said = (seen.empty? ? departures : seen).join(", ")
          message = seen.empty? ? "Formatting was set by hand as the style has it" : "Formatting was set by hand"
          mend = mend(paragraph, seen)
          finding("clean.direct", paragraph:, message: "#{message}: #{said}", asked: "from the style", found: said,
            cause: [paragraph.style_id, *mend.steps, mend.safe, mend.why], mend:, cite: @guide.clean["cite"])
        end

        def mend(paragraph, seen)
          return SAME if seen.empty?
          put_in_usual(paragraph) || @clear.with(why: "it would look otherwise: #{seen.join(", ")}")
        end

        # Text of a role that the guide names no style for, still in the file's base style: a style of its own can take
        # over its look.
        def put_in_usual(paragraph)
          return unless @document.style_of(paragraph).equal?(@document.sheet.default)
          role = @check.role(paragraph)
          style = Roles[role].style
          return if style.nil? || @guide.role(role)["style"] || role == "body" || !style_for_paragraphs?(style)
          @puts[[role, @check.sure?(paragraph)]] ||= put(style, role, @check.sure?(paragraph))
        end

        def put(style, role, sure)
          why = RoleRules::UNSURE unless sure
          why ||= "their style is not in the guide" if @guide.role(role).empty?
          Mend.new(name: "apply_role_style", label: "Put them in #{style}", safe: why.nil?,
            steps: [[:put_in_style, style, role]], why:)
        end

        def keep
          switch = @guide.clean["direct_formatting"]
          switch.is_a?(Hash) ? (switch["keep"] || []).map { |name| KEPT.fetch(name, name.to_sym) } : []
        end

        # Labels of the properties that stand on the paragraph or its runs and would go.
        def departures(paragraph)
          runs = paragraph.runs.reject(&:symbols?)
          (labels(paragraph.direct) + runs.flat_map { |run| labels(run.direct) }).uniq
        end

        def labels(set)
          return [] if set.empty?
          @known[set] ||= set.keys.filter_map do |slot|
            Styles::Properties[Styles::Properties[slot].key].label&.downcase || "other formatting" if goes?(slot)
          end
        end

        def goes?(slot)
          property = Styles::Properties[slot]
          property.clear != :keep && !@kept.include?(property.key)
        end

        # Labels of those of them that are seen: without them the paragraph or its letters would look otherwise.
        def seen(paragraph)
          bare = paragraph.with(direct: without(paragraph.direct))
          on_paragraph = @document.look(paragraph).differences(@document.look(bare), :paragraph)
          on_letters = paragraph.runs.flat_map do |run|
            next [] if run.symbols?
            @document.run_look(run, paragraph).differences(@document.run_look(run.with(direct: without(run.direct)),
              paragraph), :run)
          end
          (on_paragraph + on_letters).uniq.map { |property| property.label.downcase } | unlabelled(paragraph)
        end

        # What only a format knows may be seen too.
        def unlabelled(paragraph)
          sets = [paragraph.direct, *paragraph.runs.map(&:direct)]
          carried = sets.any? do |set|
            set.keys.any? { |slot| goes?(slot) && Styles::Properties[slot].then { |one| !one.shown? && !one.part_of } }
          end
          carried ? ["other formatting"] : []
        end

        def without(set)
          set.without(*set.keys.select { |slot| goes?(slot) })
        end
      end
    end
  end
end
