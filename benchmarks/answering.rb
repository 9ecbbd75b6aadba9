# frozen_string_literal: true

# What a person waits for on 300 pages: the server's answer, as milliseconds and as a ratio to reading the document
# once.
require "tmpdir"
folder = Dir.mktmpdir
ENV["NORVEL_DATABASE"] = "#{folder}/b.sqlite3"
ENV["RACK_ENV"] = "test"
require_relative "../app/boot"
require_relative "sample"
require_relative "timing"
require "rack/test"
ActiveRecord::Base.logger = nil
ActiveRecord::Migration.verbose = false
ActiveRecord::MigrationContext.new(File.expand_path("../db/migrate", __dir__)).migrate
ActiveRecord::Base.connection.execute("PRAGMA journal_mode = WAL")
self.class.include(Rack::Test::Methods, Timing)

def app = Web

bytes = File.binread(Sample.write("#{folder}/sample.docx"))
reading = median(5) { Norvel::Formats.read(bytes, name: "s.docx") }
manuscript = Manuscript.bring_in(bytes, filename: "sample.docx")
get "/manuscripts/#{manuscript.id}/galley"
token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
version = 0
edit = lambda do |ids, style|
  post "/manuscripts/#{manuscript.id}/edits/style", {authenticity_token: token, ids:, style:, version:},
    "HTTP_HX_REQUEST" => "true"
  raise last_response.body[0, 300] unless last_response.ok?
  version += 1
end
opening = median(7) { |n| get "/manuscripts/#{manuscript.id}/galley", at: 100 * n }
one = median(15) { |n| edit.call((100 + n).to_s, n.even? ? "Heading2" : "BodyText") }
median(3) do |n|
  edit.call((200 + n).to_s, "Heading2")
  timed_standing = timed { get "/manuscripts/#{manuscript.id}/standing" }
  @standing = [@standing, timed_standing].compact.min
end
bulk = median(5) { |n| edit.call("1-2000", n.even? ? "Normal" : "BodyText") }
puts "2,400 paragraphs, some 300 pages; reading the document once is #{(reading * 1000).round} ms"
{"opening the galley" => [opening, 1000], "a style on one paragraph" => [one, 100],
 "counting what is left, after it" => [@standing, nil], "a style on 2,000 paragraphs" => [bulk, 500]}
  .each do |name, (time, target)|
  printf "%-34s %5.0f ms   %5.2f of reading%s\n", name, time * 1000, time / reading,
    target ? "   (target under #{target} ms)" : ""
end
FileUtils.rm_rf(folder)
