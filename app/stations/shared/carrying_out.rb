# frozen_string_literal: true

# Work that may take longer than a person waits without a word: done while a page says how far it is.
module CarryingOut
  # Goes where the work leads, at once where it is soon done, else by a page. title: what is being done; back: where to
  # go where it can't be. The block is given what says how far it is, and answers [what is said then, where it leads].
  def carry_out(title, back:, &work)
    errand = Errands.begin(title, back:, &work)
    errand.ready?(within: Errands::PATIENCE) ? arrive(errand) : redirect(to("/errands/#{errand.id}"), 303)
  end

  # Raises the error that the work met.
  def arrive(errand)
    Errands.forget(errand.id)
    go_after(*errand.result)
  end

  def errand_words(errand)
    return "It is being worked on." if errand.of.zero?
    "#{number(errand.done)} of #{counted(errand.of, "step")} done."
  end

  # Of a progress element: nothing where it is not known yet.
  def errand_figures(errand)
    errand.of.zero? ? "" : %( max="#{errand.of}" value="#{errand.done}")
  end
end
