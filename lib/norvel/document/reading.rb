# frozen_string_literal: true

module Norvel
  class Document
    # What was worked out from a document, each thing once, by whoever asked first; gone with the document. A thing
    # stands under the name of what works it out: reading[Seal] ||= …
    class Reading
      # cascade: of another state with the same styles and lists; known: of one where they are others, from which what
      # did not change is taken
      def initialize(cascade: nil, known: nil)
        @cascade = cascade
        @known = known
        @things = {}.compare_by_identity # names are classes and symbols
      end

      # What stands under a name, nil where it was not worked out.
      def [](name)
        @things[name]
      end

      # Keeps what was worked out.
      def []=(name, thing)
        @things[name] = thing
      end

      # The Styles::Cascade where it has been made, else nil.
      attr_reader :cascade

      # Makes the Styles::Cascade of these.
      def combine(styles, numbering, rules)
        @cascade = Styles::Cascade.new(styles, numbering, rules:, known: @known).tap { @known = nil }
      end

      # What of it goes on holding in a state that was made from this one.
      def next(same_styles:)
        Reading.new(cascade: (@cascade if same_styles), known: @cascade || @known)
      end
    end
  end
end
