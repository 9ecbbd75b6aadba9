# frozen_string_literal: true

require "rbconfig"

# A process of its own that does Tasks, one after the other: what it computes holds nobody up here, and a file that
# takes too long or too much ends with it. Asked by one thread at a time.
class Helper
  MEMORY = 3_000_000_000 # bytes of address space
  JOBS = 40 # after which another process is begun, so that none grows
  Overdue = Class.new(Norvel::Error)
  Exhausted = Class.new(Norvel::Error)

  def initialize
    @jobs = 0
  end

  # The answer of a task. The block is told how far it is, as the task says it. Raises the Norvel::Error that it raised;
  # Overdue after so many seconds, Exhausted where the process ended.
  def ask(task, *arguments, within:, &told)
    begin_process unless @process
    Helper.put(@to, [task, arguments])
    kind, *answer = answer(within, &told)
    stop if (@jobs += 1) >= JOBS
    return answer.first if kind == :done
    raise Norvel.const_get(answer.first), answer.last
  rescue EOFError, Errno::EPIPE
    stop_and_raise(Exhausted, within)
  end

  def stop
    return unless @process
    Process.kill(:KILL, @process)
    Process.wait(@process)
    [@to, @from].each(&:close)
    @process = nil
    @jobs = 0
  end

  # Values pass as their length and their bytes.
  def self.put(io, value)
    bytes = Marshal.dump(value)
    io.write([bytes.bytesize].pack("Q>"), bytes)
    io.flush
  end

  # Raises EOFError.
  def self.take(io)
    size = io.read(8) or raise EOFError
    Marshal.load(io.read(size.unpack1("Q>")))
  end

  private

  # What the process says when it is done.
  def answer(within)
    late = Process.clock_gettime(Process::CLOCK_MONOTONIC) + within
    loop do
      left = late - Process.clock_gettime(Process::CLOCK_MONOTONIC)
      stop_and_raise(Overdue, within) unless left.positive? && @from.wait_readable(left)
      said = Helper.take(@from)
      return said unless said.first == :so_far
      yield(*said.drop(1)) if block_given?
    end
  end

  def begin_process
    from, answers = IO.pipe(binmode: true)
    questions, to = IO.pipe(binmode: true)
    @process = Process.spawn({"RUBYLIB" => $LOAD_PATH.join(":"), "RUBYOPT" => nil}, RbConfig.ruby,
      File.join(__dir__, "helper/process.rb"), in: questions, out: answers, rlimit_as: MEMORY)
    [questions, answers].each(&:close)
    @from, @to = from, to
  end

  def stop_and_raise(error, within)
    stop
    said = (error == Overdue) ? "took longer than #{within} seconds" : "took more memory than any text needs"
    raise error, "This #{said}, so it was given up. Nothing else was touched."
  end
end
