# frozen_string_literal: true

# Nobody is locked out: what fails is said, and what can still be done is there.
RSpec.describe "trouble", :web do
  before(:all) { WebApp.boot }
  before do
    WebApp.clear
    extend Rack::Test::Methods
  end

  def app = Web

  # As people meet it: errors are answered and not raised.
  around do |example|
    WebApp.boot
    Station.set :raise_errors, false
    example.run
  ensure
    Station.set :raise_errors, true
  end

  let(:manuscript) { Manuscript.bring_in(package(p(r("Head")) + p(r("Some text of it."))), filename: "m.docx") }
  let(:other) { Manuscript.bring_in(package(p(r("Another"))), filename: "other.docx") }
  let(:stations) { %w[survey styles galley findings handover ledger] }

  def token
    get "/"
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  def take_back
    post "/manuscripts/#{manuscript.id}/take_back",
      {authenticity_token: token, version: Manuscript.find(manuscript.id).lock_version,
       back: "/manuscripts/#{manuscript.id}/ledger"}
    last_response.status
  end

  def change
    post "/manuscripts/#{manuscript.id}/edits/case", {authenticity_token: token, ids: "2", case: "capitals", version: 0}
    expect(last_response.status).to eq 303
  end

  describe "with a check that fails" do
    before { allow(Norvel::Guide::Check).to receive(:new).and_raise(NoMethodError, "of our own") }

    it "shows every station, and says on the shelf and in Findings that it could not be checked" do
      change
      (["/"] + stations.map { |station| "/manuscripts/#{manuscript.id}/#{station}" }).each do |place|
        get place
        expect([place, last_response.status]).to eq [place, 200]
      end
      post "/manuscripts/#{manuscript.id}/count", {authenticity_token: token}
      get "/"
      expect(last_response.body).to include("could not be held against", "ledger")
      get "/manuscripts/#{manuscript.id}/findings"
      expect(last_response.body)
        .to include("mistake of its own")
        .and(satisfy { |body| !body.include?("meets") && !body.include?("nothing to mend") })
      get "/manuscripts/#{manuscript.id}/handover"
      expect(last_response.body).not_to include("✓ meets")
      expect(take_back).to eq 303
      expect(Manuscript.find(manuscript.id).ledger_entries).to be_empty
    end
  end

  describe "with a document that can't be read any more" do
    before do
      manuscript
      change
      Desk::LIVE.clear
      allow(Norvel::Snapshot).to receive(:load).and_raise(NoMethodError, "of our own")
    end

    it "shows its ledger, the file as it came and a sentence, and the rest of the shelf" do
      other
      stations.each do |station|
        get "/manuscripts/#{manuscript.id}/#{station}"
        expect([station, last_response.status]).to eq [station, 422]
        expect(last_response.body)
          .to include("can&#39;t be opened", "Show 1 paragraph in capitals", "/original", "Take back")
      end
      get "/"
      expect([last_response.status, last_response.body]).to match [200, /other\.docx/]
      get "/manuscripts/#{other.id}/galley"
      expect(last_response.status).to eq 200
      get "/manuscripts/#{manuscript.id}/original"
      expect(last_response.body).to eq manuscript.original.bytes
      expect(take_back).to eq 422
      expect(Manuscript.find(manuscript.id).ledger_entries.count).to eq 1
    end
  end

  describe "with a station that fails" do
    it "keeps the ledger and the way back at hand" do
      change
      allow(Norvel::Survey::Suggestions).to receive(:new).and_raise(NoMethodError, "of our own")
      Desk::LIVE.clear
      get "/manuscripts/#{manuscript.id}/survey"
      expect([last_response.status, last_response.body]).to match [500, /mistake of its own.*Take back/m]
      expect(take_back).to eq 303
    end
  end

  describe "with a file that can't be written" do
    it "says since which change, and hands over what can be" do
      manuscript.perform(Norvel::Edits::Describe.new({title: "T"}), version: 0)
      manuscript.perform(Norvel::Edits::Retype.new(2, ["Other words."]), version: 1)
      manuscript.perform(Norvel::Edits::Describe.new({author: "A"}), version: 2)
      allow(Norvel::Formats).to receive(:write).and_wrap_original do |original, document, **options|
        raise Norvel::Unwritable, "The file can't be read back." if document.paragraphs[1].text == "Other words."
        original.call(document, **options)
      end
      get "/manuscripts/#{manuscript.id}/download"
      expect([last_response.status, last_response.body]).to match [422, /can&#39;t be read back.*“Retype paragraph 2”/]
      post "/manuscripts/#{manuscript.id}/take_back",
        {authenticity_token: token, version: 3, entry: manuscript.ledger_entries.second.id}
      get "/manuscripts/#{manuscript.id}/download"
      expect(last_response.status).to eq 200
    end
  end

  describe "with the place where documents are kept" do
    it "says that the disk is full, and keeps what was there" do
      manuscript
      ActiveRecord::Base.connection
        .execute("PRAGMA max_page_count = #{ActiveRecord::Base.connection.select_value("PRAGMA page_count")}")
      post "/manuscripts", {authenticity_token: token,
        file: Rack::Test::UploadedFile.new(StringIO.new(package(p(r("x")), image: Random.new(1).bytes(400_000))),
          "application/octet-stream", true, original_filename: "x.docx")}
      expect([last_response.status, last_response.body]).to match [503, /disk is full/]
      get "/manuscripts/#{manuscript.id}/galley"
      expect(last_response.status).to eq 200
    ensure
      ActiveRecord::Base.connection.execute("PRAGMA max_page_count = 1073741823")
    end

    it "reads on where it can't be written" do
      manuscript
      ActiveRecord::Base.connection.execute("PRAGMA query_only = ON")
      known = token
      (["/"] + stations.map { |station| "/manuscripts/#{manuscript.id}/#{station}" }).each do |place|
        get place
        expect([place, last_response.status]).to eq [place, 200]
      end
      post "/manuscripts/#{manuscript.id}/edits/case",
        {authenticity_token: known, ids: "2", case: "capitals", version: 0}
      expect([last_response.status, last_response.body]).to match [503, /can&#39;t be written/]
    ensure
      ActiveRecord::Base.connection.execute("PRAGMA query_only = OFF")
    end

    it "says that it was never prepared, is damaged, or is no database at all" do
      was = ActiveRecord::Base.connection_db_config.configuration_hash
      Dir.mktmpdir do |folder|
        good = "#{folder}/good.sqlite3"
        ActiveRecord::Base.establish_connection(**was, database: good)
        ActiveRecord::MigrationContext.new(File.expand_path("../../db/migrate", __dir__)).migrate
        20.times { Manuscript.bring_in(package(p(r("x" * 3000))), filename: "x.docx") }
        ActiveRecord::Base.connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        ActiveRecord::Base.remove_connection
        bytes = File.binread(good)
        said = {"never prepared" => "", "no database" => "This is a letter.\n" * 400,
                "damaged" => bytes[0, 8192] + ("\xAB".b * (bytes.bytesize - 8192))}.map do |words, content|
          path = "#{folder}/#{words}.sqlite3"
          File.binwrite(path, content)
          ActiveRecord::Base.establish_connection(**was, database: path)
          get "/"
          [words, last_response.status, last_response.body.include?(words)]
        ensure
          ActiveRecord::Base.remove_connection
        end
        expect(said).to eq [["never prepared", 503, true], ["no database", 503, true], ["damaged", 503, true]]
      end
    ensure
      ActiveRecord::Base.establish_connection(was)
    end
  end

  describe "the secret of the session cookie" do
    it "is made once, made anew when it is empty or half-written, and written whole" do
      Dir.mktmpdir do |folder|
        path = "#{folder}/secret"
        first = Secret.at(path)
        expect([first.size, Secret.at(path), File.stat(path).mode & 0o777]).to eq [128, first, 0o600]
        ["", "abc", "x" * 128].each do |broken|
          File.write(path, broken)
          made = Secret.at(path)
          expect([made.size, Secret.at(path)]).to eq [128, made]
        end
        expect(Dir.children(folder)).to eq ["secret"]
      end
    end

    it "lasts for this run where none can be kept" do
      expect { expect(Secret.at("/no/such/folder/secret").size).to eq 128 }.to output(/can't be written/).to_stderr
    end
  end
end
