# frozen_string_literal: true

module Norvel
  module Edits
    # A style takes over the look that most of some paragraphs share. What makes a heading a heading stays as the style
    # has it.
    class TakeLook < StyleEdit
      STRUCTURE = %i[keep_with_next keep_together outline_level page_break_before language].freeze

      # ids: the paragraphs; style: the id or name of the style; asked: {property => Guide::Requirement} whose values
      # come before the look; quiet: as for SharedLook
      def initialize(ids, style, asked: {}, quiet: false)
        @ids = ids
        @style = style
        @asked = asked
        @quiet = quiet
      end

      def change(document)
        values = values(document)
        values.empty? ? document : ChangeStyle.new(taking(document).id, values).change(document)
      end

      # {property => value} that the style takes.
      def values(document)
        style = taking(document)
        shared = SharedLook.new(document, chosen(document, @ids), quiet: @quiet)
        wanted = @asked.to_h { |name, requirement| [name, requirement.nearest(shared[name])] }.compact
        shared.beyond(style).reject { |name, value| STRUCTURE.include?(name) && weaker?(value) }.merge(wanted)
          .reject do |name, value|
          property = Styles::Properties[name]
          property.same?(document.cascade.of_style(style, property.on)[name], value)
        end
      end

      def title(document)
        "Let #{taking(document).name} take the look of #{@ids.one? ? place(document) : count(@ids.size)}"
      end

      # Does nothing else wear the style, one based on it, or its letters?
      def free?(document)
        style = taking(document)
        ours = @ids.to_h { |id| [id, true] }
        heirs = document.styles.by_id.each_value.select { |other| document.styles.chain(other).include?(style) }
          .to_h { |other| [other.id, true] }
        twin = document.styles.twin(style)&.id
        document.everything.none? do |paragraph|
          next if ours[paragraph.id]
          heirs[document.style_of(paragraph)&.id] || (twin && paragraph.runs.any? { |run| run.style_id == twin })
        end
      end

      private

      # No heading stops being one.
      def weaker?(value)
        [false, 0, nil].include?(value) || value.is_a?(String)
      end

      def taking(document)
        found = document.styles[@style] || document.styles.called(@style.to_s)
        return found if found&.paragraph?
        raise Refused, "There is no paragraph style that could take this look."
      end

      def place(document)
        "paragraph #{document.position(@ids.first) + 1}"
      end
    end
  end
end
