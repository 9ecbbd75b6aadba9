# frozen_string_literal: true

module Norvel
  module Edits
    # Puts paragraphs in a paragraph style: they look as the style does. A style that the document has is not changed by
    # it; one that it lacks is made as its pattern says.
    class PutInStyle < Edit
      HANDS = %i[goes stays].freeze # what was set by hand on whole paragraphs
      # As the style is; or the style takes the look that most of them share, always or only where it is made.
      LOOKS = %i[style theirs theirs_if_made].freeze

      # ids: paragraphs; style: the id of one that is there, or a name; asked: {property => Guide::Requirement} that are
      # the style's in any case; role: what they are, so that a new style of headings is one for contents lists and
      # assistive technology too; pattern: a Pattern for a style that is missing
      def initialize(ids, style, hand: :goes, look: :style, asked: {}, role: nil, pattern: Pattern::PLAIN)
        @ids = ids
        @style = style.to_s
        @hand = hand
        @look = look
        @asked = asked
        @role = role
        @pattern = pattern
      end

      def change(document)
        paragraphs = chosen(document, @ids)
        refuse_other_kinds(document)
        after = with_style(document, paragraphs)
        id = found(after).id
        undressing = FormattingRemoval.new(document, after, hand: @hand, ruled: @asked.keys)
        after.replace(paragraphs.map { |paragraph| undressing.put(paragraph, id) })
      end

      def title(document)
        put = "put #{count(@ids.size)} in #{name(document)}"
        return "Make #{name(document)}, #{put}" unless found(document)
        return put.sub(/\Ap/, "P") unless @look == :theirs
        there = @ids.all? { |id| document.style_of(document.paragraph(id)).equal?(found(document)) }
        there ? TakeLook.new(@ids, @style).title(document) : "Let #{name(document)} take their look, #{put}"
      end

      # The name of the style.
      def name(document)
        found(document)&.name || @style
      end

      # Would it be made?
      def missing?(document)
        found(document).nil?
      end

      # What the style has otherwise than most of them: [[Property, theirs, the style's], …]; empty where it takes their
      # look, and where it is made.
      def differences(document)
        style = found(document)
        return [] if style.nil? || @look == :theirs
        SharedLook.new(document, chosen(document, @ids)).beyond(style).except(*@asked.keys).map do |name, value|
          property = Styles::Properties[name]
          [property, value, document.cascade.of_style(style, property.on)[name]]
        end
      end

      # What was set by hand on whole paragraphs and would go: {property => [values]}.
      def going(document)
        undressing = FormattingRemoval.new(document, document, hand: @hand)
        chosen(document, @ids).uniq(&:formatting).flat_map { |paragraph| undressing.going(paragraph) }
          .group_by(&:name).transform_values { |list| list.map(&:value).uniq }
      end

      private

      def found(document)
        style = document.styles[@style] || document.styles.called(@style)
        style if style&.paragraph?
      end

      def refuse_other_kinds(document)
        return if found(document)
        other = document.styles.named(@style) or return
        raise Refused, "#{other.name} is a #{other.type} style: paragraphs can't be in it."
      end

      def with_style(document, paragraphs)
        return made(document, paragraphs) unless found(document)
        (@look == :theirs) ? TakeLook.new(@ids, @style, asked: @asked).change(document) : document
      end

      def made(document, paragraphs)
        made = if @look == :style then DefineUsual.new(@style, pattern: @pattern, role: @role)
        else
          DefineStyle.new(@style, values: shared(document, paragraphs))
        end
        after = made.change(document)
        level ? with_level(after) : after
      end

      def shared(document, paragraphs)
        shared = SharedLook.new(document, paragraphs, quiet: @look == :theirs_if_made)
        wanted = @asked.to_h { |name, requirement| [name, requirement.nearest(shared[name])] }.compact
        values = shared.beyond(document.styles.default).merge(wanted)
        @style.match?(/\Aheading [1-9]\z/i) ? values.except(:outline_level) : values
      end

      def level
        @role.to_s[/\Aheading_(\d)\z/, 1]&.to_i
      end

      def with_level(document)
        style = found(document)
        return document if Survey::StyleRoles.of_style(document.styles, style).to_s.start_with?("heading")
        ChangeStyle.new(style.id, {outline_level: level}).change(document)
      end
    end
  end
end
