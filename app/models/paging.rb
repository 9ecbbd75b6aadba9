# frozen_string_literal: true

# Works pages out beside the requests, so that none waits for them: one worker, the document asked for last first.
module Paging
  WAITING = []
  GUARD = Monitor.new
  WAKE = GUARD.new_cond

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
      next if WAITING.include?(state) || @busy.equal?(state)
      WAITING << state
      WAITING.shift if WAITING.size > Desk::SPACE
      @worker = Thread.new { work } unless @worker&.alive?
      WAKE.signal
    end
    nil
  end

  def work
    loop do
      state = GUARD.synchronize do
        WAKE.wait_while { WAITING.empty? }
        @busy = WAITING.pop
      end
      lay_out(state)
      GUARD.synchronize { @busy = nil }
    end
  end
  private_class_method :work

  # A fault of Norvel's own leaves a document without pages, and with everything else.
  def lay_out(state)
    state.document.lay_out(known: state.laid_out&.pages).tap { state.laid_out = nil }
  rescue => error
    state.undone = if error.is_a?(Norvel::Error) then error.message
    else
      "Norvel made a mistake of its own while pages were worked out (#{error.class})."
    end
    nil
  end
  private_class_method :lay_out
end
