# frozen_string_literal: true

# The parts of a document: known by their headings, asked for by a guide, put in where they are missing.
RSpec.describe Norvel::Structure::Parts do
  def guide(parts) = Norvel::Guide.new("norvel_guide: 1\nname: G\nparts: [#{parts}]\n")

  def heading(text) = p(r(text), '<w:pStyle w:val="Heading1"/>')

  def said(text) = p(r(text))

  def styles = %(<w:style w:type="paragraph" w:styleId="Heading1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl ) +
    %(w:val="0"/></w:pPr></w:style><w:style w:type="paragraph" w:styleId="Title"><w:name w:val="Title"/></w:style>) +
    %(<w:style w:type="paragraph" w:styleId="Caption"><w:name w:val="caption"/></w:style>)

  def made(*body) = docx(body.join, styles:)

  def names(document) = described_class.new(document).list.map(&:name)

  def check(document, parts) = Norvel::Guide::Check.new(guide(parts), document.tap { |one| Norvel::Layout.of(one) })

  def found(document, parts) = check(document, parts).findings.map { |one| [one.rule, one.message] }

  let(:thesis_like) do
    made(p(r("Of tide mills"), '<w:pStyle w:val="Title"/>'), heading("Abstract"), said("Five words stand in it."),
      heading("1. The mills"), said("Text."), heading("2. The dues"), said("Text."), heading("Works cited"),
      said("A. Writer, Salt, 1901."), heading("Appendix A"), said("Tables."), heading("Appendix B"), said("More."))
  end

  it "are known by their headings, and chapters in a row are one" do
    expect(names(thesis_like)).to eq %w[title_page abstract chapters references appendices]
    expect(described_class.new(thesis_like).then { |parts| parts.words(parts["abstract"]) }).to eq 5
  end

  # The words of six languages, as words.yml has them (common practice of their theses).
  {"Zusammenfassung" => "abstract", "Kurzfassung" => "abstract", "Résumé" => "abstract",
   "Remerciements" => "acknowledgements",
   "Danksagung" => "acknowledgements", "Abbildungsverzeichnis" => "list_of_figures",
   "Lista de tablas" => "list_of_tables",
   "Eidesstattliche Erklärung" => "declaration", "Literaturverzeichnis" => "references", "Anhang B" => "appendices",
   "Table des matières" => "contents", "IV. Glossary" => "glossary", "3 Conclusions" => "chapters",
   "Tables and weirs" => "chapters"}.each do |text, name|
    it "are known in other languages: “#{text}” begins #{name}" do
      expect(described_class.of_heading(text)).to eq name
    end
  end

  it "that a field makes count without a heading" do
    begun = %w[begin separate end].map { |type| %(<w:r><w:fldChar w:fldCharType="#{type}"/></w:r>) }
    list = p(begun[0] + %(<w:r><w:instrText> TOC \\o "1-3" </w:instrText></w:r>) + begun[1] + r("One\t1") + begun[2])
    expect(names(made(list, heading("One"), said("Text.")))).to eq %w[contents chapters]
  end

  it "of front and back matter without a name are no chapters" do
    document = made(heading("Approval"), said("Signed."), heading("Abstract"), said("Words."), heading("1 Mills"),
      said("Text."), heading("References"), said("A book."), heading("About the author"), said("Born."))
    expect(names(document)).to eq %w[other abstract chapters references other]
    expect(found(document, "{part: abstract}, {part: chapters}, {part: references}")).to eq []
  end

  describe "under a guide" do
    let(:asked) do
      "{part: abstract, required: true, max_words: 4}, {part: contents, required: true}, {part: chapters}, {part: " \
        "references, required: true}, {part: glossary, required: true}"
    end

    it "are missed, too long, and out of order, each told once" do
      expect(found(thesis_like, asked))
        .to eq [["parts.missing", "Missing: glossary"], ["parts.length", "Abstract: 5 words, at most 4 are asked for"],
          ["contents.missing", "The document has no contents list"]]
      expect(found(made(heading("One"), said("Text."), heading("Abstract"), said("Words.")),
        "{part: abstract}, {part: chapters}")).to eq [["parts.order", "Out of order: abstract after chapters"]]
      unchecked = [asked, "{part: colophon}"].map do |yaml|
        Norvel::Guide::Check.new(guide(yaml), docx(p(r("x")))).unchecked.map(&:rule)
      end
      expect(unchecked).to eq [[], ["parts.colophon"]]
    end

    it "are asked for where there is something for them to list" do
      figure = p(r("Figure 1. Tides"), '<w:pStyle w:val="Caption"/>')
      lists = "{part: list_of_figures, required_if: figures}, {part: list_of_tables, required_if: tables}, {part: " \
        "chapters}"
      expect(found(made(heading("One"), said("Text."), figure), lists))
        .to eq [["parts.missing", "Missing: list of figures"]]
      expect(found(made(heading("One"), said("Text.")), lists)).to eq []
    end

    it "are put in at their place, set like other headings, with room to write" do
      parts = "{part: abstract}, {part: preface, required: true}, {part: chapters}, {part: glossary, required: true}"
      list = check(thesis_like, parts).findings
      now = list.inject(thesis_like) { |document, one| one.mend.edit([one], guide(parts)).apply(document).after }
      expect(names(now)).to eq %w[title_page abstract preface chapters references appendices glossary]
      expect(now.paragraphs.map(&:text).values_at(3, 4, -2, -1)).to eq ["Preface", "", "Glossary", ""]
      expect(now.style_name(now.paragraphs[3])).to eq "Heading 1"
      expect(found(reread(now), parts)).to eq []
      expect(list.map { |one| one.mend.safe }).to eq [false, false]
    end

    it "that are lists are put in as lists" do
      figure = p(r("Figure 1. Tides"), '<w:pStyle w:val="Caption"/>')
      document = made(heading("Abstract"), said("Words."), heading("One"), figure, said("Text."))
      put = ->(name, one) {
        Norvel::Edits::PutInPart.new(name, %w[abstract contents list_of_figures chapters])
          .apply(one).after
      }
      expect { put["list_of_figures", document] }.to raise_error(Norvel::Refused, /counted first/)
      counted = Norvel::Edits::CountCaptions.new([document.paragraphs[3].id]).apply(document).after
      now = put["contents", put["list_of_figures", counted]]
      expect(names(now)).to eq %w[abstract contents list_of_figures chapters]
      expect(Norvel::Structure::ContentsLists.in(now).map(&:captions)).to eq [nil, "Figure"]
      expect { put["contents", now] }.to raise_error(Norvel::Refused, /there already/)
      expect { put["title_page", document] }.to raise_error(Norvel::Refused)
    end
  end
end
