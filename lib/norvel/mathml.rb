# frozen_string_literal: true

module Norvel
  # Formulas, whatever file they come from: presentation MathML (W3C, MathML Core) of known elements and attributes.
  # Formats turn theirs into it and back, layout sets it, pages show it as it is.
  module Mathml
    SPACE = "http://www.w3.org/1998/Math/MathML"
    DEEPEST = 40 # elements in one another: what is deeper is kept as its letters
    READ = Recent.new(2000)
    KEPT = 20_000 # characters of a source that is kept as it was read

    module_function

    # The Node of a formula's source; nil for none.
    def read(source)
      return unless source
      (source.size > KEPT) ? parsed(source) : READ.fetch(source) { parsed(source) }
    end

    # The Node of a source.
    def parsed(source)
      Node.of(Nokogiri::XML(source).root)
    end
    private_class_method :parsed

    # The same as it is spoken in a row of letters: "a over b" is "a/b", a script follows its sign.
    #   Mathml.words("<math><mfrac><mi>a</mi><mi>b</mi></mfrac></math>") # => "(a)/(b)"
    def words(source)
      Words.of(read(source))
    end
  end
end
