# frozen_string_literal: true

# A hundred files of ten pages checked by one command: on one core, on two, and what two commands that know nothing of
# each other take for half of them each, which is all that a machine's second core gives.
require "etc"
require "tmpdir"
require_relative "sample"
require_relative "timing"

NORVEL = File.expand_path("../bin/norvel", __dir__)

def check(files, cores)
  spawn("taskset", "-c", cores, NORVEL, "check", *files, "--guide", "ravelmouth-thesis", out: File::NULL)
end

Dir.mktmpdir do |folder|
  files = Array.new(100) { |n| Sample.write("#{folder}/#{n}.docx", paragraphs: 80, seed: n) }
  halves = files.each_slice(files.size / 2).to_a
  wait = ->(*processes) { processes.each { |process| Process.wait(process) } }
  one = Timing.median(3) { wait[check(files, "0")] }
  two = Timing.median(3) { wait[check(files, "0,1")] }
  apart = Timing.median(3) { wait[*halves.each_with_index.map { |half, core| check(half, core.to_s) }] }
  printf "one core %.3f s a file (target 0.4); two cores %.2f times as fast, two commands apart %.2f times\n",
    one / files.size, one / two, one / apart
end
