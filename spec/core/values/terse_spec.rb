# frozen_string_literal: true

RSpec.describe Norvel::Terse do
  before { Zeitwerk::Registry.loaders.each(&:eager_load) }

  it "is how every object of ours speaks that says nothing else, so that no error's message grows by what it holds" do
    speaking = ObjectSpace.each_object(Class).select do |one|
      one.name.to_s.start_with?("Norvel::") && one.instance_method(:inspect).owner == Kernel
    end
    expect(speaking).to eq([])
  end

  it "keeps the message of an error short" do
    document = Norvel::Formats.read("Words", name: "a.txt")
    edit = Norvel::Edits::ChangeStyle.new("Normal", {size: 13.0})
    ripple = Norvel::Report::Ripple.new(edit, document, Norvel::Guide::Check.new(Norvel::Guide.none, document))
    expect(ripple.inspect).to eq("#<Norvel::Report::Ripple>")
    expect { ripple.nonsense }.to raise_error(NoMethodError) { |error| expect(error.message.size).to be < 200 }
  end
end
