# frozen_string_literal: true

# The process behind a Helper: takes tasks until nobody asks any more. It gives way to whoever answers people.
require "norvel"
require_relative "../helper"
require_relative "../tasks"
require_relative "../../models/standing"

trap("INT", "IGNORE") # who began it ends it
Process.setpriority(Process::PRIO_PROCESS, 0, 10)
[$stdin, $stdout].each(&:binmode)
loop do
  task, arguments = Helper.take($stdin)
  answer = begin
    told = ->(*how_far) { Helper.put($stdout, [:so_far, *how_far]) }
    [:done, Tasks.public_send(Tasks::NAMES.find { |name| name == task }, *arguments, &told)]
  rescue Norvel::Error => error
    [:refused, error.class.name.delete_prefix("Norvel::"), error.message]
  rescue SystemStackError
    [:refused, "UnreadableFile", "The document is nested deeper than any text needs to be."]
  rescue NoMemoryError
    exit! 1
  rescue => error
    [:refused, "Error", "Norvel made a mistake of its own with this file (#{error.class})."]
  end
  Helper.put($stdout, answer)
rescue EOFError
  exit! 0
end
