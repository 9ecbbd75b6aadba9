# frozen_string_literal: true

# The real server while many work at once: 20 uploads of 300 pages, then 200 changes by 8 people on 8 documents, and how
# long a stylesheet and a small galley take to be answered while files are read. Targets: all taken, no 500, every
# stylesheet within 0.25 s, every galley within 0.5 s, 95 of 100 changes within 1.5 s.
$LOAD_PATH.unshift(File.expand_path("../spec", __dir__))
require "bundler/setup"
require "tmpdir"
require "cgi"
require_relative "../spec/support/server"
require_relative "sample"

Server.open do |server|
  bytes = File.binread(Sample.write("#{server.folder}/sample.docx"))
  clients = Array.new(8) { server.client }
  waits = {"/norvel.css" => [], "/manuscripts/2/galley" => []}
  changes_took = []
  timed = lambda do |list, &work|
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    work.call.tap { list << (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) }
  end
  done = false
  watcher = Thread.new do
    client = server.client
    until done
      waits.each { |path, list| timed.call(list) { client.get(path) } }
      sleep 0.05
    end
  end
  began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  uploads = (0...20).each_slice(3).zip(clients).flat_map do |numbers, client|
    Thread.new { numbers.map { |number| client.bring(bytes, "long #{number}.docx") } }
  end
  answers = uploads.flat_map(&:value)
  uploaded = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
  ids = answers.map { |answer| clients.first.document_of(answer) }.first(8)
  read = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
  done = true
  watcher.join
  changes = ids.zip(clients).map do |id, client|
    Thread.new {
      Array.new(25) { |n|
        fields = {ids: (n + 1).to_s, style: n.even? ? "Heading2" : "BodyText", version: n}
        timed.call(changes_took) { client.post("/manuscripts/#{id}/edits/style", fields).code }
      }
    }
  end
  codes = changes.flat_map(&:value)
  changed = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began - read
  printf "20 uploads of 300 pages at once   answered %.1f s, read %.1f s, %s\n", uploaded, read,
    answers.map(&:code).tally
  waits.each do |path, list|
    printf "%-33s %5.3f s at most, %.3f at the median\n", path, list.max, list.sort[list.size / 2]
  end
  late = changes_took.sort[(changes_took.size * 0.95).to_i]
  printf "200 changes by 8 people           %5.1f s, %s; 95 of 100 within %.2f s\n", changed, codes.tally, late
end
