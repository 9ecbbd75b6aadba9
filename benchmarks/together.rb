# frozen_string_literal: true

# The real server while many work at once: 20 uploads of 300 pages, then 200 changes by 8 people on 8 documents, and how
# long a stylesheet takes to be answered meanwhile. Targets: all taken, no 500, every stylesheet within a second.
$LOAD_PATH.unshift(File.expand_path("../spec", __dir__))
require "bundler/setup"
require "tmpdir"
require "cgi"
require_relative "../spec/support/server"
require_relative "sample"

Server.open do |server|
  bytes = File.binread(Sample.write("#{server.folder}/sample.docx"))
  clients = Array.new(8) { server.client }
  waits = []
  done = false
  watcher = Thread.new do
    until done
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      Net::HTTP.get_response(URI("http://127.0.0.1:#{server.port}/norvel.css"))
      waits << (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began)
      sleep 0.05
    end
  end
  began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  uploads = (0...20).each_slice(3).zip(clients).flat_map do |numbers, client|
    Thread.new { numbers.map { |number| client.bring(bytes, "long #{number}.docx") } }
  end
  answers = uploads.flat_map(&:value)
  uploaded = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
  ids = answers.first(8).map { |answer| answer["location"][%r{manuscripts/(\d+)}, 1] }
  changes = ids.zip(clients).map do |id, client|
    Thread.new {
      Array.new(25) { |n|
        client.post("/manuscripts/#{id}/edits/style", {ids: (n + 1).to_s, style: "Heading2", version: n}).code
      }
    }
  end
  codes = changes.flat_map(&:value)
  changed = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began - uploaded
  done = true
  watcher.join
  printf "20 uploads of 300 pages at once   %5.1f s, %s\n", uploaded, answers.map(&:code).tally
  printf "200 changes by 8 people           %5.1f s, %s\n", changed, codes.tally
  printf "a stylesheet meanwhile            %5.2f s at most, %.2f at the median (target at most 1)\n", waits.max,
    waits.sort[waits.size / 2]
end
