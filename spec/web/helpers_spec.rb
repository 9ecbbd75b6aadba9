# frozen_string_literal: true

WebApp.boot

# Helpers share one namespace: a name that two of them define is a fault of the later one.
RSpec.describe "helpers" do
  it "define each name once" do
    folder = File.expand_path("../../app/helpers", __dir__)
    names = Web.ancestors.flat_map do |mod|
      next [] if mod.is_a?(Class)
      (mod.instance_methods(false) + mod.private_instance_methods(false)).select { |name| mod.instance_method(name).source_location&.first.to_s.start_with?(folder) }
    end
    routes = Web.instance_methods(false) + Web.private_instance_methods(false)
    expect(names.tally.select { |_, count| count > 1 }.keys + (names & routes)).to eq []
  end
end
