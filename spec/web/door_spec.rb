# frozen_string_literal: true

# What a browser, or somebody who plays one, may send: every route with every field in every wrong shape.
WebApp.boot

RSpec.describe "the door for what is sent", :web do
  before(:all) { WebApp.boot }
  before do
    WebApp.clear
    extend Rack::Test::Methods
  end

  def app = Web

  let(:manuscript) do
    list = %(<w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr>)
    body = p(r("Head"), '<w:pStyle w:val="Heading1"/>') + p(r("Some text of it.")) * 3 + p(r("Item"), list) +
      table([%w[a b]]) + section
    Manuscript.bring_in(package(body, styles: style("Heading1", "heading 1") + style("BodyText", "Body Text"),
      footer: page_number), filename: "m.docx")
  end

  def token
    get "/"
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  names = Dir[File.expand_path("../../app/stations/**/*", __dir__)].select { |path| File.file?(path) }
    .flat_map { |path| File.read(path).scan(/(?:params\[:|(?:sent|whole|numbered|along\?)\(:)(\w+)/).flatten }.uniq.sort
    .freeze
  wrong = {
    "a list" => ["a", "b"], "a list of lists" => [["a"]], "a table" => {"a" => "b"},
    "a table of tables" => {"a" => {"b" => ["c"]}},
    "no text" => "\xFF\xFE\x80", "a huge number" => "9" * 400, "a number below all" => "-99999999999999999999",
    "no number" => "NaN",
    "letters that files can't hold" => "a\u0000b\vc\uFFFE", "nothing" => "", "much" => "x" * 6000,
    "a span without end" => "1-99999999999",
    "markup" => "<script>alert(1)</script>", "a path" => "../../etc/passwd"
  }.freeze

  # [verb, address] of every route, its steps filled in.
  def addresses
    steps = {"id" => manuscript.id, "number" => 1, "page" => 1, "sheet" => 1, "change" => "values",
             "key" => "ship:short-notice", "format" => "markdown", "rule" => "role.body.size", "ending" => "css",
             "errand" => "0"}
    text = LooseText.bring_in("# Words", filename: "words.md").id
    guide = SavedGuide.keep("norvel_guide: 1\nname: Ours\nroles: {body: {size: 12pt}}\n").key
    %w[GET POST].flat_map do |verb|
      Web::STATIONS.flat_map { |station| station.routes[verb].to_a }.map do |pattern, *|
        address = pattern.to_s.gsub(/:([a-z]\w*)/) { steps.fetch($1) }
        own = address.sub("/texts/#{manuscript.id}", "/texts/#{text}")
        [verb, own.sub("/guides/#{steps["key"]}", "/guides/#{guide}")]
      end
    end.uniq.reject { |_, address| address.end_with?("/discard") }
  end

  # DOOR=1 for every shape at every address; else each address meets a few of the shapes.
  define_method(:turn) do |list, shape|
    ENV["DOOR"] ? list : list.each_with_index.select { |_, at| (at + wrong.keys.index(shape)) % 9 == 0 }.map(&:first)
  end

  def faults(shape, value)
    known = token
    turn(addresses, shape).flat_map do |verb, address|
      variants = address.include?("/styles/values") ? StyleChanges::CHANGES.keys
        .map { |name| address.sub("values", name) } : [address]
      variants.filter_map { |place| fault(verb, place, shape, value, known) }
    end
  end

  define_method(:names) { names }

  def fault(verb, address, shape, value, known)
    fields = names.to_h { |name| [name, value] }.merge("authenticity_token" => known)
    current = fields.merge("version" => Manuscript.find(manuscript.id).lock_version.to_s)
    ((verb == "GET") ? [fields] : [fields, current]).each do |sent|
      custom_request verb, address, sent
      return "#{last_response.status} #{verb} #{address}, #{shape}" if last_response.status >= 500
      return "no sentence at #{verb} #{address}, #{shape}" if last_response.status == 400 &&
        !last_response.body.match?(/[a-z]{3,}.*\./)
    end
    nil
  rescue => error
    "#{error.class} #{error.message.lines.first.to_s[0, 60]} at #{verb} #{address}, #{shape} (#{error.backtrace
      .grep(/main\/|app\/|lib\/norvel/).first.to_s[/\w+\.\w+:\d+/]})"
  end

  wrong.each do |shape, value|
    it "answers #{shape} in every field of every route without a fault" do
      expect(faults(shape, value)).to eq []
    end

    # At one of the pages in turn, so that over all shapes each field comes to each of them.
    it "answers #{shape} in one field at a time" do
      known = token
      found = names.each_with_index.flat_map do |name, turn|
        [["GET", "/manuscripts/#{manuscript.id}/galley"], ["GET", "/manuscripts/#{manuscript.id}/styles"],
          ["POST", "/manuscripts/#{manuscript.id}/edits/style"],
          ["POST", "/manuscripts/#{manuscript.id}/styles/make"],
          ["POST", "/manuscripts/#{manuscript.id}/styles/page/ripple"]].rotate(turn + wrong.keys.index(shape)).first(1)
          .filter_map do |verb, address|
          custom_request verb, address,
            {name => value, "authenticity_token" => known, "ids" => "1-4",
             "version" => Manuscript.find(manuscript.id).lock_version.to_s}.merge(name => value)
          "#{last_response.status} #{address} #{name}" if last_response.status >= 500
        rescue => error
          "#{error.class} #{error.message.lines.first.to_s[0, 60]} at #{verb} #{address}, #{name} (#{error.backtrace
            .grep(/main\/|app\/|lib\/norvel/).first.to_s[/\w+\.\w+:\d+/]})"
        end
      end
      expect(found).to eq []
    end
  end

  # What may come as a list or table somewhere comes so, alone, elsewhere: to each address some of them, in turn.
  {"a list" => [Door::LISTS, ["1", "x"]], "a table" => [Door::MAPS, {"1" => "x"}]}.each do |shape, (fields, value)|
    it "answers #{shape} in a field that may be one, at every route" do
      known = token
      found = addresses.each_with_index.flat_map do |(verb, address), turn|
        fields.rotate(turn * 3).first(ENV["DOOR"] ? 9 : 3).filter_map do |field|
          custom_request verb, address,
            {field => value, "authenticity_token" => known, "version" => Manuscript.find(manuscript.id)
              .lock_version.to_s}
          "#{last_response.status} #{verb} #{address} #{field}" if last_response.status >= 500
        rescue => error
          "#{error.class} #{error.message.lines.first.to_s[0, 60]} at #{verb} #{address} #{field}"
        end
      end
      expect(found).to eq []
    end
  end

  it "knows the fields of every route" do
    expect(names).to include("version", "ids", "text", "rule", "q").and have_attributes(size: be > 100)
  end

  it "knows no address that is a number and more, no template that is not there, and no place outside" do
    ["/manuscripts/#{manuscript.id}abc/galley", "/manuscripts/%31x", "/texts/1x", "/arrivals/1x"].each do |address|
      get address
      expect([address, last_response.status]).to eq [address, 404]
    end
    saved = SavedTemplate.create!(name: "T", bytes: package(p(r("x"))))
    ["own:#{saved.id}x", "own:", "ship:../x", "x", "own:#{"9" * 99}"].each do |key|
      get "/templates/#{Rack::Utils.escape_path(key)}/download"
      expect([key, last_response.status]).to match [key, be_between(404, 422)]
    end
    ["/manuscripts/#{manuscript.id}/\r\nLocation: https://elsewhere.example", "//elsewhere.example",
      "/manuscripts/#{manuscript.id}x/galley"].each do |place|
      post "/manuscripts/#{manuscript.id}/edits/case",
        {authenticity_token: token, ids: "1", case: "capitals", back: place,
         version: Manuscript.find(manuscript.id).lock_version}
      expect(URI(last_response["location"]).path).to eq "/manuscripts/#{manuscript.id}/galley"
      post "/manuscripts/#{manuscript.id}/take_back",
        {authenticity_token: token, version: Manuscript.find(manuscript.id).lock_version}
    end
    expect(Door.file_name("a\0b.docx")).to eq "ab.docx"
  end

  # The range of every property, at each of its doors.
  it "refuses values that no text can have, in a sentence" do
    {size: %w[0 0.2 99999 -3],
     space_before: %w[-1 99999], line_spacing: ["0", "exactly 0", "exactly 99999pt", "400"],
     indent_left: %w[99999 -99999]}.each do |name, texts|
      texts.each do |text|
        post "/manuscripts/#{manuscript.id}/edits/value",
          {authenticity_token: token, ids: "2", property: name, value: text, version: 0}
        expect([name, text, last_response.status, last_response.body])
          .to match [name, text, 422, /lies between|line spacing/]
      end
    end
    get "/manuscripts/#{manuscript.id}/styles"
    expect(last_response.status).to eq 200
  end

  it "does nothing for a page of another site, as a browser tells it" do
    %w[cross-site same-site].each do |site|
      header "Sec-Fetch-Site", site
      post "/manuscripts/#{manuscript.id}/edits/case",
        {authenticity_token: token, ids: "1", case: "capitals", version: 0}
      expect([last_response.status, last_response.body]).to match [403, /another site/]
    end
    header "Sec-Fetch-Site", "same-origin"
    post "/manuscripts/#{manuscript.id}/edits/case", {authenticity_token: token, ids: "1", case: "capitals", version: 0}
    expect(last_response.status).to eq 303
  end

  it "says in a sentence what does not fit" do
    post "/manuscripts/#{manuscript.id}/edits/style",
      {"authenticity_token" => token, "style" => ["a"], "version" => "0"}
    expect([last_response.status, last_response.body]).to match [400, /“style” came as a list/]
    get "/manuscripts/#{manuscript.id}/galley?pick=%FF"
    expect([last_response.status, last_response.body]).to match [400, /“pick” is not text/]
  end

  it "counts a paragraph that is named twice once, and works for no more than the document has" do
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    post "/manuscripts/#{manuscript.id}/edits/case",
      {authenticity_token: token, ids: "2,2,2-3,1-99999999", case: "capitals", version: 0}
    expect(Manuscript.find(manuscript.id).ledger_entries.last.title)
      .to eq "Show #{manuscript.paragraphs + 1} paragraphs in capitals, 1 in running feet"
    expect(Spans.read((["1-99999999"] * 20_000).join(","), manuscript.document.paragraphs).size)
      .to eq manuscript.paragraphs
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 2
    expect { Spans.read("1," * 20_001, []) }.to raise_error(Door::Malformed, /select everything/)
  end

  it "keeps what can't stand in a file out of titles, words, descriptions and names, so that it can be handed over" do
    dirty = "Low\vwater\u0000 \uFFFEat \u2028 noon"
    known = token
    change = ->(step, **fields) {
      post "/manuscripts/#{manuscript.id}/#{step}",
        {authenticity_token: known, version: Manuscript.find(manuscript.id).lock_version, **fields}
    }
    change.call("describe", title: dirty, author: dirty, language: "en-GB")
    change.call("edits/retype", ids: "2", text: dirty)
    change.call("edits/add", ids: "2", text: dirty)
    change.call("styles/make", kind: "paragraph", name: dirty)
    expect(Manuscript.find(manuscript.id).ledger_entries.count).to eq 4
    get "/manuscripts/#{manuscript.id}/download"
    expect(last_response.status).to eq 200
    again = Norvel::Formats.read(last_response.body, name: "x")
    expect([again.info[:title], again.paragraphs[2].text, again.styles.named("Low water at noon").nil?])
      .to match ["Low water at   noon", /Low water at\s+noon/, true]
  end

  it "keeps the extension of a long file name" do
    expect(Door.file_name("#{"a" * 400}.docx")).to match(/\Aa{190,200}\.docx\z/)
    expect(Door.file_name("..\\..\\x.docx")).to eq "x.docx"
  end

  it "refuses what comes from another site, and keeps what was typed when a session is over" do
    header "Origin", "https://elsewhere.example"
    post "/manuscripts/#{manuscript.id}/edits/add", {authenticity_token: token, ids: "1", text: "x", version: 0}
    expect([last_response.status, last_response.body]).to match [403, /another site/]
    header "Origin", nil
    long = "What I wrote in the evening, when the tide was out and the light was going, and would not like to lose."
    post "/manuscripts/#{manuscript.id}/edits/add", {authenticity_token: "old", ids: "1", text: long, version: 0}
    expect([last_response.status, last_response.body]).to match [403, /Once more.*#{long}/m]
    fields = Nokogiri::HTML(last_response.body).css("form").first
    sent = fields.css("input, textarea").to_h { |field| [field["name"], field["value"] || field.text] }
    post fields["action"], sent
    expect(last_response.status).to eq 303
    expect(Manuscript.find(manuscript.id).document.paragraphs[1].text).to eq long
    header "HX-Request", "true"
    post "/manuscripts/#{manuscript.id}/edits/add", {authenticity_token: "old", ids: "1", text: long, version: 0}
    expect([last_response.status, last_response.body]).to match [403, /\A<div class="complaint".*Load the page anew/m]
  end

  it "takes a ledger entry that is gone, and a guide changed elsewhere, for conflicts" do
    manuscript.perform(Norvel::Edits::Describe.new({title: "T"}), version: 0)
    known = token
    post "/manuscripts/#{manuscript.id}/take_back",
      {authenticity_token: known, version: Manuscript.find(manuscript.id).lock_version, entry: "99999"}
    expect(last_response.status).to eq 409
    post "/manuscripts/#{manuscript.id}/guide",
      {authenticity_token: known, version: 0, against: "guide:ravelmouth-house"}
    expect(last_response.status).to eq 409
    post "/manuscripts/#{manuscript.id}/guide",
      {authenticity_token: known, version: Manuscript.find(manuscript.id).lock_version,
       against: "guide:ravelmouth-house"}
    expect([last_response.status, Manuscript.find(manuscript.id).guide]).to eq [303, "ravelmouth-house"]
  end
end
