# frozen_string_literal: true

module Norvel
  module Structure
    # Contents lists, lists of figures and of tables in a document: where they stand, what they say, and what they
    # should say by its pages, which must be known.
    class ContentsLists
      # One of them. field: Document::Field; first, last: places of its paragraphs in the text, from 0
      List = Value.define(:field, :first, :last) do
        # Its levels of headings; nil where it lists captions.
        def levels
          field.computes.levels || (1..9) unless captions
        end

        # The name of the sequence whose captions it lists, nil for headings.
        def captions
          field.computes.captions
        end

        # Its paragraphs in a document.
        def paragraphs(document)
          first ? document.paragraphs[first..last] : []
        end
      end
      # What an entry should say: the paragraph it leads to, its level, its text, the label of its page.
      Wanted = Struct.new(:paragraph, :level, :text, :label)
      # An entry as it stands (nil where one is missing), what it should say (nil for one too many), and what is wrong.
      Pair = Struct.new(:entry, :wanted, :wrong)

      # [List, …] of a document, in order; fields that are nowhere closed are none.
      def self.in(document)
        open = []
        found = []
        document.paragraphs.each_with_index do |paragraph, place|
          next if paragraph.plain?
          marks(paragraph).each do |mark|
            next open << [mark, place] if mark.is_a?(Document::Field)
            field, from = open.pop
            found << List.new(field:, first: from, last: place) if field&.does == "contents"
          end
        end
        found
      end

      # Where fields begin and end in a paragraph, in order.
      def self.marks(paragraph)
        own = paragraph.runs.flat_map(&:objects) + paragraph.anchors.map(&:object)
        own.select { |one| one.is_a?(Document::Field) || (one.is_a?(Document::FieldPart) && one.role == "end") }
      end

      # [text, label] of an entry as it stands.
      def self.parts(entry)
        text, tab, label = entry.text.rpartition("\t")
        tab.empty? ? [plain(entry.text), ""] : [plain(text), label.strip]
      end

      # With each white space as one.
      def self.plain(text)
        text.tr("\t\n\u00A0", " ").squeeze(" ").strip
      end

      def initialize(document)
        @document = document
        @pages = Layout.pages(document)
      end

      # Every List of the document, in order.
      def lists
        @lists ||= ContentsLists.in(@document)
      end

      # What a list should say: [Wanted, …]; its own paragraphs are never listed.
      def wanted(list)
        own = list.paragraphs(@document).to_h { |one| [one.id, true] }
        listed = list.captions ? captioned(list.captions) : headed(list.levels)
        listed.reject { |paragraph, _| own[paragraph.id] }.map do |paragraph, level|
          marker = @document.markers[paragraph.id].to_s
          words = plain([marker, paragraph.text].join(" "))
          words = words.sub(Captions::NUMBER, "").sub(/\A[\s.:)–—-]+/, "") unless list.field.computes.labels
          Wanted.new(paragraph, level, words, @pages.label_of(paragraph.id).to_s)
        end
      end

      # Entries beside what they should say, in order: [Pair, …].
      def compared(list)
        entries = list.paragraphs(@document).reject { |one| one.text.strip.empty? }
        rows = aligned(entries, wanted(list))
        rows.map { |entry, wanted| Pair.new(entry, wanted, wrong(entry, wanted)) }
      end

      # How many of its entries are wrong.
      def stale(list)
        compared(list).count(&:wrong)
      end

      private

      def headed(levels)
        @document.paragraphs.filter_map do |paragraph|
          level = @document.heading_level(paragraph)
          [paragraph, level] if levels.cover?(level) && !paragraph.blank?
        end
      end

      def captioned(name)
        @document.paragraphs.filter_map do |paragraph|
          next if paragraph.plain?
          [paragraph, 1] if Sequences.in(paragraph).any? { |field| field.computes.name.casecmp?(name) }
        end
      end

      def wrong(entry, wanted)
        return "is missing" if entry.nil?
        return "is one too many" if wanted.nil?
        text, label = ContentsLists.parts(entry)
        return "says “#{text}”" unless text == wanted.text
        "says #{label.empty? ? "no page" : "page #{label}"}" unless label == wanted.label
      end

      # Entries and what they should say, paired by their text where it is the same, by their order else.
      def aligned(entries, wanted)
        texts = entries.map { |entry| ContentsLists.parts(entry).first }
        rows = Diff::LCS.sdiff(texts, wanted.map(&:text)).flat_map do |pair|
          entry = entries[pair.old_position] unless pair.adding?
          one = wanted[pair.new_position] unless pair.deleting?
          pair.changed? ? [[entry, nil], [nil, one]] : [[entry, one]]
        end
        settled(rows)
      end

      # Between entries that are right, those too many beside those that are missing say something else, in their order.
      def settled(rows)
        stretches = rows.chunk_while { |one, other| !one.all? && !other.all? }
        stretches.flat_map do |stretch|
          entries, wanted = stretch.filter_map(&:first), stretch.filter_map(&:last)
          Array.new([entries.size, wanted.size].max) { |place| [entries[place], wanted[place]] }
        end
      end

      def plain(text)
        ContentsLists.plain(text)
      end
    end
  end
end
