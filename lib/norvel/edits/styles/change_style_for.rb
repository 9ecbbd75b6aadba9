# frozen_string_literal: true

module Norvel
  module Edits
    # Changes a style for the sake of some paragraphs. Others that wear it and would look otherwise then go on looking
    # as they did: the fewer of both get a style of their own, based on it, and nobody has anything set by hand. Where
    # it is for kinds, as guides ask it of their styles, it is always the others. Styles based on it that others wear
    # say themselves what they inherited.
    class ChangeStyleFor < StyleEdit
      # style: an id; values: by names of the property table; ids: the paragraphs it is for; kinds: is it for all in the
      # style that are what these are?; apart: do they get a style of their own in any case?
      def initialize(style, values, ids, kinds: false, apart: false)
        @style = style
        @values = values
        @ids = ids
        @kinds = kinds
        @apart = apart
      end

      def change(document)
        changed = with_heirs(document, ChangeStyle.new(@style, @values).change(document))
        meant = @ids.select { |id| document.style_of(document.paragraph(id))&.id == @style }
        others = moved(document, changed)
        return in_own_style(document, meant, @values) if @apart || (!@kinds && others.size > meant.size)
        others.empty? ? changed : in_own_style(changed, others, given_by(document, document.styles[@style]))
      end

      def title(document)
        ChangeStyle.new(@style, @values).title(document)
      end

      private

      # Ids of others that wear the style and would look otherwise.
      def moved(before, after)
        ours = @ids.to_h { |id| [id, true] }
        kinds = @kinds ? @ids.map { |id| Survey.role(before, before.paragraph(id)) }.uniq : []
        before.everything.select { |one| !ours[one.id] && before.style_of(one)&.id == @style }
          .reject { |one| kinds.include?(Survey.role(before, one)) }.group_by(&:formatting)
          .select { |_, (one, *)| @values.keys.any? { |name| moves?(before, after, one, name) } }
          .each_value.flat_map { |list| list.map(&:id) }
      end

      def moves?(before, after, paragraph, name)
        property = Styles::Properties[name]
        return !property.same?(before.look(paragraph)[name], after.look(paragraph)[name]) if property.on == :paragraph
        runs = paragraph.formatting.letters
        return !property.same?(before.letter_look(paragraph)[name], after.letter_look(paragraph)[name]) if runs.empty?
        runs.any? do |run|
          !property.same?(before.run_look(run, paragraph)[name], after.run_look(run, paragraph)[name])
        end
      end

      # Paragraphs of the style in one that is based on it.
      def in_own_style(document, ids, values)
        name = free_name(document, own_name(document, values), values)
        own = DefineStyle.new(name, based_on: @style, values:)
        made = document.styles.named(name) ? document : own.change(document)
        id = made.styles.named(name).id
        made.replace(ids.map { |one| made.paragraph(one).with(style_id: id) })
      end

      # That name, of a style that is as it says where there is one; else with a number.
      def free_name(document, name, values)
        [name, *(2..99).map { |number| "#{name} #{number}" }].find do |one|
          style = document.styles.named(one)
          style.nil? || (style.based_on == @style && same_values?(given_by(document, style), values))
        end
      end

      def same_values?(one, other)
        other.all? { |name, value| Styles::Properties[name].same?(one[name], value) }
      end

      # "Body Text with line spacing double"
      def own_name(document, values)
        said = values.map do |key, value|
          property = Styles::Properties[key]
          "#{property.label.downcase} #{property.spoken(value)}"
        end
        "#{name_of(document, @style)} with #{said.join(" and ")}".tr(",;", "  ").squeeze(" ")
      end

      # What a style gives of the values that change.
      def given_by(document, style)
        @values.keys.to_h { |name| [name, document.cascade.of_style(style, Styles::Properties[name].on)[name]] }
      end

      def with_heirs(document, after)
        wanted = @ids.filter_map { |id| document.style_of(document.paragraph(id))&.id }.to_h { |id| [id, true] }
        heirs = document.styles.by_id.each_value.select do |style|
          style.id != @style && !wanted[style.id] && document.styles.chain(style).any? { |link| link.id == @style } &&
            document.styles_used[style.id]
        end
        heirs.inject(after) do |now, style|
          values = inherited(document, now, style)
          values.empty? ? now : ChangeStyle.new(style.id, values).change(now)
        end
      end

      # What the style had from its base and would have otherwise now.
      def inherited(before, after, style)
        was, now = [before, after].map { |document| given_by(document, document.styles[style.id]) }
        was.reject { |name, value| Styles::Properties[name].same?(value, now[name]) }
      end
    end
  end
end
