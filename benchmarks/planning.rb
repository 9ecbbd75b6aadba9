# frozen_string_literal: true

# A bulk change in the core: roles suggested, the document held against a guide, the plan worked out, and done, as
# milliseconds and as ratios to reading the document once; at 300 pages and at 1,200.
require "bundler/setup"
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "norvel"
require "tmpdir"
require_relative "sample"
require_relative "timing"
include Timing # standard:disable Style/MixinUsage

GUIDE = Norvel::Guide.find("ravelmouth-thesis")

def figures(paragraphs)
  path = File.join(Dir.mktmpdir, "sample.docx")
  Sample.write(path, paragraphs:)
  bytes = File.binread(path)
  read = -> { Norvel::Formats.read(bytes, name: "s.docx") }
  reading = median(5) { read.call }
  documents = Array.new(5) { read.call }
  roles = median(5) { |n| Norvel::Survey::Suggestions.of(documents[n]) }
  checks = []
  check = median(5) { |n| checks << Norvel::Guide::Check.new(GUIDE, documents[n]).tap(&:findings) }
  plans = []
  plan = median(5) { |n| plans << Norvel::Guide::Plan.new(GUIDE, documents[n], check: checks[n]) }
  done = median(5) { |n| Norvel::Guide::MendSafe.new(GUIDE, plan: plans[n]).apply(documents[n]) }
  puts "#{paragraphs} paragraphs; reading once is #{(reading * 1000).round} ms"
  {"roles suggested" => roles, "held against the guide" => check, "the plan" => plan,
   "and done, under the seal" => done}
    .each { |what, time| printf "  %-28s %6.0f ms   %5.2f of reading\n", what, time * 1000, time / reading }
end

figures(2400)
figures(9600)
