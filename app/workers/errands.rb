# frozen_string_literal: true

# Work that may take longer than a person waits without a word: it is begun beside the requests, a page says how far it
# is, and what became of it waits to be fetched. After a restart it is begun anew by who wants it.
module Errands
  PATIENCE = 1.5 # seconds that a request waits before a page does
  KEPT = Norvel::Recent.new(20)

  # One of them. title: what is being done; back: where it was asked for; done, of: how far it is, both 0 before it is
  # known
  class Errand
    attr_reader :id, :title, :back, :done, :of

    # The block does it and is given what says how far it is: told.call(done, of). What it answers is the result.
    def initialize(id, title, back)
      @id, @title, @back = id, title, back
      @done, @of = 0, 0
      @work = proc { |told| yield told }
      Helpers.inline ? work : @thread = Thread.new { work_beside }
    end

    # Waits for it so many seconds. Is it ready then?
    def ready?(within: 0)
      @thread.nil? || !@thread.join(within).nil?
    end

    # What became of it; raises the error that it met.
    def result
      raise @error if @error
      @result
    end

    private

    def work_beside
      work
    ensure
      ActiveRecord::Base.connection_handler.clear_active_connections!
    end

    def work
      @result = @work.call(->(done, of) { @done, @of = done, of })
    rescue => error # told where it is fetched, in the words of an error of that kind
      @error = error
    end
  end

  module_function

  # Begins one, under an id of its own or one under which it is found by others that ask for the same.
  def begin(title, back:, id: SecureRandom.hex(8))
    KEPT.put(id, Errand.new(id, title, back) { |told| yield told })
  end

  # That of an id, nil where it is not known any more.
  def [](id)
    KEPT.fetch(id)
  end

  # It was fetched: whoever asks again has it done anew.
  def forget(id)
    KEPT.delete(id)
  end
end
