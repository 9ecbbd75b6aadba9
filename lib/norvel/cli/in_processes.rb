# frozen_string_literal: true

require "etc"

module Norvel
  module CLI
    # Work on many files in as many processes as there are cores, so that memory stays flat and none waits for another.
    # What the work returns is plain data (JSON); it comes back in the order of the files.
    module InProcesses
      FEW = 3 # files that are not worth a process

      module_function

      # Yields each path, in another process or here. Returns what the block made of them, as JSON has it, nil where the
      # process came to an end before; told is called with how many are done.
      def map(paths, told: ->(_) {})
        workers = [Etc.nprocessors, paths.size].min
        alone = paths.size <= FEW || workers < 2 || !Process.respond_to?(:fork)
        return here(paths, told) { |path| yield(path) } if alone
        waiting = queue(paths.size)
        pipes = Array.new(workers) { worker(waiting, paths) { |path| yield(path) } }
        waiting.close
        done = collected(pipes, told).to_h
        paths.each_index.map { |index| done[index] }
      end

      def here(paths, told)
        paths.each.with_index(1).map do |path, count|
          JSON.parse(JSON.generate(yield(path)), symbolize_names: true).tap { told.call(count) }
        end
      end

      PLACE = 4 # bytes that a place in the list of files is written in

      # What processes take the places of files from, each the next when it is done with one, so that none is left with
      # all that are long. A process of its own fills it, since a pipe holds some thousand.
      def queue(files)
        reader, writer = IO.pipe(binmode: true)
        process(reader) { files.times { |index| writer.write([index].pack("N")) } }
        writer.close
        reader
      end

      # A process that works as long as files wait: what it writes its answers to is read from what is returned.
      def worker(waiting, paths)
        reader, writer = IO.pipe
        process(reader) do
          loop do
            index = waiting.readpartial(PLACE).unpack1("N")
            writer.puts(JSON.generate([index, yield(paths[index])]))
          end
        end
        writer.close
        reader
      end

      # One that has no use for an end of a pipe.
      def process(unused)
        Process.detach(fork do
          unused.close
          yield
        rescue EOFError, Errno::EPIPE # none is left, nobody asks any more
          nil
        ensure
          exit!(0)
        end)
      end

      def collected(pipes, told)
        found = []
        until pipes.empty?
          ready, = IO.select(pipes)
          ready.each do |pipe|
            line = pipe.gets
            next pipes.delete(pipe.tap(&:close)) unless line&.end_with?("\n")
            found << JSON.parse(line, symbolize_names: true)
            told.call(found.size)
          end
        end
        found
      end
      private_class_method :here, :queue, :worker, :process, :collected
    end
  end
end
