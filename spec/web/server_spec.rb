# frozen_string_literal: true

# Against the real server, as people run it.
RSpec.describe "the server" do
  # A text of some 100 pages, a little different each time.
  def long_text(number, paragraphs = 400)
    words = "the tide came in over the flats and the keeper of the gate wrote down the hour and the height in the " \
      "book of the harbour "
    package((1..paragraphs).map { |n| p(r("#{number}.#{n} #{words * 4}")) }.join)
  end

  # kill -9 at any moment loses nothing that was answered.
  it "has every answered change when it comes back from being killed" do
    Server.open do |server|
      expect(Dir.children(server.folder))
        .to include("s.sqlite3", "s.sqlite3.demo-loaded") # the sign stands beside its own database
      client = server.client
      answers = Array.new(5) do |n|
        client.post("/manuscripts/3/edits/style", {ids: (10 + n).to_s, style: "Heading1", version: n})
      end
      Thread.new { client.post("/manuscripts/3/edits/clear", {ids: "1-800", version: 5}) }.report_on_exception = false
      sleep 0.02
      server.kill
      server.start
      ledger = server.client.get("/manuscripts/3/ledger").body
      expect([answers.map(&:code).uniq, ledger.scan("in Heading 1</span>").size]).to eq [["303"], 5]
    end
  end

  # What was answered is kept: files that were waiting to be read are read by the next run.
  it "reads what had arrived when it was killed" do
    Server.open do |server|
      clients = Array.new(8) { server.client }
      answers = clients.each_with_index.map { |client, n| Thread.new { client.bring(long_text(n), "long #{n}.docx") } }
      answers.each { |thread| thread.report_on_exception = false }
      sleep 0.05 until answers.count { |thread| !thread.alive? } >= 4
      told = answers.each_index.reject { |n| answers[n].alive? } # the others may not have arrived
      server.kill
      server.start
      client = server.client
      shelf = nil
      1200.times { (shelf = client.get("/").body).match?(/Being read|Waiting: /) ? sleep(0.1) : break }
      expect(told.map { |n| answers[n].value.code }.uniq).to eq ["303"]
      expect(shelf.scan(/>long (\d)</).flatten.map(&:to_i)).to include(*told)
    end
  end

  # Floors for a small office that does everything at once.
  it "takes 20 long texts at once, and 200 changes of eight documents by eight people" do
    Server.open do |server|
      clients = Array.new(8) { server.client }
      uploads = Array.new(20) { |n| [n, long_text(n)] }.each_slice(3).zip(clients).flat_map do |texts, client|
        Thread.new { texts.map { |number, bytes| client.bring(bytes, "long #{number}.docx") } }
      end
      answers = uploads.flat_map(&:value)
      expect(answers.map(&:code).tally).to eq("303" => 20)
      ids = answers.first(8).map { |answer| clients.first.document_of(answer) }
      changes = ids.zip(clients).map do |id, client|
        Thread.new do
          Array.new(25) do |version|
            client.post("/manuscripts/#{id}/edits/case", {ids: (version + 1).to_s, case: "capitals", version:}).code
          end
        end
      end
      expect(changes.flat_map(&:value).tally).to eq("303" => 200)
    end
  end

  it "has a cookie of its own beside another on the same host, and they do not disturb each other" do
    Server.open do |one|
      Server.open do |other|
        first, second = one.client, other.client
        expect([first.cookie, second.cookie].map { |cookie| cookie[/\A[^=]+/] }.uniq.size).to eq 2
        both = [first, second].map(&:cookie).join("; ")
        [first, second].each { |client| client.instance_variable_set(:@cookie, both) }
        expect([first, second].map { |client|
          client.post("/manuscripts/1/edits/case",
            {ids: "1", case: "capitals", version: 0}).code
        }).to eq %w[303 303]
      end
    end
  end
end
