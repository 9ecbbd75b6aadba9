# frozen_string_literal: true

module Norvel
  module Edits
    # Brings a contents list up to date: labels and texts of its entries, those that are missing, those that are too
    # many. What is right stays untouched; where its field begins and ends stays too.
    class RefreshContents < ContentsEdit
      # number: of the list in the document, from 0
      def initialize(number)
        @number = number
      end

      def change(document)
        Layout.of(document)
        list(document)
        @wanted = Structure::ContentsLists.new(document).wanted(list(document))
        raise Refused, "There is nothing that the list could name any more." if @wanted.empty?
        settled(document) { |labels| refreshed(document, labels) }
      end

      def title(document)
        kind = list(document).captions
        "Bring the #{kind ? "list of #{kind.downcase}s" : "contents list"} up to date"
      end

      private

      def list(document)
        Structure::ContentsLists.in(document)[@number] or
          raise Refused, "There is no such list in this document any more."
      end

      def refreshed(document, labels)
        @next = document.next_id
        @computed = document.conventions.labels_computed
        rows = Structure::ContentsLists.new(document).compared(list(document))
        rows = rows.select(&:wanted).each { |row| row.entry = nil } if spread?(document, rows)
        styles = styles_of(rows)
        measure = document.section_of(list(document).paragraphs(document).first).measure
        (rows.filter_map { |row| row.wanted&.level }.uniq - styles.keys).each do |level|
          document, styles[level] = with_entry_style(document, level, measure,
            captions: !list(document).captions.nil?)
        end
        placed(document, rows, styles, labels)
      end

      # The style that most entries of a level are in.
      def styles_of(rows)
        rows.select { |row| row.entry && row.wanted }.group_by { |row| row.wanted.level }
          .transform_values { |list| list.map { |row| row.entry.style_id }.tally.max_by(&:last).first }
      end

      # The list's paragraphs with their rows put right.
      def placed(document, rows, styles, labels)
        @places = Bookmarks.new(document)
        own = list(document)
        inside = own.paragraphs(document)
        blanks = inside.select { |one| one.text.strip.empty? }
        first, last = inside.first, inside.last
        if spread?(document, rows)
          return spliced(@places.document, own, inside, spread(own, first, rows, styles, labels))
        end
        rows = bounded(rows.select(&:wanted), first, last, blanks)
        entries = rows.map { |row| entry(row, first, styles, labels) }
        stays = blanks.include?(last) || rows.any? { |row| row.entry.equal?(last) }
        ending = stays ? [] : [EntryWords.new(last).emptied]
        leading, trailing = blanks.partition { |one| one.equal?(first) }
        now = leading + entries + ending + trailing
        spliced(@places.document, own, inside, now)
      end

      # Does one paragraph stand for several entries?
      def spread?(document, rows)
        inside = list(document).paragraphs(document)
        inside.one? && !inside.first.text.strip.empty? && rows.count(&:wanted) > 1
      end

      # The entries of a list that stood in one paragraph, as templates say that it will be made: the field goes around
      # them all. Where the paragraph itself holds its signs, they are made anew.
      def spread(own, only, rows, styles, labels)
        entries = rows.map { |row| added(row, only, styles[row.wanted.level], labels) }
        ends, marks = only.anchors.partition { |anchor| anchor.object.is_a?(Document::FieldPart) }
        if ends.any?
          entries[0] = only.with(style_id: entries[0].style_id, direct: NOTHING, runs: entries[0].runs,
            anchors: marks.map { |one| one.at(0) }.freeze)
        else
          refuse_held(only, own.field)
          begin_of_list = Document::Anchor.new(0, own.field)
          entries[0] = entries[0].with(anchors: [begin_of_list, *marks.map { |one| one.at(0) }].freeze)
        end
        ending = Document::Anchor.new(entries[-1].raw_text.size, Document::FieldPart.new(role: "end"))
        entries[-1] = entries[-1].with(anchors: (entries[-1].anchors + [ending]).freeze)
        entries
      end

      def refuse_held(paragraph, field)
        parts = paragraph.runs.flat_map(&:objects)
        return if paragraph.holds.nil? && parts.all? { |one| one.equal?(field) || one.is_a?(Document::FieldPart) }
        raise Refused, "The paragraph of the list holds more than the list: take it out, and put it in anew."
      end

      # The document with these in the place of the list; what marks a place in one that goes stands in the next that
      # stays.
      def spliced(document, own, inside, now)
        before, after = document.paragraphs.first(own.first), document.paragraphs.drop(own.last + 1)
        kept = now.to_h { |one| [one.id, true] }
        left = []
        moved = (inside + after.first(1)).each_with_object({}) do |one, found|
          next left.concat(one.anchors.select(&:stays?)) if inside.include?(one) && !kept[one.id]
          found[one.id], left = left, [] if left.any?
        end
        list = (before + now + after).map { |one| moved[one.id] ? with_marks(one, moved[one.id]) : one }
        document.with(paragraphs: list.freeze)
      end

      def with_marks(paragraph, anchors)
        paragraph.with(anchors: (anchors.map { |anchor| anchor.at(0) } + paragraph.anchors).freeze)
      end

      # The paragraph that the field begins in stays the first, the one it ends in the last, whatever they say.
      def bounded(rows, first, last, blanks)
        rows = at_place(rows, 0, first) unless blanks.include?(first)
        (blanks.include?(last) || rows.size == 1) ? rows : at_place(rows, -1, last)
      end

      # A paragraph takes what is said at a place; another stands in for it where it stood.
      def at_place(rows, place, paragraph)
        rows = rows.map do |row|
          row.entry.equal?(paragraph) ? Structure::ContentsLists::Pair.new(nil, row.wanted) : row
        end
        rows[place] = Structure::ContentsLists::Pair.new(paragraph, rows[place].wanted)
        rows
      end

      def entry(row, like, styles, labels)
        label = labels[row.wanted.paragraph.id].to_s
        return added(row, like, styles[row.wanted.level], labels) if row.entry.nil?
        said, page = Structure::ContentsLists.parts(row.entry)
        words = (row.wanted.text unless said == row.wanted.text)
        return row.entry if words.nil? && page == label
        EntryWords.new(row.entry).put(words, (label unless page == label))
      end

      def added(row, like, style, labels)
        id = @next
        @next += 1
        runs = entry_runs(row.wanted, labels, @places.name(row.wanted.paragraph), computed: @computed)
        Document::Paragraph.new(id, like.part, like.section, style, NOTHING, NOTHING, runs, nil, nil, nil,
          like.container)
      end
    end
  end
end
