# frozen_string_literal: true

module Norvel
  module Edits
    # Numbers captions by chapter, or through the whole text; what names them by number names them so too.
    class RenumberCaptions < Edit
      COUNTED = /\A(?:\p{L}+\.?\s+)?(\d{1,3}|[A-Z])(?=[\s.:)–—-]|\z)/ # how a heading begins that has a number

      def initialize(by_chapter:)
        @by_chapter = by_chapter
      end

      def change(document)
        captions = Structure::Captions.of(document).list
        raise Refused, "There is no caption with a number." if captions.empty?
        labels = labels(document, captions)
        now = document.replace(captions.map { |one| renumbered(document, one, *labels[one.id]) })
        RefreshNumbers.new.change(renamed(now, captions, labels))
      end

      def title(_document)
        "Number captions #{@by_chapter ? "by chapter" : "through the whole text"}"
      end

      def changes_text?
        true
      end

      def kinds_changed(_document)
        [:field]
      end

      private

      # {id => [chapter or nil, number]}
      def labels(document, captions)
        chapters = @by_chapter ? chapters(document) : []
        counts = Hash.new(0)
        captions.to_h do |caption|
          at = document.position(caption.id)
          chapter = chapters.reverse_each.find { |place, _| place < at }&.last
          refuse_before_chapters if @by_chapter && chapter.nil?
          [caption.id, [chapter, counts[[caption.sequence, chapter]] += 1]]
        end
      end

      def refuse_before_chapters
        raise Refused, "A caption stands before the first chapter: it has none to be numbered by."
      end

      # [[place, "2"], …]: by the number of the heading, else by order.
      def chapters(document)
        Structure::Matters.new(document).chapters.each.with_index(1).map do |heading, order|
          said = [document.markers[heading.id].to_s, heading.text].join(" ").strip
          [document.position(heading.id), said[COUNTED, 1] || order.to_s]
        end
      end

      def renumbered(document, caption, chapter, number)
        field = Document::Field.new(id: 1, computes: sequence(document, caption.sequence, number),
          cached: number.to_s)
        CaptionNumber.new(document.paragraph(caption.id)).renumbered(chapter, field)
      end

      # By chapter it begins anew after every heading of the first level; a format that knows nothing of that says so at
      # the first of each.
      def sequence(document, name, number)
        return Document::Computed::Sequence.new(name:) unless @by_chapter
        return Document::Computed::Sequence.new(name:, after_heading: 1) if document.conventions.sequences_by_heading
        Document::Computed::Sequence.new(name:, restart: (1 if number == 1))
      end

      # What names a caption by its number names it by the new one.
      def renamed(document, captions, labels)
        now = captions.group_by(&:kind)
          .transform_values { |list| list.to_h { |one| [one.label, labels[one.id].compact.join(".")] } }
        references = Structure::TypedReferences.new(document).list
        document.replace(references.group_by(&:paragraph).map { |id, list|
          reworded(document.paragraph(id), list, now)
        })
      end

      def reworded(paragraph, references, now)
        places = paragraph.seen_places
        changes = references.each_with_object({}) do |one, found|
          label = now.dig(one.kind, one.label) or next
          first, *others = places[one.at, one.size]
          found[first] = label
          others.each { |place| found[place] = "" }
        end
        RewriteText.cut(paragraph, changes)
      end
    end
  end
end
