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

  it "take numbers without a unit as the person's unit, in tab stops too" do
    Preference.unit = "cm"
    helper = Object.new.extend(Units)
    seen = ->(name, text) {
      property = Norvel::Styles::Properties[name]
      property.type.spoken(helper.typed_property(property, text), "cm")
    }
    expect(seen[:tabs, "3, right 15 with dots, 1 in"]).to eq "2.54 cm, 3 cm, right 15 cm with dots"
    expect([seen[:tabs, "2,5 cm; 4,5"], seen[:indent_left, "1.5"]]).to eq ["2.5 cm, 4.5 cm", "1.5 cm"]
  ensure
    Preference.delete_all
    Preference.forget
    Norvel::Length.unit = nil
  end
end
