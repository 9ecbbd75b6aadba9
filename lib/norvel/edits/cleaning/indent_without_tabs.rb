# frozen_string_literal: true

module Norvel
  module Edits
    # Takes the tabs or spaces away that begin paragraphs and lets a first-line indent do their work: that of the style
    # where it has one or where most of its paragraphs began so, else that of a style of their own.
    class IndentWithoutTabs < Edit
      SPACE = 0.25 # of the size: how wide a space is in the usual text faces
      LEAST = 9.0 # points; less was no indent but a slip

      # ids: paragraphs; pattern: what begins them; asked: {role => {property => Guide::Requirement}}
      def initialize(ids, pattern: Survey::ByHand::LEADING_TAB, asked: {})
        @ids = ids
        @pattern = pattern
        @asked = asked
      end

      def change(document)
        begun = chosen(document, @ids).select { |paragraph| @pattern.match?(paragraph.seen_text) }
        indents = begun.to_h { |paragraph| [paragraph.id, indent(paragraph, document)] }
        after = with_styles(document, begun, indents)
        after.replace(begun.map { |one| without_tabs(after, after.paragraph(one.id), indents[one.id]) })
      end

      def title(_document)
        what = (@pattern == Survey::ByHand::LEADING_TAB) ? "tabs" : "spaces"
        "Make first-line indents of #{what} in #{count(@ids.size)}"
      end

      def removes_white_space?
        true
      end

      private

      def without_tabs(document, paragraph, wanted)
        now = RewriteText.replace(paragraph, @pattern)
        return now if wanted.nil? || document.look(paragraph)[:first_line] == wanted
        set_directly(document, now, :first_line, wanted) # what stood there by hand, or a list, says otherwise
      end

      # What the first line is to begin with, nil where it stays as it is.
      def indent(paragraph, document)
        look = document.look(paragraph)
        return if look[:first_line].nonzero? || %w[center right].include?(look[:align])
        return if @asked.dig(Survey.role(document, paragraph), :first_line)
        width = width(paragraph, document)
        width unless width < LEAST
      end

      def width(paragraph, document)
        lead = paragraph.seen_text[@pattern]
        tabs = lead.count("\t")
        return (lead.size * SPACE * document.letter_look(paragraph)[:size]).round.to_f if tabs.zero?
        left = document.look(paragraph)[:indent_left]
        stops = Styles::Properties[:tabs].type.seen(document.look(paragraph)[:tabs]).map(&:place)
        first = stops.select { |stop| stop > left }.min
        (tabs == 1 && first) ? first - left : document.settings.default_tab_stop * tabs
      end

      # The most frequent indent is the style's where most of it begins so, the fewer get a style of their own; nothing
      # changes in the base of all styles.
      def with_styles(document, begun, indents)
        indented = begun.select { |paragraph| indents[paragraph.id] }.group_by { |one| document.style_of(one)&.id }
        indented.except(nil).inject(document) do |now, (id, list)|
          *few, most = list.group_by { |paragraph| indents[paragraph.id] }.sort_by { |_, some| some.size }
          now = few.inject(now) { |after, (indent, some)| indented(after, id, indent, some, apart: true) }
          indented(now, id, *most, apart: document.styles[id].default)
        end
      end

      def indented(document, style, indent, paragraphs, apart:)
        ChangeStyleFor.new(style, {first_line: indent}, paragraphs.map(&:id), apart:).change(document)
      end
    end
  end
end
