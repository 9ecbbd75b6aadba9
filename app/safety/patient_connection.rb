# frozen_string_literal: true

# SQLite as several threads of one process need it: who waits for the other's write lets the others run, a transaction
# that will write takes its turn at its beginning, and a database that can only be read is still read.
module PatientConnection
  PATIENCE = 20 # seconds
  PAUSE = 0.004

  # One handle on every connection: sqlite3's own waiting holds Ruby's lock, sleeping does not.
  def configure_connection
    super
  rescue ActiveRecord::StatementInvalid => error
    raise unless error.cause.is_a?(SQLite3::ReadOnlyException) || error.cause.is_a?(SQLite3::CantOpenException)
  ensure
    @raw_connection&.busy_handler do |tries|
      sleep PAUSE
      tries * PAUSE < PATIENCE
    end
  end

  # To read first and ask for the write later could only fail when another has written meanwhile.
  def begin_db_transaction
    log("begin immediate transaction", "TRANSACTION") do
      with_raw_connection(allow_retry: true, materialize_transactions: false) do |connection|
        connection.transaction(:immediate).tap { verified! }
      end
    end
  end
end

require "active_record/connection_adapters/sqlite3_adapter"
ActiveRecord::ConnectionAdapters::SQLite3Adapter.prepend(PatientConnection)
