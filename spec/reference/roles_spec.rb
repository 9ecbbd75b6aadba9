# frozen_string_literal: true

require_relative "flattened"

# Source: documents whose structure is known, flattened by our own script (flattened.rb).
RSpec.describe "role suggestions on flattened documents" do
  def measure
    found = Hash.new(0)
    confused = Hash.new(0)
    Flattened::SCHEMES.each_key do |scheme|
      Flattened::VOCABULARY.each_key.with_index do |language, index|
        2.times do |n|
          document, truth = Flattened.document(language, scheme, (index * 31) + (n * 7) + 5)
          suggestions = Norvel::Survey::Suggestions.new(document)
          truth.each do |id, role|
            said = suggestions.role(id)
            heading, suggested = role.start_with?("heading"), said.start_with?("heading")
            found[:headings] += 1 if heading
            found[:suggested] += 1 if suggested
            found[:both] += 1 if heading && suggested
            found[:level] += 1 if heading && role == said
            found[:all] += 1
            found[:right] += 1 if role == said
            confused[[scheme, role, said]] += 1 unless role == said
          end
        end
      end
    end
    [found, confused]
  end

  it "finds headings, their levels, and roles" do
    found, confused = measure
    precision, recall = found[:both].fdiv(found[:suggested]), found[:both].fdiv(found[:headings])
    level, roles = found[:level].fdiv(found[:headings]), found[:right].fdiv(found[:all])
    puts format("\n  roles: heading precision %.3f, recall %.3f, exact level %.3f, all roles %.3f (%d headings, %d paragraphs)", precision, recall, level, roles, found[:headings], found[:all])
    confused.max_by(12, &:last).each { |key, count| puts "    #{count} × #{key.join(" · ")}" } if ENV["CONFUSED"]
    expect(precision).to be >= 0.97
    expect(recall).to be >= 0.97
    expect(level).to be >= 0.95
    expect(roles).to be >= 0.93
  end
end
