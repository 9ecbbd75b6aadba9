# frozen_string_literal: true

# Rules of this house that a machine can hold.
RSpec.describe "The house" do
  root = File.expand_path("../..", __dir__)
  sources = Dir["#{root}/{lib,app}/**/*.{rb,erb,css}", "#{root}/public/norvel.js", "#{root}/public/js/*.js"]

  it "has sources to look at" do
    expect(sources.map { |path| File.extname(path) }.uniq).to include ".rb", ".erb", ".css", ".js"
  end

  it "keeps lines within 120 characters" do
    long = sources.flat_map do |path|
      File.foreach(path, encoding: "UTF-8", chomp: true).with_index(1)
        .filter_map { |line, number| "#{path.delete_prefix(root)}:#{number}" if line.size > 120 }
    end
    expect(long).to be_empty
  end

  it "lets no view compute: no assignment of a query, no method definitions" do
    busy = sources.grep(/\.erb\z/).select { |path| File.read(path).match?(/<%[-=]* *(?:def |require|\w+\.where\()/) }
    expect(busy).to be_empty
  end

  it "refers from folder to folder of the core in one direction" do
    expect { References.new.order }.not_to raise_error
  end

  it "has the drawing of that in its documents as the code has it (rake architecture)" do
    expect(File.read("#{root}/docs/architecture.md")).to include References.new.table
  end
end
