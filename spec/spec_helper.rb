# frozen_string_literal: true

ENV["RACK_ENV"] = "test"
ENV["VIPS_WARNING"] = "off" # broken images are part of the tests
if ENV["COVERAGE"]
  require "simplecov"
  SimpleCov.start do
    add_filter "/spec/"
    enable_coverage :branch
    command_name "specs #{ENV["TEST_ENV_NUMBER"]}" # processes are put together when the last has ended
  end
end

$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "norvel"
require "prop_check"
require "tmpdir"
require_relative "../demo/build"
Dir[File.join(__dir__, "support", "*.rb")].each { |path| require path }

RSpec.configure do |config|
  if ENV["RUNTIMES"].to_s != ""
    require "parallel_tests/rspec/runtime_logger"
    config.add_formatter ParallelTests::RSpec::RuntimeLogger, "tmp/runtimes.log"
  end
  config.disable_monkey_patching!
  config.include Documents
  config.order = :random
  Kernel.srand config.seed
end
