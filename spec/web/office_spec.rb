# frozen_string_literal: true

WebApp.boot

# The trial office, a stand-in: what is handed in is read anew and answered.
RSpec.describe "the trial office" do
  include PageForms

  before { WebApp.clear }

  let(:manuscript) { Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx", guide: "apa-7") }

  it "says that it is a stand-in, and returns what its own guide does not let pass, with page and line" do
    get "#{at}/handover"
    expect(page).to include("A trial submission", "No file leaves this", "Ravelmouth Harbour Authority")
    send_form "submissions", office: "harbour"
    one = now.submissions.first
    expect([one.number, one.answered[:guide]]).to match [/\AT-\d{4}-\d{4}\z/, /Harbour Authority/]
    expect(one.answered[:digest]).to eq "sha256:#{Digest::SHA256.hexdigest(Demo::Handbook.new.bytes)}"
    get "#{at}/submissions/#{one.id}"
    expect(page).to include("a stand-in", "What to put right", one.answered[:digest]).and match(/returned: \d+ places/)
    expect(page).to match(/page \d+, line \d+/)
    get "#{at}/submissions"
    expect(page).to include(one.number)
    expect(page).not_to include("hx-trigger")
  end

  it "gives a receipt for what meets its guide" do
    place = Office::Place.new(name: "Office", guide: "norvel_guide: 1\nname: Little\nclean: {unused_styles: allow}\n")
    stub_const("Office::ALL", {"graduate" => place})
    send_form "submissions", office: "graduate"
    get "#{at}/submissions/#{now.submissions.first.id}"
    expect(page).to include("accepted", "Little", "Digest of the file")
    send_form "submissions/#{now.submissions.first.id}/away"
    expect(now.submissions).to be_empty
  end

  it "refuses another office, an old page, and more than it keeps; what it can't look at it says" do
    send_form "submissions", office: "moon"
    expect([last_response.status, page]).to match [422, /no such office/]
    send_form "submissions", office: "harbour", version: 99
    expect([last_response.status, now.submissions.size]).to eq [409, 0]
    stub_const("Submission::MOST", 1)
    allow(Tasks).to receive(:judge).and_raise(Norvel::UnreadableFile, "It can't be read.")
    send_form "submissions", office: "harbour"
    get "#{at}/submissions/#{now.submissions.first.id}"
    expect(page).to include("could not be looked at", "It can&#39;t be read.")
    send_form "submissions", office: "harbour"
    expect([last_response.status, page]).to match [422, /was handed in 1 times/]
    get "#{at}/submissions/99999"
    expect(last_response.status).to eq 404
  end

  it "goes on with what was waiting, unless the document has changed since" do
    waiting = Submission.of(now, "harbour")
    get "#{at}/handover"
    expect(page).to include("is being looked at", 'hx-trigger="every 1s"')
    now.perform(Norvel::Edits::RemoveBlankParagraphs.new(:all), version: 0)
    Office.resume
    expect(waiting.reload.fault).to include("was changed before the office looked at it")
  end

  it "answers several at once, beside the requests" do
    others = Array.new(3) { |n| Manuscript.bring_in(Demo::Notice.new.bytes, filename: "n#{n}.docx") }
    Helpers.inline = false
    list = others.map { |one| Submission.of(one, "graduate").tap { |made| Office.take(made) } }
    200.times { (list.any? { |one| one.reload.waiting? }) ? sleep(0.1) : break }
    expect(list.map { |one| [one.reload.fault, one.answered && one.answered[:meets]] }.uniq).to eq [[nil, false]]
  ensure
    Helpers.inline = true
  end
end
