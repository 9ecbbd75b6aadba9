# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # Why a value of a paragraph is not as asked: the level of the cascade that set it, and the mend at that level.
      # Paragraphs that are not in their role's style are put in it: to change the style they happen to be in, often the
      # base of all others, would move much else.
      class RoleCause
        BY_HAND = %i[direct character].freeze

        # wanted: the name of the style that the guide names for the role, or nil; run: for properties of letters
        def initialize(document, wanted, requirement, paragraph, run, found, role)
          @document = document
          @wanted = wanted
          @requirement = requirement
          @paragraph = paragraph
          @found = found
          @role = role
          @style = document.style_of(paragraph)
          @set = document.cascade.decided(name, paragraph, run)
        end

        # What findings of one cause share.
        def key
          [by_hand? ? :direct : @set.kind, @style&.id]
        end

        # A Mend, or nil where none can be computed.
        def mend
          return if @style.nil? || @set.kind == :table
          parts = [in_style, (cleared if by_hand?)].compact
          return (list_level if @set.kind == :list) if parts.empty?
          label = parts.map(&:first).join(", and ").then { |text| text[0].upcase + text[1..] }
          alone = parts.size == 1 && by_hand?
          name = alone ? "clear_direct" : "change_style"
          Mend.new(name:, label:, safe: @set.kind != :character, steps: parts.map(&:last))
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

        # [label, step]: into the role's style, or the style changed; nil when the style is right.
        def in_style
          if @wanted && !@style.name.casecmp?(@wanted)
            return ["Put them in #{@wanted}", [:put_in_style, @wanted, @role]]
          end
          return if @requirement.meets?(@document.cascade.of_style(@style, property.on)[name])
          target = @requirement.target(@found)
          where = by_hand? ? @style.name : "the style #{@style.name}"
          ["#{property.label} #{property.spoken(target)} in #{where}", [:change_style, @style.id, {name => target}]]
        end

        def cleared
          ["clear it where it was set by hand", [:clear, {properties: [name]}]]
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
          Mend.new(name: "change_list_level", label:, safe: false, steps: [step])
        end
      end
    end
  end
end
