# frozen_string_literal: true

module Norvel
  module Edits
    # Lets chapters begin on a right page, each with a section of its own, as no paragraph can ask for that.
    class BeginChapters < Edit
      include Dividing

      # ids: of the headings of chapters; starts: "odd_page", "even_page" or "next_page"
      def initialize(ids, starts = "odd_page")
        @ids = ids
        @starts = starts
      end

      def change(document)
        raise Refused, "No chapter is chosen." if @ids.empty?
        made = @ids.inject(document) { |now, id| divided(now, id) }
        begun = @ids.map { |id| made.paragraph(id).section }.reject { |number| number == 1 }
        made.with(sections: made.sections.each.with_index(1).map { |section, number|
          begun.include?(number) ? section.with(starts: @starts) : section
        }.freeze)
      end

      SIDES = {"odd_page" => "right page", "even_page" => "left page", "next_page" => "new page"}.freeze

      def title(_document)
        "Begin #{count(@ids.size, "chapter")} on a #{SIDES.fetch(@starts)}"
      end

      # A page break becomes the end of a section.
      def removes_white_space?
        true
      end
    end
  end
end
