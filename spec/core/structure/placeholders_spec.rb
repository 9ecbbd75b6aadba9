# frozen_string_literal: true

# Placeholders of templates: found, told, filled in.
RSpec.describe Norvel::Structure::Placeholders do
  def names(*texts, **parts) = described_class.of(docx(texts.map { |text| p(r(text)) }.join, **parts)).map(&:name)

  it "are words in brackets that ask for something, or that stand alone" do
    expect(names("[Title of the thesis]", "by <your name>", "{{date}}", "I, [Name of candidate], say «place»",
      "[Abbreviations]"))
      .to eq ["Title of the thesis", "your name", "date", "Name of candidate", "place", "Abbreviations"]
  end

  it "are not what an editor put in brackets, a reference, an address or a sum" do
    expect(names("the [old] mill [sic] stood", "as shown [12] and [Smith 2020]", "see <https://ravelmouth.example>",
      "a < b and c > d", "[…]", "[emphasis added]", "the tide [of the estuary, which had risen since the last reading]",
      "<name@ravelmouth.example>")).to eq []
  end

  it "ask in the language of the document too" do
    portuguese = "As marés da enseada foram lidas de hora em hora, e os valores não mudam mais do que um palmo."
    expect(names("Relatório de [ano]", "por [o autor]", portuguese)).to eq ["ano", "o autor"]
    expect(names("Bericht von [Vorname und Nachname]")).to eq ["Vorname und Nachname"]
    english = "The tides of the cove were read by the hour, and the values are not more than a hand apart."
    expect(names("the report of [ano]", "[data] of it", english)).to eq []
  end

  it "are words in the style for them" do
    holding = '<w:rStyle w:val="PT"/>'
    styled = docx(p(r("By ") + r("Click to enter", holding) + r(" a name", holding) + r(".")),
      styles: style("PT", "Placeholder Text", type: "character", rpr: '<w:color w:val="808080"/>'))
    expect(described_class.of(styled).map(&:words)).to eq ["Click to enter a name"]
    filled = Norvel::Edits::FillPlaceholders.new({"Click to enter a name" => "I. Aldermoor"}).apply(styled)
    runs = reread(filled.after).paragraphs[0].runs.reject { |run| run.words.empty? }
    expect([runs.map(&:words).join, runs.map(&:style_id).compact]).to eq ["By I. Aldermoor.", []]
  end

  it "are not what a field shows, which is computed anew" do
    merge = %(<w:fldSimple w:instr=" MERGEFIELD name ">#{r("«name»")}</w:fldSimple>)
    expect(described_class.of(docx(p(r("Dear ") + merge + r(", «place»")))).map(&:words)).to eq ["«place»"]
  end

  it "in brackets keep a style of their own, whatever other placeholders wear" do
    line = r("Of ") + r("[Title]", '<w:rStyle w:val="E"/>') + r(" by ") + r("name", '<w:rStyle w:val="PT"/>')
    styles = {"PT" => "Placeholder Text", "E" => "Emphasis"}.map { |id, name| style(id, name, type: "character") }.join
    document = docx(p(line), styles:)
    after = Norvel::Edits::FillPlaceholders.new({"Title" => "Salt", "name" => "I. A."}).apply(document).after
    worn = after.paragraphs[0].runs.reject { |run| run.words.empty? }.to_h { |run| [run.words, run.style_id] }
    expect(worn).to eq("Of " => nil, "Salt" => "E", " by " => nil, "I. A." => nil)
  end

  it "are filled in wherever they stand, in the look of the text around, as one change that is taken back" do
    document = docx(p(r("[Title]", "<w:b/>")) + p(r("I, [Name], hand in ") + r("[title]", "<w:i/>") + r(" by [Name].")))
    change = Norvel::Edits::FillPlaceholders.new({"Name" => " Ines \n Aldermoor", "Title" => "Salt", "title" => ""})
      .apply(document)
    expect(reread(change.after).paragraphs.map(&:text))
      .to eq ["Salt", "I, Ines Aldermoor, hand in [title] by Ines Aldermoor."]
    expect([change.title, change.after.paragraphs[0].runs.first.direct[:bold]]).to eq ["Fill in 3 placeholders", true]
    expect(written(change.take_back(change.after))).to eq written(document)
    expect { Norvel::Edits::FillPlaceholders.new({"Nothing" => "x"}).apply(document) }
      .to raise_error(Norvel::Refused, /no such placeholder/)
  end

  it "are findings where a guide asks, and advice where there is none" do
    document = docx(p(r("[Your name]")) + p(r("Words.")))
    guide = Norvel::Guide.new("norvel_guide: 1\nname: G\nclean: {placeholders: must}\n")
    [[guide, "must"], [Norvel::Guide.none, "advice"]].each do |one, severity|
      found = Norvel::Guide::Check.new(one, document).findings.select { |f| f.rule == "clean.placeholder" }
      expect(found.map { |f| [f.paragraph, f.found, f.severity] }).to eq [[1, "[Your name]", severity]]
    end
  end
end
