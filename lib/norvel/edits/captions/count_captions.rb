# frozen_string_literal: true

module Norvel
  module Edits
    # Lets numbers of captions that were typed be counted by a sequence. They print the same: where a number does not
    # follow from the one before, its sequence begins anew with it.
    class CountCaptions < Edit
      # ids: of captions with typed numbers
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        wanted = @ids.to_h { |id| [document.paragraph(id).id, true] }
        captions = Structure::Captions.of(document).list
        raise Refused, "None of these is a caption with a number that was typed." if captions.none? { |one|
          wanted[one.id] && !one.counted?
        }
        counted(document, captions, wanted)
      end

      # Ids of captions whose numbers would not follow from those before them.
      def self.jumps(document, captions)
        last = {}
        captions.filter_map do |one|
          before, last[one.sequence] = last[one.sequence], one
          one.id unless follows?(one, before)
        end
      end

      # Does a caption's number go on from the one before, in its chapter?
      def self.follows?(one, before)
        return one.number == 1 if before.nil? || before.chapter != one.chapter
        one.number == before.number + 1
      end

      def title(_document)
        "Let #{count(@ids.size, "caption")} be numbered by a sequence"
      end

      def kinds_changed(_document)
        [:field]
      end

      private

      def counted(document, captions, wanted)
        last = {}
        counting = captions.select { |one| one.counted? || wanted[one.id] }
        made = counting.filter_map do |one|
          before, last[one.sequence] = last[one.sequence], one
          with_field(document, one, before) unless one.counted?
        end
        document.replace(made)
      end

      def with_field(document, caption, before)
        paragraph = document.paragraph(caption.id)
        field = Document::Field.new(id: next_field(paragraph), computes: sequence(document, caption, before),
          cached: caption.number.to_s)
        CaptionNumber.new(paragraph).counted(field)
      end

      def next_field(paragraph)
        (Document::Field.in(paragraph).map(&:id).max || 0) + 1
      end

      def sequence(document, caption, before)
        Document::Computed::Sequence.new(name: caption.sequence, **beginning(document, caption, before))
      end

      # By chapter, the sequence begins anew after every heading of the first level, where chapters have one; elsewhere,
      # and in a format that knows nothing of that, the first of a chapter says its number.
      def beginning(document, caption, before)
        new_chapter = caption.chapter && (before.nil? || before.chapter != caption.chapter)
        headed = caption.chapter && document.conventions.sequences_by_heading &&
          new_chapter == heading_between?(document, before, caption)
        return {restart: caption.number} if !CountCaptions.follows?(caption, before) || (new_chapter && !headed)
        headed ? {after_heading: 1} : {}
      end

      def heading_between?(document, before, caption)
        @headings ||= document.paragraphs.each_index.select { |at|
          document.heading_level(document.paragraphs[at]) == 1
        }
        from, to = (before ? document.position(before.id) : -1), document.position(caption.id)
        @headings.any? { |at| at > from && at < to }
      end
    end
  end
end
