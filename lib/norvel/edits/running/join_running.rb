# frozen_string_literal: true

module Norvel
  module Edits
    # Lets pages that had heads and feet of their own have those of the others again: left ones of the whole document,
    # or the first of a section.
    class JoinRunning < Edit
      # which: "even" or "first"; section: of that first page, a number from 1
      def initialize(which, section = nil)
        @which = which
        @section = section
      end

      def change(document)
        RunningHeads.new(document).change do |heads|
          next heads.join_left_pages if @which == "even"
          raise Refused, "There is no such section." unless @section&.between?(1, document.sections.size)
          heads.join_first_page(@section)
        end
      end

      def title(_document)
        return "Left pages have the heads and feet of right ones" if @which == "even"
        "The first page of section #{@section} has the head and foot of the others"
      end

      def changes_heads?(_document)
        true
      end
    end
  end
end
