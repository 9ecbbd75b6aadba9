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
        SAME = Mend.new(name: "clear_direct", label: "Clear it: the style says the same", safe: true,
          steps: [[:let_style_say, []]])

        # What puts the parts of a running head at the left, in the middle and at the right.
        PLACES = %i[align tabs].freeze

        # kept: names of properties that stay, beside those that the guide keeps
        def initialize(check, kept: [])
          super(check)
          @also_kept = kept
          @known = {}
          @judged = {}
          @lines = {}
          @letters = {}
          @puts = {}
          prepare if asked?("clean.direct")
        end

        # Judged once for all that are set alike and are the same.
        def on(paragraph)
          return [] if @clear.nil? || paragraph.by_style_alone?
          return heads.on(paragraph) if @also_kept.empty? && @check.role(paragraph) == "running_head"
          alike = @judged[[@check.role(paragraph), @check.sure?(paragraph)]] ||= {}
          verdict = alike.fetch(paragraph.whole_formatting) { |formatting| alike[formatting] = verdict(paragraph) }
          verdict ? [verdict.at(paragraph)] : []
        end

        private

        def heads
          @heads ||= self.class.new(@check, kept: PLACES)
        end

        def prepare
          @kept = keep
          emphasis = @kept & Edits::ClearDirect::EMPHASIS
          @clear = Mend.new(name: "clear_direct", label: "Clear it", safe: false,
            steps: [[:clear, {keep: @kept - emphasis, keep_emphasis: emphasis}]])
        end

        # A finding at no paragraph yet, nil where nothing would go.
        def verdict(paragraph)
          departures = departures(paragraph)
          direct(paragraph, departures) unless departures.empty?
        end

        def direct(paragraph, departures)
          seen = seen(paragraph)
          said = (seen.empty? ? departures : seen).join(", ")
          message = seen.empty? ? "Formatting was set by hand as the style has it" : "Formatting was set by hand"
          mend = mend(paragraph, seen)
          finding("clean.direct", message: "#{message}: #{said}", asked: "from the style", found: said,
            cause: [paragraph.style_id, *mend.steps, mend.safe, mend.why], mend:, cite: @guide.clean["cite"])
        end

        def mend(paragraph, seen)
          return SAME if seen.empty?
          put_in_usual(paragraph) || @clear.with(why: "it would change how it looks: #{seen.join(", ")}")
        end

        # Text of a role that the guide names no style for, still in the file's base style: a style of its own can take
        # over its look.
        def put_in_usual(paragraph)
          return unless @document.style_of(paragraph).equal?(@document.styles.default)
          role = @check.role(paragraph)
          style = Survey::Roles[role].style
          return if style.nil? || @guide.role(role)["style"] || role == "body" || !style_for_paragraphs?(style)
          why = RoleRules::UNSURE unless @check.sure?(paragraph)
          why ||= Check::RENUMBERS if @check.renumbers?(paragraph, style)
          @puts[[role, why]] ||= put(style, role, why)
        end

        def put(style, role, why)
          why ||= RoleRules::UNNAMED
          Mend.new(name: "apply_role_style", label: "Put them in #{style}", safe: why.nil?,
            steps: [[:put_in_style, style, role]], why:)
        end

        def keep
          switch = @guide.clean["direct_formatting"]
          named = switch.is_a?(Hash) ? switch["keep"] || [] : []
          named.map { |name| KEPT.fetch(name, name.to_sym) } + @also_kept
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
          runs = paragraph.runs.reject { |run| run.symbols? || run.direct.empty? }
          (lines(paragraph) + runs.flat_map { |run| letters(run, paragraph) }).uniq
        end

        def lines(paragraph)
          @lines[[paragraph.style_id, paragraph.direct, paragraph.table]] ||= begin
            bare = paragraph.with(direct: without(paragraph.direct))
            labels_of(@document.look(paragraph), @document.look(bare), :paragraph, paragraph.direct)
          end
        end

        def letters(run, paragraph)
          @letters[[paragraph.style_id, paragraph.table, run.style_id, run.direct]] ||= begin
            bare = run.with(direct: without(run.direct))
            labels_of(@document.run_look(run, paragraph), @document.run_look(bare, paragraph), :run, run.direct)
          end
        end

        # What differs between two looks; what only a format knows may be seen too.
        def labels_of(look, bare, place, set)
          said = look.equal?(bare) ? [] : look.differences(bare, place).map { |property| property.label.downcase }
          carried = set.keys.any? { |slot| goes?(slot) && of_a_format?(Styles::Properties[slot]) }
          carried ? said + ["other formatting"] : said
        end

        def of_a_format?(property)
          !property.shown? && !property.part_of
        end

        def without(set)
          set.without(*set.keys.select { |slot| goes?(slot) })
        end
      end
    end
  end
end
