# frozen_string_literal: true

# A stand-in of a formatting office that ships with Norvel: it takes a file as it would be handed in, reads it anew,
# holds it against the guide that the office publishes, and answers with a receipt or with what to put right. No file
# leaves this machine. What is handed in waits in a queue, beside the requests.
module Office
  # name: on its receipts; guide: that it publishes
  Place = Norvel::Value.define(:name, :guide)
  ALL = {
    "graduate" => Place.new(name: "Ravelmouth Graduate Office", guide: "ravelmouth-thesis"),
    "harbour" => Place.new(name: "Ravelmouth Harbour Authority", guide: "ravelmouth-house")
  }.freeze
  HELPERS = Helpers.new(most: 1, waiting: 200)
  QUEUE = Queue.new
  GUARD = Mutex.new

  module_function

  def take(submission)
    return look_at(submission.id) if Helpers.inline
    GUARD.synchronize { @thread = Thread.new { loop { look_at(QUEUE.pop) } } unless @thread&.alive? }
    QUEUE << submission.id
  end

  # Goes on with what was waiting when Norvel stopped.
  def resume
    Submission.waiting.each { |submission| take(submission) }
  rescue ActiveRecord::ActiveRecordError, SQLite3::Exception => error
    warn "norvel: #{Trouble.sentence(error)}"
  end

  # Answers it; what goes wrong is the answer too.
  def look_at(id)
    submission = Submission.find_by(id:) or return # taken away meanwhile
    submission.update!(answer: JSON.generate(answer(submission)))
  rescue => error
    said = error.is_a?(Norvel::Error) ? error.message : "The office could not look at it (#{error.class})."
    submission&.update(fault: said[0, 250])
  ensure
    ActiveRecord::Base.connection_handler.clear_active_connections! unless Helpers.inline
  end

  def answer(submission)
    manuscript = submission.manuscript
    raise Norvel::Refused, "The document was changed before the office looked at it: hand it in again." unless
      manuscript.lock_version == submission.version
    HELPERS.ask(:judge, manuscript.handed_over.bytes, manuscript.filename, ALL.fetch(submission.office).guide)
  end
  private_class_method :look_at, :answer
end
