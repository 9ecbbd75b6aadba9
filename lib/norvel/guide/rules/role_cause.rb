# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # Why a value of a paragraph is not as asked: the level of the cascade that set it, and the mend at that level.
      # Paragraphs that are not in their role's style are put in it: to change the style they happen to be in, often the
      # base of all others, would move much else.
      class RoleCause
        BY_HAND = %i[direct character].freeze
        BASE = "paragraphs of other kinds are in that style too, and would get one of their own"

        BY_LOOK = "nothing but its look says what it is"

        # run: for properties of letters; found: the value seen
        def initialize(check, requirement, paragraph, run, found, role)
          @check = check
          @document = check.document
          @requirement = requirement
          @paragraph = paragraph
          @found = found
          @role = role
          @style = @document.style_of(paragraph)
          @set = @document.cascade.decided(name, paragraph, run)
          @wanted = check.guide.role(role)["style"] || (Survey::Roles[role].style if shared?)
          @barred = @wanted && @document.styles.called(@wanted).nil? && @document.styles.named(@wanted)
        end

        # What findings of one cause share.
        def key
          [by_hand? ? :direct : @set.kind, @style&.id]
        end

        # A Mend, or nil where none can be computed.
        def mend
          return if @style.nil? || @barred
          parts = [in_style, (by_itself if by_hand?)].compact
          return (list_level if @set.kind == :list) if parts.empty?
          label = parts.map(&:first).join(", and ").then { |text| text[0].upcase + text[1..] }
          alone = parts.size == 1 && by_hand?
          mend = Mend.new(name: alone ? "clear_direct" : "change_style", label:, safe: true, steps: parts.map(&:last))
          return mend.asking("a character style says it, which words elsewhere may wear") if @set.kind == :character
          return mend.asking(BY_LOOK) if alone && by_look?
          return mend.asking(RoleRules::UNNAMED) if mend.put? && @check.guide.role(@role)["style"].nil?
          return mend.asking(BASE) if mend.name == "change_style" && !mend.put? && @style.default && shared?
          return mend.asking(Check::RENUMBERS) if mend.put? && @check.renumbers?(@paragraph, @wanted)
          apart? ? mend.asking("part of the paragraph is set apart by it") : mend
        end

        private

        def name
          @requirement.property.name
        end

        def property
          @requirement.property
        end

        def by_hand?
          BY_HAND.include?(@set.kind)
        end

        # Does no style say what it is, and the guide names none for it?
        def by_look?
          @check.suggested?(@paragraph) && @check.guide.role(@role)["style"].nil?
        end

        # Do only some words of the paragraph have it, so that it carries meaning?
        def apart?
          by_hand? && Edits::Fitting.new(@document, @document).mixed(@paragraph).include?(name)
        end

        # Do paragraphs that are something else depend on the style?
        def shared?
          return false unless @style
          (@check.wearers[@style.id] - [@role]).any?
        end

        # [label, step]: into the role's style, or the style changed; nil when the style is right.
        def in_style
          called = @wanted && @document.styles.called(@wanted)
          if @wanted && !@style.equal?(called) && !(called && @style.variant_of?(called))
            return unless @check.guide.role(@role)["style"] || !style_right?
            return ["Put them in #{@wanted}", [:put_in_style, @wanted, @role]]
          end
          return if style_right?
          target = @requirement.nearest(style_value)
          where = by_hand? ? @style.name : "the style #{@style.name}"
          ["#{property.label} #{property.spoken(target)} in #{where}", [:change_style, @style.id, {name => target}]]
        end

        def style_value
          @document.cascade.of_style(@style, property.on)[name]
        end

        # Would the paragraph be as asked without what it sets itself?
        def style_right?
          @set.kind != :table && @requirement.meets?(style_value)
        end

        # [label, step]: cleared where the style then says what comes nearest, else set to that.
        def by_itself
          target = @requirement.nearest(@found)
          if in_style || @check.guide.role(@role)["style"] || property.same?(style_value, target)
            return ["clear it where it was set by hand", [:let_style_say, [name]]]
          end
          ["make it #{property.spoken(target)} where it was set by hand", [:make_equal, name, target]]
        end

        # The style is right and the list it was put in says otherwise: the list's level can change, and all its items
        # with it, so a person is asked.
        def list_level
          id, level = @document.cascade.list_of(@paragraph)
          list = id && @document.numbering.list(id) or return
          return if list.overrides.key?(level)
          target = @requirement.target(@found)
          label = "#{property.label} #{property.spoken(target)} in level #{level + 1} of its list"
          step = [:change_level, list.definition_id, level, {name => target}]
          Mend.new(name: "change_list_level", label:, safe: false, steps: [step],
            why: "the level's other items would change with it")
        end
      end
    end
  end
end
