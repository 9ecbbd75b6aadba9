# frozen_string_literal: true

require "etc"

# Some Helpers, begun as they are needed, for those that ask in the order in which they do. No more wait than +waiting+.
class Helpers
  # Too many wait already: nothing was begun.
  Busy = Class.new(Norvel::Error)

  class << self
    # Are tasks done at once, in this process? For tests that look into them.
    attr_accessor :inline
  end

  def initialize(most: Etc.nprocessors, waiting: 8)
    @free = Queue.new
    most.times { @free << Helper.new }
    @room = SizedQueue.new(most + waiting)
  end

  # As Helper#ask. Raises Busy too.
  def ask(task, *arguments, within: 60, &told)
    return Tasks.public_send(task, *arguments, &told) if Helpers.inline
    enter
    begin
      helper = @free.pop
      begin
        helper.ask(task, *arguments, within:, &told)
      ensure
        @free << helper
      end
    ensure
      @room.pop
    end
  end

  private

  def enter
    @room.push(true, true)
  rescue ThreadError
    raise Busy, "Others are waiting for the same already. Nothing was begun: try again in a moment."
  end
end
