# frozen_string_literal: true

# Rules of this house that a machine can hold.
RSpec.describe "The house" do
  root = File.expand_path("../..", __dir__)
  sources = Dir["#{root}/{lib,app}/**/*.{rb,erb,css}", "#{root}/public/norvel.js", "#{root}/public/js/*.js"]

  it "has sources to look at" do
    expect(sources.map { |path| File.extname(path) }.uniq).to include ".rb", ".erb", ".css", ".js"
  end

  it "keeps lines within 120 characters" do
    expect(sources.flat_map { |path| long_lines(path) }).to be_empty
  end

  # Texts and scripts of other languages that stand in specs as they are may be longer.
  it "keeps them in specs, demo and benchmarks too" do
    paths = Dir["#{root}/{spec,demo,benchmarks}/**/*.rb"].grep_v(/node_modules/)
    long = paths.flat_map do |path|
      lines = long_lines(path)
      lines.empty? ? [] : lines - texts(path).map { |number| "#{path}:#{number}" }
    end
    expect(long).to be_empty
  end

  # Numbers of the lines within here documents.
  def texts(path)
    strings = Prism.parse(File.read(path)).value.breadth_first_search_all do |node|
      node.respond_to?(:opening_loc) && node.opening_loc&.slice.to_s.start_with?("<<")
    end
    strings.flat_map { |node| ((node.opening_loc.start_line + 1)..node.closing_loc.start_line).to_a }
  end

  def long_lines(path)
    File.foreach(path, encoding: "UTF-8", chomp: true).with_index(1)
      .filter_map { |line, number| "#{path}:#{number}" if line.size > 120 }
  end

  # What proves how a file reads, or what is written, is told files.
  in_files = %w[beside_text font_rules formulas lines list_edits odd_pages page_setup page_styles pages pictures
    styles_beside_text sweep words_edits].map { |name| "#{name}_spec.rb" }

  it "tells layout, guides and edits documents made of values" do
    told = Dir["#{root}/spec/core/{layout,guide,edits}/*.rb"].select { |path|
      File.read(path).match?(/<w:|\b(?:docx|package)\(/)
    }
    expect(told.map { |path| File.basename(path) } - in_files).to eq []
  end

  it "says of every public method of the core what it is for" do
    methods = PublicMethods.new
    expect(methods.all.size).to be > 2_000
    expect(methods.bare).to eq []
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
