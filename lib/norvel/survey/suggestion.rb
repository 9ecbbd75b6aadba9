# frozen_string_literal: true

module Norvel
  module Survey
    # The role a paragraph plays, as far as can be told: confidence from 0 to 1, and the reasons in words.
    Suggestion = Struct.new(:role, :confidence, :because) do
      # Is it a heading's?
      def heading?
        role.start_with?("heading_")
      end

      # The level of a heading, nil for other roles.
      def level
        role[/\Aheading_(\d)\z/, 1]&.to_i
      end
    end
  end
end
