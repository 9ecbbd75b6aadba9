# frozen_string_literal: true

# Examples in comments (code # => result) are run and must be true. Those that stand for anything ("…", an object's
# outside) are read by people only.
RSpec.describe "Examples in comments" do
  example = /\A\s*#\s{2,}(?<code>\S.*?)\s+# => (?<result>.+)\z/
  found = Dir[File.expand_path("../../lib/norvel/**/*.rb", __dir__)].sort.flat_map do |path|
    File.readlines(path, chomp: true).each.with_index(1).filter_map do |line, number|
      match = example.match(line) or next
      [path, number, match[:code], match[:result]] unless match[:result].match?(/[…<]/) || match[:code].match?(/[…<]/)
    end
  end

  # Code of a file's example, as it would stand in the class or module that the file is named for.
  def result(code, path)
    lines = File.read(path).scan(/^ *(?:module|class) [A-Z]\w*/).map(&:strip)
    name = File.basename(path, ".rb").delete("_")
    last = lines.index { |line| line.split.last.downcase == name } || 0
    scopes = lines[0..last]
    value("#{scopes.join(";")};#{code};#{"end;" * scopes.size}")
  end

  # The code is ours: it stands in lib.
  def value(code)
    TOPLEVEL_BINDING.eval(code, __FILE__, __LINE__)
  end

  it "are many" do
    expect(found.size).to be > 25
  end

  found.each do |path, number, code, expected|
    it "is true at #{path[%r{norvel/.*}]}:#{number}" do
      actual = result(code, path)
      expect(actual).to eq value(expected)
    end
  end
end
