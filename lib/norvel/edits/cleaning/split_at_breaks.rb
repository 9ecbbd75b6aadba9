# frozen_string_literal: true

module Norvel
  module Edits
    # Makes paragraphs of what line breaks divide where these stand for the end of one. A break that can't be split at,
    # since objects stand on both sides, stays.
    class SplitAtBreaks < Edit
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        @ids.inject(document) { |now, id| divided(now, id) }
      end

      def title(document)
        "Make paragraphs at #{count(@ids.sum { |id| places(document, id).size }, "line break")}"
      end

      def removes_white_space?
        true
      end

      private

      def places(document, id)
        paragraph = document.paragraph(id)
        Survey::LineBreaks.of(paragraph, document.settled.role(paragraph)).select { |_, kind| kind == :paragraph }.keys
      end

      # From the last break to the first, so that the places before it stay.
      def divided(document, id)
        places(document, id).reverse.inject(document) do |now, place|
          paragraph = now.paragraph(id)
          at = paragraph.seen_places[place]
          bare = now.replace([RewriteText.cut(paragraph, {at => ""})])
          split(bare, id, at) || now
        end
      end

      def split(document, id, at)
        SplitParagraph.new(id, at).change(document)
      rescue Refused
        nil
      end
    end
  end
end
