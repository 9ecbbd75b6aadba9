# frozen_string_literal: true

RSpec.describe Norvel::CLI::InProcesses do
  let(:paths) { Array.new(20_000) { |n| "#{n}.docx" } } # more than a pipe holds the places of

  before { allow(Etc).to receive(:nprocessors).and_return(3) }

  it "hands each file to whoever is free, and gives answers in the order of the files" do
    told = []
    found = described_class.map(paths, told: ->(done) { told << done }) { |path| {path:, by: Process.pid} }
    expect(found.map { |one| one[:path] }).to eq(paths)
    expect(found.map { |one| one[:by] }.uniq.size).to be_between(2, 3)
    expect(told).to eq((1..paths.size).to_a)
  end

  it "goes on where a process comes to a sudden end, and says which file it took with it" do
    found = described_class.map(paths.first(200)) do |path|
      Process.kill("KILL", Process.pid) if path == "17.docx"
      path
    end
    expect(found.each_index.select { |place| found[place].nil? }).to eq([17])
  end

  it "leaves few files to the process that asks" do
    expect(described_class.map(%w[a b]) { Process.pid }.uniq).to eq([Process.pid])
  end
end
