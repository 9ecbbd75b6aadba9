# frozen_string_literal: true

# A person's own note on a finding.
class Remark < ActiveRecord::Base
  belongs_to :manuscript

  # Those on findings of a rule at a paragraph, nil for those about the document.
  def self.on(finding)
    where(rule: finding.rule, paragraph: finding.paragraph).order(:id)
  end
end
