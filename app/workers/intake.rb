# frozen_string_literal: true

# Reads what arrives, in order, beside the requests. A request waits for its own file for a while, and few do at a time:
# the others are told where it will be.
module Intake
  PATIENCE = 8 # seconds that a request waits
  WAITERS = 4 # requests that wait at a time
  HANDS = Etc.nprocessors
  HELPERS = Helpers.new(most: HANDS)
  QUEUE = Queue.new
  GUARD = Monitor.new
  DONE = GUARD.new_cond
  BECAME = Norvel::Recent.new(500) # {arrival's id => its place, or a Norvel::Error}

  @waiting = 0
  @threads = []

  module_function

  # The place where an arrival is worked on, where that is known soon; else nil. Raises Norvel::UnreadableFile for what
  # can't be read, which is not kept then.
  def settle(arrival)
    became = Helpers.inline ? attempt(arrival) : enqueued(arrival)
    return became unless became.is_a?(Norvel::Error)
    arrival.discard
    raise became
  end

  # Has it read beside the requests, whose page tells how it goes.
  def put(arrival)
    Helpers.inline ? attempt(arrival) : enqueue(arrival)
  end

  # Its place, nil while it waits and for what can't be read.
  def place(id)
    became = BECAME.fetch(id)
    became if became.is_a?(String)
  end

  # Goes on with what was waiting when Norvel stopped. What is wrong with the database its pages say.
  def resume
    Arrival.waiting.each { |arrival| enqueue(arrival) }
  rescue ActiveRecord::ActiveRecordError, SQLite3::Exception => error
    warn "norvel: #{Trouble.sentence(error)}"
  end

  def enqueue(arrival)
    GUARD.synchronize do
      @threads = @threads.select(&:alive?)
      @threads << Thread.new { work } while @threads.size < HANDS
    end
    QUEUE << arrival.id
  end

  def enqueued(arrival)
    enqueue(arrival)
    wait(arrival.id)
  end

  def wait(id)
    GUARD.synchronize do
      return if @waiting >= WAITERS
      @waiting += 1
      late = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
      until (became = BECAME.fetch(id)) || (left = late - Process.clock_gettime(Process::CLOCK_MONOTONIC)).negative?
        DONE.wait(left)
      end
      became
    ensure
      @waiting -= 1 if late
    end
  end

  def work
    loop { take(QUEUE.pop) }
  end

  def take(id)
    arrival = Arrival.find_by(id:) or return # removed meanwhile
    BECAME.put(id, attempt(arrival))
  rescue => error
    BECAME.put(id, Norvel::Error.new(Trouble.sentence(error)))
  ensure
    ActiveRecord::Base.connection_handler.clear_active_connections!
    GUARD.synchronize { DONE.broadcast }
  end

  def attempt(arrival)
    read(arrival)
  rescue Norvel::Error => error
    arrival.fail(error.message)
    error
  end

  def read(arrival)
    made = arrival.become(HELPERS.ask(:weigh, arrival.original.bytes, arrival.filename, SavedGuide.told(arrival.guide)))
    made.is_a?(LooseText) ? "/texts/#{made.id}" : "/manuscripts/#{made.id}/galley"
  end
  private_class_method :enqueue, :enqueued, :wait, :work, :take, :attempt, :read
end
