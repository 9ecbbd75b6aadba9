# frozen_string_literal: true

# One change that was made to a manuscript, with what takes it back.
class LedgerEntry < ActiveRecord::Base
  belongs_to :manuscript

  # What a bulk change did, by kind: sentences; none for a change of one kind.
  def kinds
    JSON.parse(details || "[]")
  end

  def kinds=(sentences)
    self.details = sentences.to_json
  end
end
