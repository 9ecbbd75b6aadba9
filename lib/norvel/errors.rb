# frozen_string_literal: true

module Norvel
  # Every error a person may see: its message is a whole sentence fit to be shown.
  class Error < StandardError; end

  # The file that came can't be read; nothing of it was taken in.
  class UnreadableFile < Error; end

  # The file can't be written so that it says the same. Nothing was handed over.
  class Unwritable < Error; end

  # The guide is not one: says the place and what was expected.
  class UnusableGuide < Error; end

  # An edit can't be done on this document (no such style, nothing selected …). The document is as it was.
  class Refused < Error; end

  # An edit changed words that it had no leave to change. The document is as it was.
  class BrokenSeal < Error; end
end
