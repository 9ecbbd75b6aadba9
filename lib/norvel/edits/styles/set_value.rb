# frozen_string_literal: true

module Norvel
  module Edits
    # One value for many paragraphs: "double spacing on everything". The styles they wear are changed, not each of them,
    # and what is set by hand against it goes; where others wear a style too, these get one of their own. Paragraphs
    # that are not meant stay as they are. Words that are set apart in their paragraph stay so.
    class SetValue < Edit
      # ids: paragraphs of the text; name: of the property table; value: as its type has it
      def initialize(ids, name, value)
        @ids = ids
        @property = Styles::Properties[name]
        @value = value
      end

      # Paragraphs by what they are, for a set: on: names of roles, "text" for all that is no heading, title or in a
      # table, "everything"; but: roles that are left out.
      def self.chosen(document, on, but: [])
        document.working.reject(&:blank?).select do |paragraph|
          role = Survey.role(document, paragraph)
          on.any? { |name| covers?(name, role) } && but.none? { |name| covers?(name, role) }
        end.map(&:id)
      end

      KINDS = {"headings" => /\Aheading_/, "text" => /\A(?:body|quote|list_item|code|reference_entry)\z/,
               "everything" => /\A(?!note|running_head)/}.freeze

      # Is a paragraph of this role meant by this word of the form?
      def self.covers?(name, role)
        KINDS.fetch(name) { return name == role }.match?(role)
      end

      def change(document)
        paragraphs = chosen(document, @ids).reject { |paragraph| met?(document, paragraph) }
        changed = by_styles(document, paragraphs)
        fitting = LetStyleSay.new(paragraphs.map(&:id), ruled: [@property.name])
        changed = fitting.change(changed) if paragraphs.any?
        left = paragraphs.map(&:id).reject { |id| met?(changed, changed.paragraph(id)) }
        changed.replace(left.map { |id| by_hand(changed, changed.paragraph(id)) })
      end

      def title(_document)
        "#{@property.label} #{@property.spoken(@value)} on #{count(@ids.size)}"
      end

      # Names of the styles that say it afterwards, changed or made for it.
      def styles(document)
        after = change(document)
        after.styles.by_id.each_value.select { |style|
          style.paragraph? && own(style) != own(document.styles[style.id]) && right?(after, style.id)
        }.map(&:name)
      end

      private

      # Has it the value, or have all of its letters?
      def met?(document, paragraph)
        if @property.on == :paragraph
          return same?(document.look(paragraph), wanted(document, document.style_of(paragraph)))
        end
        ways = paragraph.ways.values
        return same?(document.letter_look(paragraph)) if ways.empty?
        ways.all? { |run, _| same?(document.run_look(run, paragraph)) }
      end

      def same?(look, value = @value)
        @property.same?(look[@property.name], value)
      end

      # The value in a style: what was told in characters follows the size of its letters.
      def wanted(document, style)
        return @value unless @value.is_a?(Length::Counted)
        @value.points(document.cascade.of_style(style, :run)[:size])
      end

      # What a style says of it itself.
      def own(style)
        style&.public_send(@property.on)&.slice(*Styles::Properties.slots_of(@property.name))
      end

      def right?(document, id)
        style = document.styles[id]
        same?(document.cascade.of_style(style, @property.on), wanted(document, style))
      end

      # {style id => those that wear it} of the styles that would not give them the value. No style is made or changed
      # for a single one among others: it has the value by hand.
      def worn(document, paragraphs)
        meant = @ids.to_h { |id| [id, true] }
        shared = document.everything.reject { |one| one.blank? || meant[one.id] }
          .to_h { |one| [document.style_of(one)&.id, true] }
        groups = paragraphs.group_by { |paragraph| document.style_of(paragraph)&.id }.except(nil)
        groups.reject do |id, list|
          right?(document, id) || (list.one? && (shared[id] || base?(document, id, list, paragraphs)))
        end
      end

      # Bases first, so that what inherits from them is seen as it will be.
      def by_styles(document, paragraphs)
        ids = paragraphs.map(&:id)
        worn(document, paragraphs).sort_by { |id, _| document.styles.chain(document.styles[id]).size }
          .inject(document) do |now, (id, list)|
            next now if right?(now, id)
            ChangeStyleFor.new(id, {@property.name => @value}, ids, apart: base?(document, id, list, ids)).change(now)
          end
      end

      # The base of all others does not change for the sake of few.
      def base?(document, id, list, all)
        document.styles[id].default && list.size * 2 < all.size
      end

      # A list, a table or a character style says otherwise: set on the paragraph itself, on words only where it is all
      # of them.
      def by_hand(document, paragraph)
        return set_directly(document, paragraph, @property.name, @value) if @property.on == :paragraph
        return paragraph if Fitting.new(document, document).mixed(paragraph).include?(@property.name)
        paragraph.with(runs: paragraph.runs.map { |run| set(document, run, paragraph) }.freeze)
      end

      def set(document, run, paragraph)
        return run if run.symbols? || same?(document.run_look(run, paragraph))
        slots = Styles::Properties.slots_of(@property.name)
        bare = document.run_look(run.with(direct: run.direct.without(*slots)), paragraph)
        run.with(direct: Setting.put(run.direct, @property.name, @value, bare))
      end
    end
  end
end
