# frozen_string_literal: true

# An exception that is granted in one document: for a finding at its place, or for all of a style or kind of paragraph
# where the same is found. It ends when what it was granted for changes: then nothing falls under it.
class Grant < ActiveRecord::Base
  belongs_to :manuscript

  SCOPES = {"place" => "here", "style" => "in this style", "role" => "in this kind of paragraph",
            "rule" => "everywhere"}.freeze

  class << self
    # From a finding. scope: of SCOPES. Raises Norvel::Refused.
    def from(finding, check, scope:, because:, by: nil)
      raise Norvel::Refused, "An exception needs a reason." if because.to_s.strip.empty?
      new(rule: finding.rule, where: where(finding, check, scope).to_json, because: because.strip[0, 1000],
        by: by.to_s.strip[0, 200].then { |name| name unless name.empty? }, on: Date.today.iso8601)
    end

    private

    def where(finding, check, scope)
      found = {"found" => finding.found}
      return found if finding.paragraph.nil?
      paragraph = check.document.paragraph(finding.paragraph)
      case scope
      when "place" then {"paragraph" => finding.paragraph, **found}
      when "style" then {"style" => check.document.style_name(paragraph), **found}
      when "role" then {"role" => check.role(paragraph), **found}
      when "rule" then found
      else raise Norvel::Refused, "Say for what the exception is granted."
      end
    end
  end

  # The same in another document that its own went into. ids: {id of a paragraph => id of the same there}; one for a
  # place goes along where its place does.
  def go_along(other, ids)
    place = JSON.parse(where)
    if place.key?("paragraph")
      place["paragraph"] = ids[place["paragraph"]] or return
    end
    other.grants.create!(rule:, where: place.to_json, because:, by:, on:)
  end

  # As a guide has an exception.
  def exception
    {"rule" => rule, "where" => JSON.parse(where), "because" => because, "by" => by, "on" => on}.compact
  end
end
