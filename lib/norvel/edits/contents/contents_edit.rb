# frozen_string_literal: true

module Norvel
  module Edits
    # What edits of contents lists share: entries in the styles of their level, with the labels of the pages that come
    # of it, worked out again until they rest.
    class ContentsEdit < Edit
      ROUNDS = 4
      NOTHING = Styles::PropertySet::EMPTY

      def changes_text?
        true
      end

      def changes_objects?
        true
      end

      private

      # The document that the block makes of labels (called with a paragraph's id), once they are those of its own
      # pages; what it is after ROUNDS where they never rest. Raises Refused where it can't be laid out.
      def settled(document)
        pages = Layout.of(document)
        made = document
        ROUNDS.times do
          made = yield(pages.method(:label_of))
          now = Layout.of(made, known: pages)
          return made if @wanted.all? { |one| pages.label_of(one.paragraph.id) == now.label_of(one.paragraph.id) }
          pages = now
        end
        made
      rescue Layout::Defeated => error
        raise Refused, error.message
      end

      # The runs of an entry: its words lead to the place that it is about, its label is that of its page.
      def entry_runs(wanted, labels, place, computed:)
        link = Document::Link.new(bookmark: place)
        label = labels[wanted.paragraph.id].to_s
        computes = Document::Computed::PageReference.new(bookmark: place)
        page = Document::Field.new(id: 1, computes:, cached: label)
        [[wanted.text, [link]], ["\t", [link]], [label, computed ? [link, page] : [link]]]
          .reject { |text, _| text.empty? }
          .map { |text, within| Document::Run.new(text, nil, NOTHING, nil, nil, within.freeze) }.freeze
      end

      # The style of entries of a level, made where there is none: its right edge is where labels stand. captions: are
      # they those of a list of captions? leader: what leads to labels, as tab stops say it, "none" for nothing, nil for
      # what the style says
      def with_entry_style(document, level, measure, captions: false, leader: nil)
        name = styled_name(document, captions ? "Table of Figures" : "TOC #{level}")
        known = document.styles.called(name)
        stop = label_stop(measure, leader || "dots")
        return [leader ? ChangeStyle.new(known.id, {tabs: stop}).change(document) : document, known.id] if known
        made = DefineStyle.new(name, values: {
          indent_left: (level - 1) * 14.0, first_line: 0.0, space_before: 0.0, space_after: 3.0, align: "left",
          line_spacing: Styles::Properties::SINGLE,
          tabs: stop, **letters_of_text(document)
        }).change(document)
        [made, made.styles.called(name).id]
      end

      # Entries are set in the letters of the text.
      def letters_of_text(document)
        body = document.paragraphs.select { |one| Survey.role(document, one) == "body" }
        looks = body.map { |one| document.letter_look(one) }
        most = looks.tally.max_by(&:last)&.first or return {}
        {font: most[:font], size: most[:size]}
      end

      # The tab stop where labels stand.
      def label_stop(measure, leader)
        way = " with #{leader}" unless leader == "none"
        Styles::Properties[:tabs].type.typed("right #{Length.plain((measure - 0.05).floor(1))} pt#{way}")
      end

      # What a style is called in files of the document's kind.
      def styled_name(document, name)
        open = document.styles.default&.name == Styles::Equivalents::OPEN_BASE
        (open && Styles::Equivalents.other(name)) || name
      end
    end
  end
end
