# frozen_string_literal: true

# What is wrong with the place where documents are kept, and what to do about it, in sentences.
module Trouble
  SENTENCES = {
    "FullException" => "The disk is full, so nothing could be kept. Make room and try again: the document is as it " \
      "was at the " \
                       "last change.",
    "ReadOnlyException" => "The database can't be written, so nothing was kept: see that Norvel may write in its " \
      "storage folder. " \
                           "Reading goes on.",
    "CantOpenException" => "The database can't be opened: see that the storage folder is there and that Norvel may " \
      "read and " \
                           "write in it.",
    "CorruptException" => "The database is damaged. Stop Norvel, keep a copy of the storage folder, and put a copy " \
      "of yours in " \
                          "its place.",
    "NotADatabaseException" => "What stands in the database's place is no database. Stop Norvel and put a copy of " \
      "yours there.",
    "BusyException" => "Another program is writing in the database and does not come to an end. Nothing was done: " \
      "try again.",
    "IOException" => "The disk did not do as it was told, so nothing was kept. See whether it is full or damaged."
  }.freeze
  UNPREPARED = "The database was never prepared for this edition of Norvel: start it with bin/demo, which does so."
  UNKNOWN = "The database did not answer as it should, so nothing was kept. The document is as it was at the last " \
    "change."

  module_function

  # The sentence for an error of Active Record.
  def sentence(error)
    return UNPREPARED if error.message.match?(/no such (?:table|column)|Could not find table/)
    names = [error, error.cause].compact.map { |one| one.class.name.to_s.split("::").last }
    name = names.find { |one| SENTENCES.key?(one) }
    SENTENCES.fetch(name, UNKNOWN)
  end
end
