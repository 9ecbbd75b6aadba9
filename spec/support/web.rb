# frozen_string_literal: true

# The web application with a database of its own; loaded only by the specs that need it.
module WebApp
  def self.boot
    return if @booted
    @booted = true
    @folder = Dir.mktmpdir("norvel")
    ENV["NORVEL_DATABASE"] = File.join(@folder, "test.sqlite3")
    require_relative "../../app/boot"
    require "rack/test"
    Paging.inline = Helpers.inline = true # what is on pages or in a file is asked for at once
    ActiveRecord::Base.logger = nil
    ActiveRecord::Migration.verbose = false
    ActiveRecord::MigrationContext.new(File.expand_path("../../db/migrate", __dir__)).migrate
    ActiveRecord::Base.connection.execute("PRAGMA journal_mode = WAL")
    at_exit { FileUtils.rm_rf(@folder) }
  end

  # Empties the shelf.
  def self.clear
    [LedgerEntry, LooseText, Arrival, Manuscript, Original, SavedTemplate].each(&:delete_all)
    Desk::LIVE.clear
  end
end
