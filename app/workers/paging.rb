# frozen_string_literal: true

# Works pages out beside the requests, so that none waits for them unasked: one worker, the document asked for last
# first, and of each document its newest state alone.
module Paging
  WAITING = {} # {document's original => Desk::Live}, in the order in which they were asked for
  GUARD = Monitor.new
  WAKE = GUARD.new_cond
  DONE = GUARD.new_cond
  PATIENCE = 20 # seconds

  @inline = false

  class << self
    # Are pages worked out at once, in the request? For tests that ask what is on them.
    attr_accessor :inline
  end

  module_function

  # Asks for the pages of a Desk::Live. Returns them where they are worked out at once.
  def work_out(state)
    return lay_out(state) if Paging.inline
    GUARD.synchronize do
      next if @busy.equal?(state)
      WAITING.delete(state.original)
      WAITING[state.original] = state
      WAITING.shift if WAITING.size > Desk::SPACE
      @worker = Thread.new { work } unless @worker&.alive?
      WAKE.signal
    end
    nil
  end

  # The same, and waits for them; nil where they take too long or can't be worked out.
  def wait_for(state)
    late = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
    GUARD.synchronize do
      until (pages = Norvel::Layout.pages(state.document) || work_out(state)) || state.undone
        left = late - Process.clock_gettime(Process::CLOCK_MONOTONIC)
        break unless left.positive?
        DONE.wait([left, 1].min)
      end
      pages
    end
  end

  def work
    loop do
      state = GUARD.synchronize do
        WAKE.wait_while { WAITING.empty? }
        @busy = WAITING.delete(WAITING.keys.last)
      end
      lay_out(state)
    ensure
      GUARD.synchronize do
        @busy = nil
        DONE.broadcast
      end
    end
  end
  private_class_method :work

  # A fault of Norvel's own leaves a document without pages, and with everything else.
  def lay_out(state)
    known = state.laid_out && Norvel::Layout.pages(state.laid_out)
    Norvel::Layout.of(state.document, known:).tap { state.laid_out = nil }
  rescue Norvel::Error => error
    undone(state, error.message)
  rescue StandardError, SystemStackError, NoMemoryError => error
    undone(state, "Norvel made a mistake of its own while pages were worked out (#{error.class}).")
  end
  private_class_method :lay_out

  def undone(state, sentence)
    state.undone = sentence
    nil
  end
  private_class_method :undone
end
