# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # What a paragraph's element is and how it is set: heading or not, its style with what it sets itself, the
      # styles of its spans, and its place in lists. For paragraphs that came as for new ones.
      class ParagraphWriter
        NOTHING = Styles::PropertySet::EMPTY

        # part: of the story; documents: [as it came, as it is]; automatic: AutomaticStyles of the part; keys: Keys;
        # worn: AutomaticStyles; definitions: ListDefinitions
        def initialize(part, documents, automatic, keys, worn, definitions)
          @part = part
          @came, @document = documents
          @automatic = automatic
          @keys = keys
          @worn = worn
          @definitions = definitions
          @restyled = !@came.styles.equal?(@document.styles) || !@came.numbering.equal?(@document.numbering)
        end

        # Are styles or lists others than in the file that came?
        def restyled?
          @restyled
        end

        # Headings are elements of their own, with their level.
        def kind(node, was, now)
          return false if was&.same_elsewhere?(now) && !@restyled
          level = level(@document, now)
          same = was && level(@came, was) == level && header?(@came, was) == header?(@document, now)
          return false if same
          node.node_name = level.zero? ? "p" : "h"
          level.zero? ? @part.unset(node, "text:outline-level") : @part.set(node, "text:outline-level", level)
          header?(@document, now) ? @part.set(node, "text:is-list-header", "true") :
            @part.unset(node, "text:is-list-header")
          true
        end

        # The outline level of a paragraph, 0 for none.
        def level(document, paragraph)
          document.look(paragraph)[:outline_level]
        end

        # A heading that is not numbered where those of its level are.
        def header?(document, paragraph)
          level = level(document, paragraph)
          level.positive? && document.cascade.list_of(paragraph).nil? &&
            (paragraph.direct.key?(:list_id) || @definitions.numbered?(document, level))
        end

        # [list id, level, without a marker?] of a paragraph that stands in a list block, nil for others: headings are
        # numbered by their styles.
        def place_of(document, paragraph)
          id, number = document.cascade.list_of(paragraph)
          return if id.nil?
          level = level(document, paragraph)
          return if level.positive? && number == level - 1 && numbered_as_heading?(document, paragraph, id)
          [id, number, paragraph.direct.key?(:list_continues)]
        end

        # Does its number come from the outline, not from a list?
        def numbered_as_heading?(document, paragraph, id)
          return true if outline?(document, id)
          return false if paragraph.direct.key?(:list_id)
          style = document.style_of(paragraph)
          document.cascade.of_style(style, :paragraph)[:outline_level].positive?
        end

        # Is the list of this id the outline's?
        def outline?(document, id)
          @definitions.headings?(document, document.numbering.list(id)&.definition_id)
        end

        # What the paragraph's style may set on all letters: as far as every run is set so.
        def shared_letters(paragraph)
          runs = paragraph.runs.reject { |run| run.text.empty? }
          return paragraph.mark if runs.empty?
          paragraph.mark.slice(*paragraph.mark.keys.select { |slot|
            runs.all? { |run| run.direct[slot] == paragraph.mark[slot] || words_of(run)[slot] }
          })
        end

        # What the style of words of a run sets, with its bases.
        def words_of(run)
          @words ||= Hash.new do |known, id|
            style = id && @document.styles[id]
            known[id] = style ? @document.styles.chain(style).inject({}) { |set, one| set.merge(one.run.values) } : {}
          end
          @words[run.style_id]
        end

        # Gives the element the style for what it sets. before, letters: what its style set and sets on all letters.
        def dress(node, was, now, before, letters)
          own = was && @worn.node(@part.attr(node, "text:style-name"))
          parent = @keys[now.style_id || (was.nil? ? @document.styles.default&.id : nil)]
          direct = was ? was.direct : NOTHING
          name = @automatic.paragraph(own, parent) do |made|
            Formatting.write(made, :paragraph, direct, now.direct, @part,
              indents: [indent(@came, was), indent(@document, now)])
            Formatting.write(made, :run, before, letters, @part)
          end
          name ? @part.set(node, "text:style-name", name) : @part.unset(node, "text:style-name")
        end

        # Are its own tab stops counted from elsewhere, as its style has another indent?
        def moved_stops?(was, now)
          now.direct.key?(:tabs) && @restyled && indent(@came, was) != indent(@document, now)
        end

        # What tab stops are counted from.
        def indent(document, paragraph)
          return 0.0 unless paragraph
          own = paragraph.direct[:indent_left]
          own.is_a?(Float) ? own : Indents.of(document.styles, paragraph.style_id)
        end

        # The style of a span for a run, over what the paragraph's style sets on its letters.
        def span(run, letters)
          said = words_of(run)
          own = run.direct.without(*letters.keys.select { |slot|
            run.direct[slot] == letters[slot] && !said.key?(slot)
          })
          @automatic.text(@keys[run.style_id], own)
        end
      end
    end
  end
end
