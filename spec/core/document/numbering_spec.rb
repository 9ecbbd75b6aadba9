# frozen_string_literal: true

# ISO/IEC 29500-1 17.9: lists, levels, restarts.
RSpec.describe Norvel::Document::Numbering do
  def level(number, format: "decimal", text: "%#{number + 1}.", start: 1, extra: "")
    start_element = start ? %(<w:start w:val="#{start}"/>) : ""
    %(<w:lvl w:ilvl="#{number}">#{start_element}<w:numFmt w:val="#{format}"/>#{extra}) +
      %(<w:lvlText w:val="#{text}"/></w:lvl>)
  end

  def abstract(id, *levels, extra: "")
    %(<w:abstractNum w:abstractNumId="#{id}">#{extra}#{levels.join}</w:abstractNum>)
  end

  def num(id, definition, override = "")
    %(<w:num w:numId="#{id}"><w:abstractNumId w:val="#{definition}"/>#{override}</w:num>)
  end

  # items: [list, level] of each paragraph
  def markers(numbering, *items, styles: "")
    body = items.map { |list, number|
      p(r("x"),
        list ? %(<w:numPr><w:ilvl w:val="#{number}"/><w:numId w:val="#{list}"/></w:numPr>) : "")
    }.join
    document = Norvel::Formats.read(with_lists(package(body, styles:), numbering), name: "x")
    document.paragraphs.map { |paragraph| document.markers[paragraph.id] }
  end

  it "counts on across paragraphs that are in no list" do
    list = abstract(0, level(0)) + num(1, 0)
    expect(markers(list, [1, 0], [nil], [1, 0])).to eq ["1.", nil, "2."]
  end

  it "counts levels below anew after each step above" do
    list = abstract(0, level(0), level(1, text: "%1.%2")) + num(1, 0)
    expect(markers(list, [1, 0], [1, 1], [1, 1], [1, 0], [1, 1])).to eq ["1.", "1.1", "1.2", "2.", "2.1"]
  end

  it "shares the count among lists of one definition" do
    list = abstract(0, level(0)) + num(1, 0) + num(2, 0)
    expect(markers(list, [1, 0], [2, 0], [1, 0])).to eq ["1.", "2.", "3."]
  end

  it "begins anew where a list overrides the start" do
    restart = '<w:lvlOverride w:ilvl="0"><w:startOverride w:val="1"/></w:lvlOverride>'
    list = abstract(0, level(0)) + num(1, 0) + num(2, 0, restart)
    expect(markers(list, [1, 0], [1, 0], [2, 0], [2, 0])).to eq ["1.", "2.", "1.", "2."]
  end

  it "replaces a level that a list overrides" do
    own = %(<w:lvlOverride w:ilvl="0">#{level(0, format: "upperLetter", text: "%1)")}</w:lvlOverride>)
    list = abstract(0, level(0)) + num(1, 0, own)
    expect(markers(list, [1, 0], [1, 0])).to eq ["A)", "B)"]
  end

  # 17.9.11 and 17.9.4.
  it "writes all as decimal where a level is legal" do
    upper = level(0, format: "upperRoman", text: "%1")
    plain = abstract(0, upper, level(1, text: "%1.%2")) + num(1, 0)
    legal = abstract(0, upper, level(1, text: "%1.%2", extra: "<w:isLgl/>")) + num(1, 0)
    expect(markers(plain, [1, 0], [1, 0], [1, 0], [1, 1])).to eq %w[I II III III.1]
    expect(markers(legal, [1, 0], [1, 0], [1, 0], [1, 1])).to eq %w[I II III 3.1]
  end

  it "never restarts a level that says so" do
    list = abstract(0, level(0), level(1, extra: '<w:lvlRestart w:val="0"/>')) + num(1, 0)
    expect(markers(list, [1, 0], [1, 1], [1, 0], [1, 1])).to eq ["1.", "1.", "2.", "2."]
  end

  # 17.9.25: a level without a start counts from 0.
  it "counts from 0 without a start" do
    expect(markers(abstract(0, level(0, start: nil)) + num(1, 0), [1, 0], [1, 0])).to eq ["0.", "1."]
  end

  it "shows bullets as the sign they are drawn as" do
    list = abstract(0, level(0, format: "bullet", text: "\uF0B7")) + num(1, 0)
    expect(markers(list, [1, 0], [1, 0])).to eq ["•", "•"]
  end

  it "follows a definition that only links to a numbering style" do
    linked = abstract(0, extra: '<w:numStyleLink w:val="Own"/>')
    holding = abstract(1, level(0, text: "(%1)"), extra: '<w:styleLink w:val="Own"/>')
    expect(markers(linked + holding + num(1, 0), [1, 0])).to eq ["(1)"]
  end

  # 17.9.24 and 17.3.1.29: the level's letters are the marker's alone; the mark's underline is not taken (common
  # practice).
  it "sets the marker in the level's letters over those of the mark" do
    bold = '<w:lvl w:ilvl="0"><w:start w:val="1"/><w:numFmt w:val="decimal"/><w:lvlText w:val="%1"/>' \
      "<w:rPr><w:b/></w:rPr></w:lvl>"
    xml = abstract(0, bold) + num(1, 0)
    bytes = package(p(r("x"),
      '<w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr><w:rPr><w:i/><w:u w:val="single"/></w:rPr>'))
    document = Norvel::Formats.read(with_lists(bytes, xml), name: "x")
    look = document.cascade.marker(document.paragraphs[0])
    expect([look[:bold], look[:italic], look[:underline], document.letter_look(document.paragraphs[0])[:bold]])
      .to eq [true, true, "none", false]
  end

  it "takes no marker from a list that is not there" do
    expect(markers(abstract(0, level(0)) + num(1, 0), [7, 0])).to eq [nil]
  end
end
