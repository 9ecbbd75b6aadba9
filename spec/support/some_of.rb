# frozen_string_literal: true

# Documents made by chance are many: a run of the tests looks at half of them, drawn by its seed; CHANCE=1 at all.
module SomeOf
  module_function

  def seeds(all)
    return all.to_a if ENV["CHANCE"]
    all.to_a.sample((all.to_a.size + 1) / 2, random: Random.new(RSpec.configuration.seed))
  end
end
