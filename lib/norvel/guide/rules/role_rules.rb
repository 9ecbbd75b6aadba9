# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # role.<role>.style and role.<role>.<property>: what paragraphs of a role must look like. A value that comes from the
      # style is one cause for all its paragraphs, and its mend changes the style; one that was set by hand is cleared.
      class RoleRules < Family
        SURE = 0.75 # a suggestion of less confidence asks first
        EVERYWHERE = %i[font size].freeze

        def self.asked(guide, roles)
          roles.flat_map { |role| [*("role.#{role}.style" if guide.role(role)["style"]), *guide.requirements(role).keys.map { |name| "role.#{role}.#{name}" }] }
        end

        def initialize(check)
          super
          @judged = {}
          @faults = {}
        end

        def on(paragraph)
          role = @check.role(paragraph)
          asked = @guide.role(role)
          return [] if asked.empty? || too_short?(asked, paragraph)
          return [unmarked(paragraph, role, asked)].compact if @check.suggested?(paragraph)
          [style(paragraph, role, asked), *properties(paragraph, role)].compact
        end

        private

        def too_short?(asked, paragraph)
          asked["from_words"] && paragraph.word_count < asked["from_words"]
        end

        def style(paragraph, role, asked)
          wanted = asked["style"] or return
          name = @document.style_name(paragraph)
          return if name.casecmp?(wanted)
          @style_mends ||= Hash.new do |mends, (to, of)|
            mends[[to, of]] = Mend.new("apply_role_style", "Put them in #{to}", true, ->(list, guide) { Edits::ApplyRoleStyle.new(ids(list), to, guide.values(of)) })
          end
          finding("role.#{role}.style", paragraph:, message: "#{speak(role)} is in #{name}, not in #{wanted}", asked: wanted, found: name, cause: [name], mend: @style_mends[[wanted, role]], cite: asked["cite"])
        end

        # A paragraph that plays a role by its look alone. It is judged by the role's rules once it is in the role's style.
        def unmarked(paragraph, role, asked)
          wanted = asked["style"] or return
          suggestion = @check.suggestions[paragraph.id]
          sure = suggestion.confidence >= SURE
          @unmarked_mends ||= Hash.new do |mends, (to, of, safe)|
            mends[[to, of, safe]] = Mend.new("apply_role_style", "Put them in #{to}", safe, ->(list, guide) { Edits::ApplyRoleStyle.new(ids(list), to, guide.values(of)) })
          end
          rule = suggestion.heading? ? "headings.unmarked" : "role.#{role}.style"
          message = "Looks like #{speak(role, lower: true)}, and is in #{@document.style_name(paragraph)}"
          finding(rule, paragraph:, message:, asked: wanted, found: suggestion.because.first(3).join(", "), cause: [role, sure, @document.style_name(paragraph)], mend: @unmarked_mends[[wanted, role, sure]], cite: asked["cite"])
        end

        # Every judgement is made once for all paragraphs that are set alike and look alike in most of their letters.
        def properties(paragraph, role)
          verdicts = @judged[[role, paragraph.makeup, @document.letter_look(paragraph)]] ||= on_paragraph(paragraph, role) + on_runs(paragraph, role)
          verdicts.map { |verdict| verdict.at(paragraph) }
        end

        def on_paragraph(paragraph, role)
          @on_paragraph ||= {}
          @on_paragraph[[role, paragraph.style_id, paragraph.direct, paragraph.table]] ||= begin
            look = @document.look(paragraph)
            requirements(role, :paragraph).filter_map { |name, requirement| verdict(name, requirement, paragraph, nil, look[name], role) unless requirement.meets?(look[name]) }
          end
        end

        # Any run may break the rules on font and size (note marks and indices are smaller by nature); the others are about
        # what most of the letters are.
        def on_runs(paragraph, role)
          return [] if requirements(role, :run).empty?
          most = @document.letter_look(paragraph)
          broken = {}
          paragraph.makeup.letters.each do |run|
            look = @document.run_look(run, paragraph)
            faults = faults(role, look)
            next if faults.empty? || run.symbols?
            faults.each { |name| broken[name] ||= run if EVERYWHERE.include?(name) ? look[:position] == "normal" : look.equal?(most) }
          end
          broken.map do |name, run|
            @on_run ||= {}
            @on_run[[role, name, paragraph.style_id, paragraph.table, run.style_id, run.direct]] ||= verdict(name, requirements(role, :run)[name], paragraph, run, @document.run_look(run, paragraph)[name], role)
          end
        end

        def faults(role, look)
          (@faults[role] ||= {}.compare_by_identity)[look] ||= requirements(role, :run).reject { |name, requirement| requirement.meets?(look[name]) }.keys
        end

        def requirements(role, place)
          (@requirements ||= {})[[role, place]] ||= @guide.requirements(role).select { |_, requirement| requirement.property.on == place }
        end

        # A finding for every paragraph that is set alike, at none of them yet.
        def verdict(name, requirement, paragraph, run, found, role)
          property = requirement.property
          rule = "role.#{role}.#{name}"
          set = @document.cascade.explain(name, paragraph, run).last
          cause, mend = cause(set, name, requirement, paragraph, found, role)
          finding(rule, message: message(property, found, speak(role, lower: true), requirement), asked: requirement.spoken, found: property.spoken(found), cause:, mend:, cite: @guide.role(role)["cite"])
        end

        def message(property, found, role, requirement)
          return "#{property.label} is #{"not " unless property.type.json(found)}set on #{role}" if property.type.is_a?(Styles::Types::Flag)
          "#{property.label} of #{role} is #{property.spoken(found)}, not #{requirement.spoken}"
        end

        # [what makes findings one group, the mend]. Paragraphs that are not in their role's style are put in it: to change
        # the style they happen to be in, often the base of all others, would move much else.
        def cause(set, name, requirement, paragraph, found, role)
          style = @document.style_of(paragraph)
          by_hand = %i[direct character].include?(set.kind)
          kind = by_hand ? :direct : set.kind
          return [[kind, style&.id], nil] if style.nil? || set.kind == :table
          steps = []
          label = []
          if (wanted = @guide.role(role)["style"]) && !style.name.casecmp?(wanted)
            steps << ->(list, guide) { Edits::ApplyRoleStyle.new(ids(list), wanted, guide.values(role)) }
            label << "Put them in #{wanted}"
          elsif !requirement.meets?(@document.cascade.of_style(style, requirement.property.on)[name])
            target = requirement.target(found)
            steps << ->(_, _) { Edits::ChangeStyle.new(style.id, {name => target}) }
            label << "#{requirement.property.label} #{requirement.property.spoken(target)} in #{by_hand ? style.name : "the style #{style.name}"}"
          end
          if by_hand
            steps << ->(list, _) { Edits::ClearDirect.new(ids(list), properties: [name]) }
            label << "clear it where it was set by hand"
          end
          label = label.join(", and ").then { |text| text[0].upcase + text[1..] }
          [[kind, style.id], Mend.new((steps.size == 1 && by_hand) ? "clear_direct" : "change_style", label, set.kind != :character, ->(list, guide) { Edits::Several.new(steps.map { |step| step.call(list, guide) }) })]
        end

        def speak(role, lower: false)
          words = {"body" => "Body text", "quote" => "Block quotation", "table_text" => "Table text"}.fetch(role) { role.tr("_", " ").capitalize }
          lower ? words.downcase : words
        end
      end
    end
  end
end
