# frozen_string_literal: true

require "etc"

module Norvel
  module CLI
    # Work on many files in as many processes as there are cores, so that memory stays flat and none waits for another.
    # What the work returns is plain data (JSON); it comes back in the order of the files.
    module InProcesses
      FEW = 3 # files that are not worth a process

      module_function

      # Yields each path, in a process of its own or here. Returns what the block made of them, as JSON has it; told is
      # called with how many are done.
      def map(paths, told: ->(_) {})
        workers = [Etc.nprocessors, paths.size].min
        alone = paths.size <= FEW || workers < 2 || !Process.respond_to?(:fork)
        return here(paths, told) { |path| yield(path) } if alone
        lanes = paths.each_with_index.group_by { |_, index| index % workers }.values
        pipes = lanes.map { |lane| lane(lane) { |path| yield(path) } }
        collected(pipes, told).sort_by(&:first).map(&:last)
      end

      def here(paths, told)
        paths.each.with_index(1).map do |path, count|
          JSON.parse(JSON.generate(yield(path)), symbolize_names: true).tap { told.call(count) }
        end
      end

      # A process for some of the files: what it reads its answers from.
      def lane(files)
        reader, writer = IO.pipe
        Process.detach(fork do
          reader.close
          files.each { |path, index| writer.puts(JSON.generate([index, yield(path)])) }
          writer.close
          exit!(0)
        end)
        writer.close
        reader
      end

      def collected(pipes, told)
        found = []
        until pipes.empty?
          ready, = IO.select(pipes)
          ready.each do |pipe|
            line = pipe.gets
            next pipes.delete(pipe.tap(&:close)) unless line
            found << JSON.parse(line, symbolize_names: true)
            told.call(found.size)
          end
        end
        found
      end
      private_class_method :here, :lane, :collected
    end
  end
end
