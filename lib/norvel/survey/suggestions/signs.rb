# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Lines that are neither headings nor text: signs between parts, equations, lines to fill in.
      class Signs < Finder
        MOST = 25 # words of such a line

        def find
          left(MOST).each do |paragraph|
            seen = traits(paragraph)
            if seen.signs? then put(paragraph, "other", 0.95, "a sign between parts")
            elsif seen.equation? then put(paragraph, "other", 0.9, "an equation")
            elsif seen.field? && paragraph.part != :table && !seen.bullet?
              put(paragraph, "other", 0.9, "a line to fill in")
            end
          end
        end
      end
    end
  end
end
