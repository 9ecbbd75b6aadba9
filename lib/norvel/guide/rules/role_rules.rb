# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # role.<role>.style and role.<role>.<property>, notes.style and notes.<property>: what paragraphs of a role must
      # look like. A value that comes from the style is one cause for all its paragraphs, and its mend changes the
      # style; one that was set by hand is cleared.
      class RoleRules < Family
        RULES = [
          Rule.new(name: "headings.unmarked", goes_by: :look, stage: :roles, switch: ["headings", "unmarked"]),
          Rule.new(name: "clean.caption", goes_by: :look, stage: :roles, switch: %w[clean captions]),
          Rule.new(name: "role.*.style", goes_by: :look, stage: :roles),
          Rule.new(name: "role.*", goes_by: :look, stage: :values),
          Rule.new(name: "notes.style", goes_by: :look, stage: :roles),
          Rule.new(name: "notes.*", goes_by: :look, stage: :values)
        ].freeze

        EVERYWHERE = %i[font size].freeze

        def self.asked(guide, roles)
          [*("headings.unmarked" if unmarked?(guide)), *("clean.caption" if captions?(guide)),
            *roles.flat_map { |role| asked_of(guide, role) }]
        end

        # Does the guide name styles for headings?
        def self.unmarked?(guide)
          !Rules["headings.unmarked"].asked(guide).nil? ||
            (1..6).any? { |level| guide.role("heading_#{level}")["style"] }
        end

        # Are captions to be in the usual style where the guide names none?
        def self.captions?(guide)
          !Rules["clean.caption"].asked(guide).nil? && guide.role("caption").empty?
        end

        # The names of the rules about a role.
        def self.asked_of(guide, role)
          names = [*("style" if guide.role(role)["style"]), *guide.requirements(role).keys]
          names.map { |name| name_of(role, name) }
        end

        # What a rule on a role is called.
        def self.name_of(role, name)
          (role == "note") ? "notes.#{name}" : "role.#{role}.#{name}"
        end

        def initialize(check)
          super
          @judged = {}
          @faults = {}
        end

        def on(paragraph)
          role = @check.role(paragraph)
          asked = asked(role)
          return [] if asked.empty? || too_short?(asked, paragraph)
          return [unmarked(paragraph, role, asked)].compact if @check.suggested?(paragraph) && asked["style"]
          return [] if @guide.role(role).empty?
          [style(paragraph, role, asked), *properties(paragraph, role)].compact
        end

        private

        # What the guide says of a role. Where it names styles for headings, those of levels it is silent on are to be
        # headings too, in the usual style.
        def asked(role)
          @asked ||= Hash.new do |known, name|
            stated = @guide.role(name)
            usual = stated.empty? && usual?(name)
            known[name] = usual ? {"style" => Edits::PutInRoles.style_name(name, @guide, @document)} : stated
          end
          @asked[role]
        end

        def usual?(role)
          (role.start_with?("heading_") && self.class.unmarked?(@guide)) ||
            (role == "caption" && self.class.captions?(@guide))
        end

        def too_short?(asked, paragraph)
          asked["from_words"] && paragraph.word_count < asked["from_words"]
        end

        def style(paragraph, role, asked)
          wanted = asked["style"] or return
          return if in_style?(paragraph, wanted)
          name = @document.style_name(paragraph)
          why = why_not(paragraph, role, wanted)
          message = "#{speak(role)} is in #{name}, not in #{wanted}"
          finding(self.class.name_of(role, "style"), paragraph:, message:, asked: wanted, found: name,
            cause: [name, why], mend: put_in_style(wanted, role, why), cite: asked["cite"])
        end

        # A paragraph that plays a role by its look alone. It is judged by the role's rules once it is in the role's
        # style.
        def unmarked(paragraph, role, asked)
          wanted = asked["style"]
          return if in_style?(paragraph, wanted)
          why = why_not(paragraph, role, wanted)
          name = @document.style_name(paragraph)
          decided = @document.decisions.key?(paragraph.id)
          message = "#{decided ? "Is" : "Looks like"} #{speak(role, lower: true)}, and is in #{name}"
          because = Survey::SettledRoles.of(@document).because(paragraph).first(3).join(", ")
          finding(rule_of(role), paragraph:, message:, asked: wanted, found: because,
            cause: [role, why, name], mend: put_in_style(wanted, role, why), cite: asked["cite"])
        end

        def rule_of(role)
          return "headings.unmarked" if role.start_with?("heading_")
          (role == "caption" && self.class.captions?(@guide)) ? "clean.caption" : self.class.name_of(role, "style")
        end

        # Why a person is asked first, nil where nobody needs to be.
        def why_not(paragraph, role, wanted)
          return UNSURE unless sure?(paragraph, role)
          return UNNAMED unless @guide.role(role)["style"]
          Check::RENUMBERS if @check.renumbers?(paragraph, wanted)
        end

        def put_in_style(wanted, role, why)
          return unless style_for_paragraphs?(wanted)
          @put_in_style ||= {}
          @put_in_style[[wanted, role, why]] ||= Mend.new(name: "apply_role_style", label: "Put them in #{wanted}",
            safe: why.nil?, steps: [[:put_in_style, wanted, role]], why:)
        end

        # Can it be put in another style without a look? Where it is in a style that someone made and that says nothing
        # to Norvel, only if nearly all in that style is of its role.
        def sure?(paragraph, role)
          return false unless @check.sure?(paragraph)
          style = @document.style_of(paragraph)
          return true if style.nil? || style.default || @document.decisions.key?(paragraph.id)
          told = Survey::StyleRoles.by_itself(@document.styles, style)
          return told != "body" || role == "body" || @check.confidence(paragraph) >= AGAINST if told
          @uniform ||= {}
          @uniform.fetch([style.id, role]) do |key|
            worn = @check.roles_in(style.id)
            @uniform[key] = worn.size >= 3 && worn.count(role) >= worn.size * 0.9
          end
        end

        UNNAMED = "no guide asks for that style" # so it is offered
        AGAINST = 0.9 # so sure must be what contradicts a style for running text
        UNSURE = "what it is can't be told with enough confidence"

        # Is the paragraph in the style of this name?
        def in_style?(paragraph, wanted)
          @wanted_styles ||= Hash.new { |known, name| known[name] = [@document.styles.called(name)] }
          style = @wanted_styles[wanted].first
          own = @document.style_of(paragraph)
          !style.nil? && (style.equal?(own) || own&.variant_of?(style))
        end

        # Is it in the style of its role because someone put it there? All text is in a file's base style at first.
        def chosen?(paragraph, role)
          in_style?(paragraph, @guide.role(role)["style"].to_s) && !@document.style_of(paragraph).default
        end

        # Every judgement is made once for all paragraphs that are set alike and look alike in most of their letters.
        def properties(paragraph, role)
          alike = (@judged[role] ||= {}.compare_by_identity)[@document.letter_look(paragraph)] ||= {}
          verdicts = alike[paragraph.formatting] ||= on_paragraph(paragraph, role) + on_runs(paragraph, role)
          return verdicts if verdicts.empty?
          sure = @check.sure?(paragraph) || chosen?(paragraph, role)
          verdicts.map { |verdict| (sure ? verdict : unsure(verdict)).at(paragraph) }
        end

        def on_paragraph(paragraph, role)
          @on_paragraph ||= {}
          @on_paragraph[[role, paragraph.style_id, paragraph.direct, paragraph.table]] ||= begin
            look = @document.look(paragraph)
            broken = requirements(role, :paragraph).reject { |name, requirement| requirement.meets?(look[name]) }
            broken.map { |name, requirement| verdict(name, requirement, paragraph, nil, look[name], role) }
          end
        end

        # Any run may break the rules on font and size (note marks and indices are smaller by nature); the others are
        # about what most of the letters are.
        def on_runs(paragraph, role)
          return [] if requirements(role, :run).empty?
          most = @document.letter_look(paragraph)
          broken = {}
          paragraph.formatting.letters.reject(&:symbols?).each do |run|
            look = @document.run_look(run, paragraph)
            faults(role, look).each { |name| broken[name] ||= run if counts?(name, look, most) }
          end
          broken.map { |name, run| run_verdict(name, run, paragraph, role) }
        end

        def counts?(name, look, most)
          EVERYWHERE.include?(name) ? look[:position] == "normal" : look.equal?(most)
        end

        def run_verdict(name, run, paragraph, role)
          @on_run ||= {}
          seen = @document.run_look(run, paragraph)
          @on_run[[role, name, paragraph.style_id, paragraph.table, run.style_id, run.direct]] ||=
            verdict(name, requirements(role, :run)[name], paragraph, run, seen[name], role)
        end

        # The same where what the paragraph is can't be told for sure.
        def unsure(verdict)
          verdict.dup.tap do |finding|
            finding.mend = finding.mend&.asking(UNSURE)
            finding.cause = [*finding.cause, :unsure]
          end
        end

        # Names of the properties in which a look of letters is not as asked.
        def faults(role, look)
          known = @faults[role] ||= {}.compare_by_identity
          known[look] ||= requirements(role, :run).reject { |name, asked| asked.meets?(look[name]) }.keys
        end

        def requirements(role, place)
          @requirements ||= {}
          @requirements[[role, place]] ||= @guide.requirements(role).select { |_, asked| asked.property.on == place }
        end

        # A finding for every paragraph that is set alike, at none of them yet.
        def verdict(name, requirement, paragraph, run, found, role)
          property = requirement.property
          cause = RoleCause.new(@check, requirement, paragraph, run, found, role)
          finding(self.class.name_of(role, name), asked: requirement.spoken,
            message: message(property, found, speak(role, lower: true), requirement),
            found: property.spoken(found, requirement.unit), cause: cause.key, mend: cause.mend,
            cite: @guide.role(role)["cite"])
        end

        def message(property, found, role, requirement)
          return "#{property.label} is #{"not " unless property.type.json(found)}set on #{role}" if property.flag?
          "#{property.label} of #{role} is #{property.spoken(found, requirement.unit)}, not #{requirement.spoken}"
        end

        def speak(role, lower: false)
          lower ? Survey::Roles.words(role) : Survey::Roles.words(role).capitalize
        end
      end
    end
  end
end
