# frozen_string_literal: true

# One change that was made to a manuscript, with what takes it back.
class LedgerEntry < ActiveRecord::Base
  belongs_to :manuscript
end
