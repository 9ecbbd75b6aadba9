# frozen_string_literal: true

RSpec.describe Norvel::Guide::Rules::LinkRules do
  include Values

  let(:guide) { Norvel::Guide.new("norvel_guide: 1\nname: G\naccessible: {link_texts: require}\n") }

  address = "https://ravelmouth.example/"
  kinds = {link: Norvel::Document::Link.new(address:),
           field: Norvel::Document::Field.new(id: 1, computes: Norvel::Document::Computed::Link.new(address:))}

  # Source: WCAG 2.2, 2.4.4, and its failure F84 ("here" and "more" as words of a link).
  it "finds links whose words say nothing, of either kind, and leaves addresses and words that do" do
    words = ["here", "Click here.", "Read more …", "hier", "the tide tables", "https://example.org/tides", "moreover"]
    kinds.each do |kind, link|
      body = words.flat_map { |one| p(r("See ") + r(one, within: [link]) + r(" for it.")) }
      expect([kind, Norvel::Guide::Check.new(guide, made(body)).findings.map(&:found)])
        .to eq [kind, ["“here”", "“Click here.”", "“Read more …”", "“hier”"]]
    end
  end

  it "takes the words of a link that is set in several ways together" do
    body = p(r("See ") + r("he", within: [kinds[:link]]) + r("re", within: [kinds[:link]], bold: true))
    expect(Norvel::Guide::Check.new(guide, made(body)).findings.map(&:found)).to eq ["“here”"]
    expect(Norvel::Guide::Check.new(guide, made(p(r("here")))).findings).to eq []
  end
end
