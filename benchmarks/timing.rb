# frozen_string_literal: true

# Seconds by a clock that never jumps; medians, since machines are noisy.
module Timing
  module_function

  def timed
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
  end

  # Of so many runs, each begun with a clean heap; the block is given the number of the run.
  def median(times)
    Array.new(times) do |n|
      GC.start
      timed { yield n }
    end.sort[times / 2]
  end
end
