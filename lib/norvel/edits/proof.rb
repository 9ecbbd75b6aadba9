# frozen_string_literal: true

module Norvel
  module Edits
    # Two states of a document as far as an edit promises that words and objects are the same: without heads and feet
    # where it says these, without paragraphs that it puts in the place of others where that is its purpose, without
    # typed signs that a list prints now.
    class Proof
      # edits: that led from one to the other
      def initialize(edits, before, after)
        @edits = edits
        @before = before
        @after = after
      end

      # [Seal before, Seal after]
      def seals
        @seals ||= documents.map { |document| Seal.of(document) }
      end

      private

      def documents
        pair = [without_signs, @after]
        pair = pair.map(&:without_heads) if @edits.any? { |edit| edit.changes_heads?(@before) }
        gone = @edits.flat_map { |edit| edit.rewrites(@before) }.to_h { |id| [id, true] }
        gone.empty? ? pair : pair.map { |one| without_rewritten(one, gone) }
      end

      # The state before without the signs that were typed there and are counted, the very same, after.
      def without_signs
        ids = @edits.flat_map { |edit| edit.signs_counted(@before) }.uniq
        @before.replace(ids.select { |id| counts?(id) }
          .map { |id| RewriteText.replace(@before.paragraph(id), Survey::TypedLists::SIGN) })
      end

      def counts?(id)
        return false unless @before.include?(id) && @after.include?(id)
        sign = Survey::TypedLists::SIGN.match(@before.paragraph(id).seen_text)
        !sign.nil? && @after.markers[id] == sign[:sign]
      end

      # Only paragraphs that were there and stay.
      def without_rewritten(document, gone)
        @known ||= @before.paragraphs.to_h { |paragraph| [paragraph.id, true] }
        document.with(paragraphs: document.paragraphs.select { |one| @known[one.id] && !gone[one.id] }.freeze)
      end
    end
  end
end
