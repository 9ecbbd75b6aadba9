# frozen_string_literal: true

module Norvel
  module Edits
    # Lets left pages have their margins the other way round, for sheets that are printed on both sides; or not.
    class MirrorMargins < Edit
      def initialize(mirrored)
        @mirrored = mirrored
      end

      def change(document)
        document.with(settings: document.settings.with(mirrored: @mirrored),
          sections: document.sections.map { |section| section.with(mirrored: @mirrored) }.freeze)
      end

      def title(_document)
        @mirrored ? "Mirror the margins of left pages" : "Margins are the same on left and right pages"
      end
    end
  end
end
