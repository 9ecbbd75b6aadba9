# frozen_string_literal: true

# What is worked out beside the requests: files that came, conversions, pages.
RSpec.describe "work beside the requests", :web do
  before(:all) { WebApp.boot }
  before do
    WebApp.clear
    extend Rack::Test::Methods
  end

  def app = Web

  let(:bytes) { package(p(r("Some words of it.")) * 3) }

  def token
    get "/"
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  # As people run it: helpers and the paging worker are there.
  def beside
    Paging.inline = Helpers.inline = false
    yield
  ensure
    Paging.inline = Helpers.inline = true
  end

  def soon(seconds = 15)
    (seconds * 20).times { (found = yield) ? (return found) : sleep(0.05) }
    nil
  end

  describe "an image that a browser does not draw" do
    let(:tiff) { Vips::Image.black(30, 20).cast("uchar").write_to_buffer(".tif") }

    before { [Pictures::KEPT, Pictures::KNOWN].each(&:clear) }

    it "is made into one that it does by a helper, once" do
      asked = 0
      allow(Pictures::HELPERS).to receive(:ask).and_wrap_original do |ask, *rest, **more|
        asked += 1
        ask.call(*rest, **more)
      end
      beside { expect(Pictures.png(tiff)).to start_with("\x89PNG".b) }
      expect([Pictures.drawn?(tiff), asked, Pictures.png("\xD7\xCD".b), Pictures.drawn?("none")])
        .to eq [true, 1, nil, false]
    end

    it "is not waited for twice where it took too long, and asked for again where others were before it" do
      allow(Pictures::HELPERS).to receive(:ask).and_raise(Helpers::Busy, "Others wait.")
      expect([Pictures.drawn?(tiff), Pictures.png(tiff)]).to eq [false, nil]
      allow(Pictures::HELPERS).to receive(:ask).and_raise(Helper::Overdue, "It took too long.")
      expect([Pictures.drawn?(tiff), Pictures.png(tiff), Pictures.png(tiff)]).to eq [false, nil, nil]
      expect(Pictures::HELPERS).to have_received(:ask).exactly(3).times
    end
  end

  describe "a helper" do
    let(:helper) { Helper.new }

    after { helper.stop }

    it "answers as the task itself does" do
      expect(helper.ask(:weigh, bytes, "a b.docx", "ravelmouth-thesis", within: 20))
        .to eq Tasks.weigh(bytes, "a b.docx", "ravelmouth-thesis")
      expect(helper.ask(:convert, bytes, "a.docx", nil, "odt", within: 20).bytes)
        .to eq Tasks.convert(bytes, "a.docx", nil, "odt").bytes
    end

    it "says how far it is, page by page of a PDF" do
      told = []
      long = package((p(r("Words.")) + p('<w:r><w:br w:type="page"/></w:r>')) * 3)
      helper.ask(:convert, long, "a.docx", nil, "pdf", within: 20) { |*how_far| told << how_far }
      expect([told.size > 2, told]).to eq [true, (1..told.size).map { |page| [page, told.size] }]
    end

    it "raises what the task raises, in its words, and goes on" do
      expect { helper.ask(:weigh, "no file", "a.docx", "ravelmouth-thesis", within: 20) }
        .to raise_error(Norvel::UnreadableFile, /\.\z/)
      expect(helper.ask(:weigh, "words", "a.txt", nil, within: 20)).to eq(text: true, title: "a", words: 1)
    end

    it "gives up what takes too long or too much, and begins anew" do
      expect { helper.ask(:weigh, bytes, "a.docx", "ravelmouth-thesis", within: 0.001) }
        .to raise_error(Helper::Overdue, /longer than/)
      helper.ask(:weigh, "words", "a.txt", nil, within: 20)
      Process.kill(:KILL, helper.instance_variable_get(:@process)) # as the system does with what takes too much
      expect { helper.ask(:weigh, bytes, "a.docx", "ravelmouth-thesis", within: 20) }
        .to raise_error(Helper::Exhausted, /more memory/)
      expect(helper.ask(:weigh, "words", "a.txt", nil, within: 20)).to include(words: 1)
    end
  end

  it "refuse in a sentence when too many wait for the same" do
    beside do
      helpers = Helpers.new(most: 1, waiting: 0)
      first = Thread.new { helpers.ask(:weigh, bytes, "a.docx", "ravelmouth-thesis") }
      soon { helpers.instance_variable_get(:@room).size == 1 }
      expect { helpers.ask(:weigh, bytes, "a.docx", "ravelmouth-thesis") }.to raise_error(Helpers::Busy, /try again/)
      expect(first.value).to include(paragraphs: 3)
    end
  end

  describe "a file that came" do
    it "becomes a document, a text, or a sentence, while its request waits" do
      beside do
        known = token
        post "/manuscripts", {authenticity_token: known,
          file: Rack::Test::UploadedFile.new(StringIO.new(bytes), original_filename: "a.docx")}
        expect([last_response.status, last_response["location"]]).to match [303, %r{/manuscripts/\d+/galley}]
        post "/manuscripts", {authenticity_token: known,
          file: Rack::Test::UploadedFile.new(StringIO.new("# Words"), original_filename: "a.md")}
        expect(last_response["location"]).to match(%r{/texts/\d+})
        post "/manuscripts", {authenticity_token: known,
          file: Rack::Test::UploadedFile.new(StringIO.new("none"), original_filename: "b.docx")}
        expect([last_response.status, last_response.body]).to match [422, /b\.docx was not taken in/]
        expect([Manuscript.count, LooseText.count, Arrival.count, Original.count]).to eq [1, 1, 0, 1]
      end
    end

    it "waits on the shelf and on a page of its own when others wait already" do
      beside do
        stub_const("Intake::WAITERS", 0)
        post "/manuscripts", {authenticity_token: token,
          file: Rack::Test::UploadedFile.new(StringIO.new(bytes), original_filename: "a.docx")}
        place = URI(last_response["location"]).path
        expect(place).to match(%r{\A/arrivals/\d+\z})
        expect(soon { get(place) && last_response.redirect? }).to be true
        expect(last_response["location"]).to match(%r{/manuscripts/\d+/galley})
      end
    end

    it "that can't be read says so on the shelf until it is removed" do
      arrival = Arrival.keep("none", filename: "b.docx")
      arrival.fail("It is no document.")
      get "/"
      expect(last_response.body)
        .to include("b.docx was not taken in")
        .or match(/b\.docx<\/strong> was not taken in|<strong>b\.docx was not taken in/)
      get "/arrivals/#{arrival.id}"
      expect(last_response.body).to include("It is no document.")
      post "/arrivals/#{arrival.id}/discard", {authenticity_token: token}
      expect([Arrival.count, Original.count]).to eq [0, 0]
    end

    it "says how many are read before it, and too many are refused" do
      list = Array.new(3) { |n| Arrival.keep(bytes, filename: "#{n}.docx") }
      get "/arrivals/#{list.last.id}"
      expect(last_response.body).to include("Waiting: 2 files before it.", 'http-equiv="refresh"')
      stub_const("Arrival::MOST", 3)
      post "/manuscripts", {authenticity_token: token,
        file: Rack::Test::UploadedFile.new(StringIO.new(bytes), original_filename: "a.docx")}
      expect([last_response.status, last_response.body]).to match [422, /3 files are waiting/]
    end

    it "is not read at all where it is larger than any file may be" do
      read = false
      allow(Door).to receive(:open).and_wrap_original { |own, params| (read = params.key?("file")) || own.call(params) }
      stub_const("UploadLimit::MOST", 1_000)
      post "/manuscripts", {authenticity_token: "x",
        file: Rack::Test::UploadedFile.new(StringIO.new("a" * 5_000), original_filename: "a.docx")}
      expect([last_response.status, last_response.body, read]).to match [413, /larger than 100 MB/, false]
    end
  end

  describe "turns" do
    it "keeps lanes for long documents and short ones, and lets pass what computes nothing" do
      short = Manuscript.bring_in(bytes, filename: "a.docx")
      long = Manuscript.bring_in(bytes, filename: "b.docx").tap { |one| one.update_columns(paragraphs: 5_000) }
      going = Queue.new
      turns = Turns.new(->(env) { (env["slow"] && going.pop) || [200, {}, [env["PATH_INFO"]]] })
      ask = ->(path, **env) {
        turns.call({"PATH_INFO" => path, "REQUEST_METHOD" => "GET", **env.transform_keys(&:to_s)})
          .first
      }
      slow = Array.new(3) { Thread.new { ask["/manuscripts/#{long.id}/plan", slow: true] } }
      soon { going.num_waiting == 2 }
      quick = ["/norvel.css", "/", "/manuscripts/#{short.id}/galley", "/manuscripts/#{long.id}/plan/progress",
        "/manuscripts/#{long.id}/original"]
      expect(quick.map { |path| Thread.new { ask[path] }.join(5)&.value }).to all eq 200
      expect(Thread.new { ask["/manuscripts/#{long.id}/galley"] }.join(0.1)).to be_nil
      4.times { going << [200, {}, []] }
      expect(slow.map { |thread| thread.join(5)&.value }).to all eq 200
    end

    it "does not answer who has gone away, but does what was to be changed" do
      here, there = UNIXSocket.pair
      there.close
      answered = []
      turns = Turns.new(->(env) { (answered << env["REQUEST_METHOD"]) && [200, {}, []] })
      %w[GET POST].each { |verb|
        turns.call("PATH_INFO" => "/manuscripts/1/galley", "REQUEST_METHOD" => verb,
          "puma.socket" => here)
      }
      expect(answered).to eq ["POST"]
    end
  end

  describe "paging" do
    let!(:manuscript) { Manuscript.bring_in(bytes, filename: "m.docx") }

    it "says what went wrong, and works on, when pages end in a fault of any kind" do
      beside do
        allow(Norvel::Layout).to receive(:of).and_raise(NoMemoryError)
        expect(Desk.pages_now(manuscript)).to be_nil
        expect(Desk.no_pages(manuscript)).to match(/NoMemoryError/)
        allow(Norvel::Layout).to receive(:of).and_call_original
        other = Manuscript.bring_in(bytes, filename: "o.docx")
        expect(Desk.pages_now(other).sheets.size).to eq 1
      end
    end

    it "begins anew when its worker was ended in the middle of a document" do
      beside do
        begun = Queue.new
        allow(Norvel::Layout).to receive(:of) { (begun << Thread.current) && sleep }
        Desk.pages(manuscript)
        worker = begun.pop
        worker.kill.join
        allow(Norvel::Layout).to receive(:of).and_call_original
        expect(Desk.pages_now(manuscript).sheets.size).to eq 1
      end
    end

    it "keeps what was typed where pages take too long" do
      beside do
        stub_const("Paging::PATIENCE", 0.05)
        allow(Norvel::Layout).to receive(:of) { sleep 0.5 }
        known = token
        post "/manuscripts/#{manuscript.id}/sheets/heads",
          {authenticity_token: known, version: 0, header_middle: "Typed by hand"}
        expect([last_response.status, last_response.body])
          .to match [422, /Pages are still being worked out.*Typed by hand/m]
        header "HX-Request", "true"
        post "/manuscripts/#{manuscript.id}/sheets/1/setup/ripple", {authenticity_token: known, version: 0}
        expect([last_response.status, last_response.body]).to match [422, /\A<div class="complaint".*Pages are still/m]
        sleep 0.6
      end
    end

    it "waits for pages where something is set on them" do
      beside do
        post "/manuscripts/#{manuscript.id}/sheets/heads",
          {authenticity_token: token, version: 0, matter: 0, header_middle: "Typed by hand"}
        expect([last_response.status, last_response["location"]]).to match [303, %r{sheets/heads}]
        expect(Manuscript.find(manuscript.id).document.stories.map(&:text)).to include("Typed by hand")
      end
    end
  end
end
