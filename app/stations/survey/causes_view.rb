# frozen_string_literal: true

# Causes of findings in a table of the survey, where no place of one is walked to.
module CausesView
  def cause_words(group)
    h group.first.message
  end

  def cause_tick(_group)
    ""
  end

  def places_words(group)
    places_of(group)
  end
end
