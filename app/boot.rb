# frozen_string_literal: true

require "bundler/setup"
ENV["RACK_ENV"] ||= "production"
ENV["APP_ENV"] = ENV["RACK_ENV"]
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "norvel"
require "active_record"
require "erubi"
require "sinatra/base"
require "sinatra/activerecord"
require "rack/protection"
require "rack/session"
require "rack/attack"
require "fileutils"
require "securerandom"
require "timeout"

FileUtils.mkdir_p(File.expand_path("../storage", __dir__))
# What stations are made of, then what they are, then their routes.
FILES = %w[safety/* workers/* models/* stations/shared/* stations/*/* stations/station].freeze
files = FILES.flat_map { |files| Dir[File.join(__dir__, "#{files}.rb")].sort }
files.partition { |path| File.basename(path) != "routes.rb" }.flatten.each { |path| require path }
require_relative "web"
