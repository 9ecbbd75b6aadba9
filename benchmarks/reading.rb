# frozen_string_literal: true

# Reading 100,000 words, as ratios within one run: the model with every effective look against the bare parse of the
# same XML, against python-docx walking the runs, and `norvel inspect` as a whole process against that script.
require "bundler/setup"
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "norvel"
require "tmpdir"
require "open3"
require_relative "sample"
require_relative "timing"

Dir.mktmpdir do |folder|
  path = Sample.write("#{folder}/sample.docx")
  bytes = File.binread(path)
  bare = Timing.median(9) {
    Zip::File.open_buffer(StringIO.new(bytes)) { |zip|
      Nokogiri::XML(zip.get_entry("word/document.xml").get_input_stream.read) { |options| options.strict.nonet }
    }
  }
  document = nil
  full = Timing.median(9) do
    document = Norvel::Formats.read(bytes, name: "sample.docx")
    document.paragraphs.each do |paragraph|
      document.look(paragraph) && paragraph.runs.each { |run| document.run_look(run, paragraph) }
    end
  end
  memory = File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024
  walked = Array.new(3) {
    Open3.capture2("/usr/bin/python3", "#{__dir__}/python_docx_walk.py", path).first.split.last
      .to_f
  }.min
  script = Timing.median(3) { Open3.capture2("/usr/bin/python3", "#{__dir__}/python_docx_walk.py", path) }
  norvel = File.expand_path("../bin/norvel", __dir__)
  # as a person runs it, without this process's Bundler
  inspect, little = Bundler.with_unbundled_env do
    [Timing.median(3) { system(norvel, "inspect", path, "--json", out: File::NULL, exception: true) },
      Timing.median(5) { system(norvel, "guides", out: File::NULL, exception: true) }]
  end
  puts "#{document.paragraphs.size} paragraphs, #{document.paragraphs.sum { |p| p.runs.size }} runs, #{document
    .word_count} words"
  printf "reading with all looks / bare parse of the XML       %5.2f   (target at most 4; %.0f and %.0f ms)\n",
    full / bare, full * 1000, bare * 1000
  printf "python-docx walking the runs / reading               %5.2f   (target at least 8; %.0f ms)\n", walked / full,
    walked * 1000
  printf "`inspect --json` process / python-docx script        %5.2f   (target at most 0.7; %.0f and %.0f ms)\n",
    inspect / script, inspect * 1000, script * 1000
  printf "peak memory of reading                               %5d MB (target at most 150)\n", memory
  printf "`norvel guides`, a run that does little              %5.0f ms (target under 500)\n", little * 1000
end
