# frozen_string_literal: true

# OpenDocument at 100,000 words, as ratios within one run: the model with every effective look against the bare parse of
# the same XML, and `norvel convert` to .docx as a whole process against `norvel inspect` of the same file.
require "bundler/setup"
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "norvel"
require "tmpdir"
require_relative "sample"
require_relative "timing"

Dir.mktmpdir do |folder|
  sample = Norvel::Formats.read_file(Sample.write("#{folder}/sample.docx"))
  path = "#{folder}/sample.odt"
  File.binwrite(path, Norvel::Formats.write(sample, as: "odt").bytes)
  bytes = File.binread(path)
  bare = Timing.median(9) {
    Zip::File.open_buffer(StringIO.new(bytes)) { |zip|
      %w[content.xml styles.xml]
        .each { |name| Nokogiri::XML(zip.get_entry(name).get_input_stream.read) { |options| options.strict.nonet } }
    }
  }
  document = nil
  full = Timing.median(9) do
    document = Norvel::Formats.read(bytes, name: "sample.odt")
    document.paragraphs.each do |paragraph|
      document.look(paragraph) && paragraph.runs.each { |run| document.run_look(run, paragraph) }
    end
  end
  norvel = File.expand_path("../bin/norvel", __dir__)
  inspect, convert, back = Bundler.with_unbundled_env do
    [%W[inspect #{path} --json],
      %W[convert #{path} #{folder}/out.docx], %W[convert #{folder}/sample.docx #{folder}/out.odt]].map do |arguments|
      Timing.median(3) { system(norvel, *arguments, out: File::NULL, exception: true) }
    end
  end
  puts "#{document.paragraphs.size} paragraphs, #{document.paragraphs.sum { |p| p.runs.size }} runs, #{document
    .word_count} words"
  printf "reading an .odt with all looks / bare parse of its XML  %5.2f   (target at most 5; %.0f and %.0f ms)\n",
    full / bare, full * 1000, bare * 1000
  printf "`convert` .odt to .docx / `inspect --json`, processes   %5.2f   (target at most 2.5; %.0f and %.0f ms)\n",
    convert / inspect, convert * 1000, inspect * 1000
  printf "`convert` .docx to .odt / the same                      %5.2f   (%.0f ms)\n", back / inspect, back * 1000
end
