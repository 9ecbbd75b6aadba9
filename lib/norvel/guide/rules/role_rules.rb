# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # role.<role>.style and role.<role>.<property>: what paragraphs of a role must look like. A value that comes from the
      # style is one cause for all its paragraphs, and its mend changes the style; one that was set by hand is cleared.
      class RoleRules < Family
        def findings
          @judged = {}
          @document.paragraphs.flat_map do |paragraph|
            role = @check.role(paragraph)
            asked = @guide.role(role)
            next [] if asked.empty? || too_short?(asked, paragraph)
            [style(paragraph, role, asked), *properties(paragraph, role, asked)].compact
          end
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

        # Paragraphs of one style with equal direct formatting are judged once.
        def properties(paragraph, role, asked)
          verdicts = @judged[[role, paragraph.style_id, paragraph.direct, paragraph.table, letters(paragraph)]] ||= @guide.requirements(role).filter_map { |name, requirement| verdict(name, requirement, paragraph, role) }
          verdicts.map { |rule, message, requirement, found, cause, mend| finding(rule, paragraph:, message:, asked: requirement.spoken, found:, cause:, mend:, cite: asked["cite"]) }
        end

        # What a paragraph's letters are set in, as far as rules go: most of them, and every font and size among them.
        def letters(paragraph)
          seen = paragraph.letters
          (seen.size <= 1) ? [seen.first&.style_id, seen.first&.direct] : [@document.letter_look(paragraph), *seen.flat_map { |run| [run.style_id, run.direct] }]
        end

        def verdict(name, requirement, paragraph, role)
          property = requirement.property
          run = (property.on == :run) ? offender(name, requirement, paragraph) : nil
          found = (property.on == :run) ? run && @document.run_look(run, paragraph)[name] : @document.look(paragraph)[name]
          return if (property.on == :run && run.nil?) || requirement.meets?(found)
          set = @document.cascade.explain(name, paragraph, run).last
          spoken = property.spoken(found)
          message = message(property, found, speak(role, lower: true), requirement)
          ["role.#{role}.#{name}", message, requirement, spoken, *cause(set, name, requirement, paragraph, found)]
        end

        def message(property, found, role, requirement)
          return "#{property.label} is #{"not " unless property.type.json(found)}set on #{role}" if property.type.is_a?(Styles::Types::Flag)
          "#{property.label} of #{role} is #{property.spoken(found)}, not #{requirement.spoken}"
        end

        # The run that breaks the rule: for font and size any of them, for emphasis only when most of the letters have it.
        def offender(name, requirement, paragraph)
          seen = paragraph.letters.reject(&:symbols?)
          return seen.find { |run| !requirement.meets?(@document.run_look(run, paragraph)[name]) && !small?(run, paragraph) } if %i[font size].include?(name)
          look = @document.letter_look(paragraph)
          seen.find { |run| @document.run_look(run, paragraph).equal?(look) } unless requirement.meets?(look[name])
        end

        # Note marks and indices are smaller by nature.
        def small?(run, paragraph)
          @document.run_look(run, paragraph)[:position] != "normal"
        end

        def cause(set, name, requirement, paragraph, found)
          style = @document.style_of(paragraph)
          target = requirement.target(found)
          own = style ? @document.cascade.of_style(style, requirement.property.on)[name] : nil
          style_mend = style && Edits::ChangeStyle.new(style.id, {name => target})
          label = "#{requirement.property.label} #{requirement.property.spoken(target)}"
          if %i[direct character].include?(set.kind)
            clear = ->(list) { Edits::ClearDirect.new(ids(list), properties: [name]) }
            return [[:direct, style&.id], Mend.new("clear_direct", "Clear it where it was set by hand", set.kind == :direct, ->(list, _) { clear[list] })] if requirement.meets?(own)
            return [[:direct, style&.id], style && Mend.new("change_style", "#{label} in #{style.name}, and clear it where it was set by hand", set.kind == :direct, ->(list, _) { Edits::Several.new([style_mend, clear[list]]) })]
          end
          return [[:table, style&.id], nil] if set.kind == :table
          [[:style, style&.id], style && Mend.new("change_style", "#{label} in the style #{style.name}", true, ->(_, _) { style_mend })]
        end

        def speak(role, lower: false)
          words = {"body" => "Body text", "quote" => "Block quotation", "table_text" => "Table text"}.fetch(role) { role.tr("_", " ").capitalize }
          lower ? words.downcase : words
        end
      end
    end
  end
end
