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
    Tasks.singleton_class.prepend(Remembered::Weighing)
    Desk.singleton_class.prepend(Remembered::Opening)
    ActiveRecord::Base.logger = nil
    ActiveRecord::Migration.verbose = false
    ActiveRecord::MigrationContext.new(File.expand_path("../../db/migrate", __dir__)).migrate
    ActiveRecord::Base.connection.execute("PRAGMA journal_mode = WAL")
    at_exit { FileUtils.rm_rf(@folder) }
  end

  # What was worked out once of a file as it came holds in every example: documents are values, and so are checks. Not
  # where somebody looks at how it is worked out beside the requests.
  module Remembered
    def self.known
      @known ||= Norvel::Recent.new(60)
    end

    def self.value(*key, &)
      Paging.inline ? known.fetch(key, &) : yield
    end

    module Weighing
      def weigh(bytes, filename, guide)
        Remembered.value(:weighed, bytes.hash, bytes.size, filename, guide) { super }.dup
      end
    end

    module Opening
      def read(manuscript)
        Remembered.value(:read, manuscript.original.bytes.hash, manuscript.filename) { super }
      end

      def load(manuscript)
        super.tap do |live|
          live.document = Remembered.value(:begun, live.original.object_id) { live.document } unless manuscript.head
        end
      end

      def judge(manuscript, state)
        return super unless state.earlier.empty?
        Remembered.value(:judged, state.document.object_id, manuscript.rules.signature,
          !Norvel::Layout.pages(state.document).nil?) { super }
      end
    end
  end

  # Empties the shelf.
  def self.clear
    [LedgerEntry, LooseText, Arrival, Submission, Manuscript, Original, SavedTemplate, SavedGuide, Grant, Remark]
      .each(&:delete_all)
    Desk::LIVE.clear
  end
end
