# frozen_string_literal: true

require "json" # to_json is asked for without its name
require "zeitwerk"

# Loaded when a command first needs them.
autoload :Diff, "diff/lcs"
autoload :Digest, "digest"
autoload :Forwardable, "forwardable"
autoload :Nokogiri, "nokogiri"
autoload :Vips, "vips"

# The job itself: reads a document, resolves its formatting, changes it by edits, checks it against a guide and writes
# it back. No web, no database, no global state.
module Norvel
  loader = Zeitwerk::Loader.for_gem
  loader.inflector.inflect("cli" => "CLI", "xml" => "XML")
  loader.ignore("#{__dir__}/norvel/errors.rb")
  # Folders by subject, names without them.
  loader.collapse(*%w[values edits/* formats/conversion].map { |folder| "#{__dir__}/norvel/#{folder}" })
  loader.on_load { |_, value, _| Terse.make(value) }
  loader.setup

  ROOT = File.expand_path("..", __dir__)
end

require_relative "norvel/errors"
