# frozen_string_literal: true

# Named page set-ups; sections are those of ISO/IEC 29500-1 17.6.
RSpec.describe "page styles" do
  include Values

  let(:document) do
    wide, plain = [85.05, 72.0].map { |margin_left| {margin_left:, header: 35.4, footer: 35.4} }
    made(p("one") + ending(page: wide) + p("two") + ending(page: plain) + p("three"), page: wide)
  end
  let(:named) { Norvel::Edits::DefinePageStyle.new("Wide inside", 1).apply(document).after }

  def margins(document) = document.sections.map { |section| section.margin_left.round(2) }

  it "names the set-up of a section: all sections set up alike are in it" do
    style = named.page_styles[0]
    expect(named.sections.map { |section| style.worn_by?(section) }).to eq [true, false, true]
    expect(reread(named).page_styles.map(&:name)).to eq ["Wide inside"]
    expect(reread(named).sections.map { |section| reread(named).page_styles[0].worn_by?(section) })
      .to eq [true, false, true]
  end

  it "changes all sections that are in it, and no others" do
    changed = Norvel::Edits::ChangePageStyle.new("Wide inside", {margin_left: 99.0, header: 30.0, columns: 2})
      .apply(named).after
    expect(margins(changed)).to eq [99.0, 72.0, 99.0]
    again = reread(changed)
    expect([margins(again), again.sections[0].header, again.sections[2].columns, again.page_styles[0].margin_left])
      .to eq [[99.0, 72.0, 99.0], 30.0, 2, 99.0]
  end

  it "puts sections in it" do
    put = Norvel::Edits::PutInPageStyle.new([2], "Wide inside").apply(named).after
    expect(margins(reread(put))).to eq [85.05, 85.05, 85.05]
  end

  it "is renamed and deleted, sections staying as they are" do
    renamed = Norvel::Edits::ChangePageStyle.new("Wide inside", {name: "Body matter"}).apply(named).after
    expect([renamed.page_styles[0].name, renamed.sections]).to eq ["Body matter", named.sections]
    gone = Norvel::Edits::DeletePageStyle.new("Body matter").apply(renamed).after
    expect([gone.page_styles, gone.sections]).to eq [[], document.sections]
    expect(written(gone)).to eq written(document)
  end

  it "outlives saving, and the way back" do
    change = Norvel::Edits::ChangePageStyle.new("Wide inside", {margin_top: 60.0}).apply(named)
    expect(Norvel::Snapshot.load(Norvel::Snapshot.dump(change.after, document), document).page_styles)
      .to eq change.after.page_styles
    back = Norvel::Snapshot.take_back(Norvel::Snapshot.dump_change(change, document), change.after, document)
    expect([back.page_styles, back.sections]).to eq [named.page_styles, named.sections]
  end

  {
    -> { Norvel::Edits::DefinePageStyle.new("Wide inside", 2) } => /There is a page style/,
    -> { Norvel::Edits::DefinePageStyle.new("Other", 3) } => /is in the page style Wide inside already/,
    -> { Norvel::Edits::DefinePageStyle.new(" ", 2) } => /needs a name/,
    -> { Norvel::Edits::DefinePageStyle.new("Other", 9) } => /no section 9/,
    -> { Norvel::Edits::ChangePageStyle.new("Wide inside", {margin_left: 550.0}) } => /no room for text/,
    -> { Norvel::Edits::PutInPageStyle.new([7], "Wide inside") } => /no section 7/,
    -> { Norvel::Edits::PutInPageStyle.new([], "Wide inside") } => /No section/,
    -> { Norvel::Edits::DeletePageStyle.new("None") } => /There is no page style/
  }.each { |edit, complaint|
    it("refuses with a sentence: #{complaint.source}") {
      expect { edit.call.apply(named) }
        .to raise_error(Norvel::Refused, complaint)
    }
  }

  it "looks for room in the section that is set, not in one that is set alike" do
    tight = document.with(sections: document.sections.map { |section| section.with(margin_left: 500.0) })
    expect { Norvel::Edits::SetPage.new([2], {margin_left: 500.0}).apply(tight) }
      .to raise_error(Norvel::Refused, /no room for text/)
  end

  # CT_Settings is a sequence: docVars stand after compat and before rsids.
  it "stands at its place among the settings" do
    bytes = package(Demo::Markup.p(Demo::Markup.r("x")) + Demo::Markup.section(footer: false))
    rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
      %(<Relationship Id="rId9" Type="#{Demo::Package::R}/settings" Target="settings.xml"/></Relationships>))
    xml = %(<w:settings xmlns:w="#{Demo::Package::W}"><w:zoom w:percent="100"/><w:compat/><w:rsids/></w:settings>)
    came = Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels, "word/settings.xml" => xml),
      name: "x")
    written = part(written(Norvel::Edits::DefinePageStyle.new("Plain", 1).apply(came).after), "word/settings.xml")
    variable = %r{<w:docVar w:name="pageStyle1" w:val="Plain; width=595.3; [^"]+"/>}
    expect(written)
      .to match(%r{<w:zoom w:percent="100"/><w:compat/><w:docVars>#{variable}</w:docVars><w:rsids/>})
  end

  it "sets up a document that came without any section" do
    bare = docx(Demo::Markup.p(Demo::Markup.r("x")))
    set = reread(Norvel::Edits::SetPage.new([1], {margin_left: 100.0}).apply(bare).after)
    expect([set.sections.size, set.sections[0].margin_left, set.sections[0].margin_top]).to eq [1, 100.0, 72.0]
  end
end
