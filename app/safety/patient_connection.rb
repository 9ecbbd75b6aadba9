# frozen_string_literal: true

# SQLite as several threads of one process need it: who waits for the other's write lets the others run, and a database
# that can only be read is still read. (Transactions take their turn at their beginning: config/database.yml.)
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
end

require "active_record/connection_adapters/sqlite3_adapter"
ActiveRecord::ConnectionAdapters::SQLite3Adapter.prepend(PatientConnection)
