# frozen_string_literal: true

RSpec.describe Norvel::Guide::Rules::LinkRules do
  let(:guide) { Norvel::Guide.new("norvel_guide: 1\nname: G\naccessible: {link_texts: require}\n") }

  def link(words) = %(<w:hyperlink r:id="rId9">#{r(words)}</w:hyperlink>)

  def field(words)
    sign = ->(kind) { %(<w:r><w:fldChar w:fldCharType="#{kind}"/></w:r>) }
    "#{sign["begin"]}<w:r><w:instrText> HYPERLINK \"https://ravelmouth.example/\" </w:instrText></w:r>" \
      "#{sign["separate"]}#{r(words)}#{sign["end"]}"
  end

  def read(body)
    bytes = package(body)
    target = %(<Relationship Id="rId9" Type="#{Demo::Package::R}/hyperlink" Target="https://ravelmouth.example/" ) +
      %(TargetMode="External"/></Relationships>)
    rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>", target)
    Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels), name: "x.docx")
  end

  # Source: WCAG 2.2, 2.4.4, and its failure F84 ("here" and "more" as words of a link).
  it "finds links whose words say nothing, of either kind, and leaves addresses and words that do" do
    words = ["here", "Click here.", "Read more …", "hier", "the tide tables", "https://example.org/tides", "moreover"]
    [:link, :field].each do |kind|
      body = words.map { |one| p(r("See ") + send(kind, one) + r(" for it.")) }.join
      expect([kind, Norvel::Guide::Check.new(guide, read(body)).findings.map(&:found)])
        .to eq [kind, ["“here”", "“Click here.”", "“Read more …”", "“hier”"]]
    end
  end

  it "takes the words of a link that is set in several ways together" do
    body = p(r("See ") + %(<w:hyperlink r:id="rId9">#{r("he")}#{r("re", "<w:b/>")}</w:hyperlink>))
    expect(Norvel::Guide::Check.new(guide, read(body)).findings.map(&:found)).to eq ["“here”"]
    expect(Norvel::Guide::Check.new(guide, read(p(r("here")))).findings).to eq []
  end
end
