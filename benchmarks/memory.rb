# frozen_string_literal: true

# Memory of the application while one 300-page document is edited 600 times, its galley, sheets and findings opened
# after each: what it holds then, against what it held after the first 20. Target: at most 1.2 times.
require "tmpdir"
folder = Dir.mktmpdir
ENV["NORVEL_DATABASE"] = "#{folder}/b.sqlite3"
ENV["RACK_ENV"] = "test"
require_relative "../app/boot"
require_relative "sample"
require "rack/test"
Paging.inline = true # pages are known at once, as a person who waits for them sees them
ActiveRecord::Base.logger = nil
ActiveRecord::Migration.verbose = false
ActiveRecord::MigrationContext.new(File.expand_path("../db/migrate", __dir__)).migrate
self.class.include(Rack::Test::Methods)

def app = Web

def held
  GC.start
  GC.compact if GC.respond_to?(:compact)
  File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
end

manuscript = Manuscript.bring_in(File.binread(Sample.write("#{folder}/sample.docx")), filename: "sample.docx")
get "/manuscripts/#{manuscript.id}/galley"
token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
early = nil
(ARGV.first || 600).to_i.times do |n|
  fields = {authenticity_token: token, ids: (1 + (n % 2000)).to_s, style: n.even? ? "Heading2" : "BodyText", version: n}
  post "/manuscripts/#{manuscript.id}/edits/style", fields, "HTTP_HX_REQUEST" => "true"
  raise last_response.body[0, 300] unless last_response.ok?
  get "/manuscripts/#{manuscript.id}/galley", at: 1 + (n % 2000)
  %w[sheets findings].each { |station| get "/manuscripts/#{manuscript.id}/#{station}" }
  early = held if n == 19
end
late = held
printf "after 20 edits and openings %d MB, after all %d MB: %.2f times (target at most 1.2)\n", early, late,
  late.fdiv(early)
FileUtils.rm_rf(folder)
