# frozen_string_literal: true

# How far work is that is done beside the requests.
module ErrandView
  def errand_words(errand)
    return "It waits for its turn." if errand.of.zero?
    "#{number(errand.done)} of #{counted(errand.of, "step")} done."
  end

  # Of a progress element: nothing where it is not known yet.
  def errand_figures(errand)
    errand.of.zero? ? "" : %( max="#{errand.of}" value="#{errand.done}")
  end
end
