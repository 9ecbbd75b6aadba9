# frozen_string_literal: true

module Norvel
  # A map that keeps what was asked for last, for use by several threads at once.
  class Recent
    # most: entries kept
    def initialize(most)
      @most = most
      @entries = {}
      @guard = Mutex.new
    end

    # The value of a key, made by the block when it is not there; nil without a block. The block runs outside of the
    # guard.
    def fetch(key)
      @guard.synchronize do
        return @entries[key] = @entries.delete(key) if @entries.key?(key)
      end
      put(key, yield) if block_given?
    end

    # Keeps a value under a key; the one asked for longest ago goes where there are too many.
    def put(key, value)
      @guard.synchronize do
        @entries.delete(key)
        @entries[key] = value
        @entries.shift while @entries.size > @most
      end
      value
    end

    # Forgets one.
    def delete(key)
      @guard.synchronize { @entries.delete(key) }
    end

    # Forgets all.
    def clear
      @guard.synchronize { @entries.clear }
    end

    # How many are kept.
    def size
      @guard.synchronize { @entries.size }
    end
  end
end
