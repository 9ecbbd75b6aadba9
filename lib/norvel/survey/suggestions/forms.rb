# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Lines that count in one form over the document ("TOP 4", "§ 3", "2.1", "A."): with text between them they are
      # headings, one under the other they are items of a list.
      class Forms < Finder
        LEAST = 2

        # Is the paragraph one of a form that headings have?
        def headings?(paragraph)
          form = traits(paragraph).form
          !form.nil? && members(form).size >= LEAST && parted?(form) && !item?(paragraph, form)
        end

        private

        def members(form)
          @members ||= worded.select { |one| text?(one) && !one.blank? && !traits(one).sentence? && traits(one).form }
            .group_by { |one| traits(one).form }.tap { |groups| groups.default = [] }
          @members[form]
        end

        # Does text stand between most of them?
        def parted?(form)
          (@parted ||= {})[form] ||= members(form).count { |one| !item?(one, form) } >= members(form).size * 0.6
        end

        def item?(paragraph, form)
          beside(paragraph).any? { |other| traits(other).form == form }
        end
      end
    end
  end
end
