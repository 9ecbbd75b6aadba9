# frozen_string_literal: true

# A document handed in to the trial office (Office), and what it answered.
class Submission < ActiveRecord::Base
  MOST = 20 # of a document

  belongs_to :manuscript

  scope :waiting, -> { where(answer: nil, fault: nil).order(:id) }

  # Of the document as it is now. Raises Norvel::Refused.
  def self.of(manuscript, office)
    raise Norvel::Refused, "There is no such office." unless Office::ALL.key?(office.to_s)
    if manuscript.submissions.count >= MOST
      raise Norvel::Refused, "It was handed in #{MOST} times: take an answer away before the next."
    end
    create!(manuscript:, office:, version: manuscript.lock_version)
  end

  # Under which the office keeps it: "T-2026-0007".
  def number
    format("T-%d-%04d", created_at.year, id)
  end

  def waiting?
    answer.nil? && fault.nil?
  end

  # {meets:, guide:, edition:, pages:, words:, digest:, counts:, causes: [[weight, what, clause, places, pages], …]}
  def answered
    JSON.parse(answer, symbolize_names: true) if answer
  end
end
