# frozen_string_literal: true

# Documents made by chance, or of many kinds, are many: a run of the tests looks at a third of them, drawn by its seed;
# CHANCE=1 at all.
module SomeOf
  module_function

  def seeds(all)
    return all.to_a if ENV["CHANCE"]
    all.to_a.sample((all.to_a.size / 3.0).ceil, random: Random.new(RSpec.configuration.seed))
  end
end
