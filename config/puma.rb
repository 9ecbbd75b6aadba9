# frozen_string_literal: true

# One process on the loopback address: the documents in use are kept in its memory.
port = ENV.fetch("PORT", "4567")
bind "tcp://127.0.0.1:#{port}"
threads 1, 24 # those that compute take turns (app/safety/turns.rb); some wait for helpers (app/workers)
workers 0
environment "production"
quiet
