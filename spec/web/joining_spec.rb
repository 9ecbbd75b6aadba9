# frozen_string_literal: true

WebApp.boot

# Documents put together as plain pages: what is shown before, what is refused, what stays.
RSpec.describe "documents put together" do
  include PageForms

  before { WebApp.clear }

  def head(text) = p(r(text), '<w:pStyle w:val="H1"/>')

  def file(*texts, more: "")
    styles = {"H1" => "heading 1", **(more.empty? ? {} : {"Odd" => "Odd one"})}.map do |id, name|
      %(<w:style w:type="paragraph" w:styleId="#{id}"><w:name w:val="#{name}"/></w:style>)
    end
    body = texts.map { |text| text.start_with?("# ") ? head(text.delete_prefix("# ")) : p(r(text)) }
    package(body.join + more, styles: styles.join)
  end

  let(:manuscript) { Manuscript.bring_in(file("# Tides", "They rise.", more: odd), filename: "tides.docx") }
  let(:odd) { p(r("Odd words."), '<w:pStyle w:val="Odd"/>') }
  let(:mills) { Manuscript.bring_in(file("# Mills", "They stand."), filename: "mills.docx") }
  let(:template) do
    whole = file("The College", "# Declaration", "I declare.", "# Chapter", "Here.", "# References", "Add them.")
    SavedTemplate.keep(whole, "College.docx")
  end

  def token
    get "/"
    page[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  def send_join(**fields)
    known = token
    post "/join", {authenticity_token: known, **fields}
  end

  def texts(made) = made.document.paragraphs.map(&:text)

  it "keep what a template says around its own chapters" do
    template
    get "/join", base: "own:#{template.id}", text: manuscript.id
    expect(page.scan(/<option value="\d+"[^>]*>from here on: ([^<]+)/).flatten)
      .to eq ["Declaration", "Chapter", "References"]
    expect(page).to include("Stays before: 3 paragraphs", "Goes: 2 paragraphs", "Stays after: 2 paragraphs", "Odd one",
      "comes along as it is")
    send_join(base: "own:#{template.id}", order: {manuscript.id => "1"}, name: "Tides of the bar",
      **{"partner" => {"#{manuscript.id}:Odd" => "Normal"}})
    made = Manuscript.order(:id).last
    expect([made.title, made.filename, last_response.status]).to eq ["Tides of the bar", "Tides of the bar.docx", 303]
    expect(texts(made)).to eq ["The College", "Declaration", "I declare.", "Tides", "They rise.", "Odd words.",
      "References", "Add them."]
    expect(made.document.style_of(made.document.paragraphs[5]).name).to eq "Normal"
    expect(texts(manuscript)).to eq ["Tides", "They rise.", "Odd words."]
  end

  it "keep what was decided in them: what paragraphs are, and exceptions" do
    mills.perform(Norvel::Edits::Decide.new([2], "quote"), version: mills.lock_version)
    mills.grants.create!(rule: "clean.direct", where: {"paragraph" => 1, "found" => "x"}.to_json,
      because: "The source.", on: "2026-11-30")
    mills.grants.create!(rule: "page.margin_left", where: {"found" => "3 cm"}.to_json, because: "Bound.",
      on: "2026-11-30")
    send_join(base: "document:#{manuscript.id}", order: {mills.id => "1"}, name: "Both")
    made = Manuscript.order(:id).last
    expect(texts(made)).to eq ["Tides", "They rise.", "Odd words.", "Mills", "They stand."]
    expect(made.document.decisions.transform_keys { |id| made.document.paragraph(id).text })
      .to eq "They stand." => "quote"
    granted = made.grants.map { |grant| [grant.because, grant.exception["where"]["paragraph"]] }
    expect(granted).to eq [["The source.", made.document.paragraphs[3].id], ["Bound.", nil]]
    template
    send_join(base: "own:#{template.id}", order: {mills.id => "1"}, name: "In the template")
    within = Manuscript.order(:id).last
    expect(within.document.decisions.transform_keys { |id| within.document.paragraph(id).text })
      .to eq "They stand." => "quote"
  end

  it "stand behind each other in the order that was written" do
    get "/join", base: "document:#{manuscript.id}", order: {mills.id => "2", manuscript.id => "1.5"}
    expect(page).to include("at the end, behind all that it says", "tides, then mills")
    send_join(base: "document:#{manuscript.id}", order: {mills.id => "2", manuscript.id => "3"}, apart: "1")
    made = Manuscript.order(:id).last
    expect(texts(made)).to eq ["Tides", "They rise.", "Odd words.", "Mills", "They stand.", "Tides", "They rise.",
      "Odd words."]
    breaks = made.document.paragraphs.select { |one| made.document.look(one)[:page_break_before] }
    expect(breaks.map(&:text)).to eq %w[Mills Tides]
  end

  it "begin with the demo's template: declaration, contents made, pages counted from its first chapter" do
    kept = SavedTemplate.keep(Demo::HouseTemplate.new.bytes, "house.docx")
    send_join(base: "own:#{kept.id}", order: {manuscript.id => "1"})
    document = Manuscript.order(:id).last.document
    expect(Norvel::Structure::Placeholders.of(document).map(&:name))
      .to include("Title of the report", "your name", "day and month")
    list = Norvel::Structure::ContentsLists.in(document).first.paragraphs(document).map(&:text)
    expect(list.reject(&:empty?)).to eq ["Declaration\tii", "Contents\tiii", "Tides\t1", "References\t2"]
  end

  describe "for longer than a person waits" do
    before do
      stub_const("Errands::PATIENCE", 0)
      allow(Helpers).to receive(:inline).and_return(false)
    end

    let(:go) { Queue.new }

    def slow(task)
      allow(Manuscript::WRITERS).to receive(:ask) do |asked, *arguments, &told|
        told.call(1, 3) && go.pop if asked == task
        Tasks.public_send(asked, *arguments)
      end
    end

    def until_there(path)
      get path
      sleep 0.05 while last_response.ok? && page.include?("http-equiv") && get(path)
    end

    it "say how far they are, and open when they are there" do
      slow(:join)
      send_join(base: "document:#{manuscript.id}", order: {mills.id => "1"}, name: "Both")
      place = last_response.location
      expect(place).to match(%r{/errands/\h{16}\z})
      sleep 0.05 until (get place) && page.include?("1 of 3 steps done")
      expect(page).to include("<h1>tides</h1>", 'max="3" value="1"', 'http-equiv="refresh"')
      go << true
      until_there(place)
      expect([last_response.status, last_response.location]).to match [303, %r{/manuscripts/\d+/galley}]
      expect(texts(Manuscript.order(:id).last)).to include "Tides", "Mills"
      get place
      expect(last_response.location).to end_with "/"
    end

    it "say why they can't be, with a way back to what was chosen" do
      allow(Manuscript::WRITERS).to receive(:ask).and_raise(Helpers::Busy, "Others are waiting for the same already.")
      send_join(base: "document:#{manuscript.id}", order: {mills.id => "1"}, name: "Both")
      until_there(last_response.location) if last_response.status == 303
      expect([last_response.status, page]).to match [422, /Others are waiting for the same/]
      back = page[/href="([^"]*join[^"]*)"/, 1]
      get CGI.unescapeHTML(back) if back
      expect(page).to include "Name of the new document", %(name="order[#{mills.id}]" value="1")
    end

    {SQLite3::FullException => [503, /The disk is full/], Errno::ENOSPC => [503, /The disk is full/],
     ActiveRecord::StatementInvalid => [503, /The database did not answer/],
     NoMethodError => [500, /Norvel made a mistake of its own/]}.each do |error, said|
      it "say that it was no fault of the file, at #{error}" do
        allow(Station).to receive(:raise_errors?).and_return(false)
        allow_any_instance_of(Joining).to receive(:make).and_raise(error.new("not told"))
        send_join(base: "document:#{manuscript.id}", order: {mills.id => "1"}, name: "Both")
        until_there(last_response.location) if last_response.status == 303
        expect([last_response.status, page]).to match said
        expect(page).not_to include "not told"
      end
    end

    it "are divided with a page that says how far it is, and hands the file over" do
      slow(:divide)
      get "#{at}/parts", level: 1
      sleep 0.05 until (get "#{at}/parts?level=1") && page.include?("1 of 3 steps done")
      go << true
      until_there("#{at}/parts?level=1")
      expect(page).to include("data-goto=\"#{at}/parts?level=1&amp;now=1\"")
      get "#{at}/parts", level: 1, now: 1
      expect(Norvel::Formats::Container.new(page).names).to eq ["01 Tides.docx"]
    end
  end

  it "are refused with a sentence where nothing fits" do
    manuscript
    [{}, {base: "document:#{manuscript.id}"}, {base: "own:99", order: {manuscript.id => "1"}},
      {base: "document:x", order: {"x" => "1"}}].each do |fields|
      send_join(**fields)
      expect([last_response.status, page.include?("Say first what takes in what.")]).to eq [422, true]
    end
    first, second = manuscript.document.paragraphs.map(&:id)
    send_join(base: "document:#{manuscript.id}", order: {mills.id => "1"}, from: second, till: first)
    expect(page).to include("stands before the place where it goes")
    expect(Manuscript.count).to eq 2
  end

  it "keep a template that was brought in whole, and lead to it from the page of templates" do
    known = token
    post "#{at}/templates/bring", {authenticity_token: known,
      file: Rack::Test::UploadedFile.new(StringIO.new(file("# One", "Words.")), "", original_filename: "house.docx")}
    kept = SavedTemplate.kept_whole.last
    get "#{at}/templates", template: "own:#{kept.id}"
    expect(page).to include("/join?base=own:#{kept.id}&amp;text=#{manuscript.id}")
    get "/join"
    expect(page).to include("house (template)", "Write 1, 2, 3")
  end
end
