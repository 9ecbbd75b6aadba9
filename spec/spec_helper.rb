# frozen_string_literal: true

ENV["RACK_ENV"] = "test"
if ENV["COVERAGE"]
  require "simplecov"
  SimpleCov.start do
    add_filter "/spec/"
    enable_coverage :branch
  end
end

$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "norvel"
require "prop_check"
require "tmpdir"
%w[prose package markup thesis handbook notice minutes gauge].each { |name| require_relative "../demo/#{name}" }
Dir[File.join(__dir__, "support", "*.rb")].each { |path| require path }

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.include Documents
  config.order = :random
  Kernel.srand config.seed
end
