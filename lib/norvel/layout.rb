# frozen_string_literal: true

module Norvel
  # Lines and pages of a document, computed.
  module Layout
    # The document can't be laid out; everything else of it works. Says why in a sentence.
    Defeated = Class.new(Error)

    ROUNDS = 4 # of laying out anew while fields in the text change

    module_function

    # The pages of a document (a Result) where they have been worked out, else nil: nobody waits for them unasked.
    def pages(document)
      document.reading[Layout]
    end

    # Its pages, worked out where they have not been. known: those of another state, from which what is still true is
    # taken. Raises Defeated.
    def of(document, known: nil)
      document.reading[Layout] ||= worked_out(document, known)
    end

    def worked_out(document, known)
      values = known ? known.values : FieldValues::InText.new
      result = nil
      (1..ROUNDS).each do |round|
        result = once(document, values, result || known, round)
        now = FieldValues::InText.from(result)
        return result if now.same?(values)
        values = now
      end
      result.unsettled
    rescue SystemStackError
      raise Defeated, "The text is nested too deep for pages to be worked out."
    end

    def once(document, values, known, round)
      earlier = known && LayoutBefore.new(known, document)
      stories = Stories.new(document, values, earlier:)
      heads = Heads.new(document, stories)
      sheets = Pages.new(document, stories, heads, known: earlier&.sheets_for(stories)).sheets
      stories.done
      Result.new(document, sheets, stories, heads, values, rounds: round)
    end
    private_class_method :worked_out, :once
  end
end
