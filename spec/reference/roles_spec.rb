# frozen_string_literal: true

require_relative "flattened"
require_relative "genres"
require_relative "held_back"

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
    puts format("\n  roles: heading precision %.3f, recall %.3f, exact level %.3f, all roles %.3f (%d headings, %d " \
      "paragraphs)", precision, recall, level, roles, found[:headings], found[:all])
    confused.max_by(12, &:last).each { |key, count| puts "    #{count} × #{key.join(" · ")}" } if ENV["CONFUSED"]
    expect(precision).to be >= 0.97
    expect(recall).to be >= 0.97
    expect(level).to be >= 0.95
    expect(roles).to be >= 0.93
  end

  # Shares of what is found in documents with known roles, each [Document, {id => role}].
  def shares(documents)
    found = Hash.new(0)
    documents.each do |document, truth|
      truth.reject { |_, role| role == "blank" }.each do |id, role|
        said = Norvel::Survey::Suggestions.of(document)[id]
        heading, suggested = role.start_with?("heading"), said.heading?
        {headings: heading, suggested:, both: heading && suggested, level: heading && role == said.role, all: true,
         right: role == said.role,
         sure: said.confidence >= 0.9, sure_right: said.confidence >= 0.9 && role == said.role,
         rash: said.confidence >= Norvel::Survey::SettledRoles::SURE && role != said.role}
          .each { |name, true_| found[name] += 1 if true_ }
      end
    end
    found
  end

  def told(what, found)
    puts format("\n  %s: heading precision %.3f, recall %.3f, exact level %.3f, all roles %.3f; of %d at 0.9 and " \
      "more %d right; %d of %d sure and wrong",
      what, found[:both].fdiv(found[:suggested]), found[:both].fdiv(found[:headings]),
      found[:level].fdiv(found[:headings]), found[:right].fdiv(found[:all]), found[:sure], found[:sure_right],
      found[:rash], found[:all])
  end

  def papers(of, **how) = of::PAPERS.keys.map { |name| Genres.document(name, papers: of::PAPERS, **how) }

  it "knows papers of many kinds as they are set: minutes, letters, forms, manuals, reports, verse" do
    found = shares(papers(Genres, formatted: true))
    told("papers as they are set", found)
    expect([found[:right].fdiv(found[:all]), found[:both].fdiv(found[:headings])]).to all be >= 0.97
    held = shares(papers(HeldBack, formatted: true))
    told("further papers as they are set", held)
    expect(held[:right].fdiv(held[:all])).to be >= 0.97
  end

  it "finds the structure of bare text by its words alone" do
    [["papers, bare", Genres], ["further papers, bare", HeldBack]].each do |what, of|
      found = shares(papers(of, formatted: false) + papers(of, formatted: false, gaps: true))
      told(what, found)
      expect(found[:both].fdiv(found[:suggested])).to be >= 0.93
      expect(found[:both].fdiv(found[:headings])).to be >= 0.85
      expect(found[:sure_right].fdiv(found[:sure])).to be >= 0.97
    end
  end

  it "finds headings in documents that were flattened twice, with nothing left but words" do
    none = Norvel::Styles::PropertySet::EMPTY
    bare = Flattened::SCHEMES.keys.product(Flattened::VOCABULARY.keys).map.with_index do |(scheme, language), seed|
      document, truth = Flattened.document(language, scheme, seed + 3)
      plain = document.paragraphs.map do |one|
        one.with(direct: none, mark: none, runs: one.runs.map { |run| run.with(direct: none) }.freeze)
      end
      [document.with(paragraphs: plain.reject(&:blank?).freeze), truth.reject { |_, role| role == "blank" }]
    end
    found = shares(bare)
    told("flattened twice", found)
    expect(found[:both].fdiv(found[:suggested])).to be >= 0.93
    expect(found[:both].fdiv(found[:headings])).to be >= 0.85
    expect(found[:sure_right].fdiv(found[:sure])).to be >= 0.97
  end
end
