# frozen_string_literal: true

module Norvel
  module Edits
    # Every safe mend of a guide as one change, taken back as one.
    class MendSafe < Edit
      def initialize(guide)
        @guide = guide
      end

      def change(document)
        mending(document).document
      end

      # What each mend did, with how often where several did the same.
      def details(document)
        mending(document).changes.map(&:title).tally
          .map { |title, times| (times == 1) ? title : "#{title}, #{times} times" }
      end

      def title(_document)
        "Mend all that is safe by #{@guide.name}"
      end

      def removes_white_space?
        true
      end

      private

      # Worked out once for a document, since both the change and its details come from it.
      def mending(document)
        return @mending if @mended.equal?(document)
        @mended = document
        @mending = Guide::Mending.new(@guide, document).run
      end
    end
  end
end
