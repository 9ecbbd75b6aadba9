# frozen_string_literal: true

module Norvel
  module Edits
    # Every safe mend of a guide as one change, taken back as one.
    class MendSafe < Edit
      def initialize(guide)
        @guide = guide
      end

      def change(document)
        Guide::Mending.new(@guide, document).run.document
      end

      def title(_document)
        "Mend all that is safe by #{@guide.name}"
      end

      def removes_white_space?
        true
      end
    end
  end
end
