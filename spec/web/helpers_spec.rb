# frozen_string_literal: true

WebApp.boot

RSpec.describe "helpers" do
  # What a station's templates call shares one namespace: a name that two define is a fault of the later one, but where
  # it goes on to the other.
  Web::STATIONS.each do |station|
    it "define each name once for the #{station}" do
      modules = station.ancestors.grep_v(Class).select do |mod|
        Object.const_source_location(mod.name)&.first.to_s.include?("/app/stations/")
      end
      names = [station, *modules].flat_map do |mod|
        (mod.instance_methods(false) + mod.private_instance_methods(false)).reject { |name| name.to_s.match?(/[A-Z]/) }
      end
      expect(names.tally.select { |_, count| count > 1 }.keys - [:here_again]).to eq []
      expect(modules.size).to be > 8
    end
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
