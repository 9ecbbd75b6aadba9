# frozen_string_literal: true

# Work on documents takes turns: Ruby runs one thread at a time, and many that compute at once would keep what is quick
# waiting for each of them. Long documents and short ones wait in lanes of their own; what computes nothing passes. Who
# has gone away meanwhile is not answered any more. Those who wait here cost nothing.
class Turns
  LONG = 600 # paragraphs
  LANES = {long: 2, short: 3}.freeze # {lane => requests at a time}
  DOCUMENT = %r{\A/manuscripts/(\d+)(?:/|\z)}
  COMPUTING = %r{\A/(?:templates|new|texts)\b}
  TOGETHER = %r{\A/join\z} # several documents at once
  # What computes nothing, and what Helpers do, who have a queue of their own.
  PASSING = %r{/(?:plan/progress|original|text|discard|download(?:/progress)?|parts|handover/\w+)\z}
  NOBODY = [499, {}, []].freeze

  def initialize(app)
    @app = app
    @seats = LANES.transform_values { |most| SizedQueue.new(most) }
  end

  def call(env)
    lane = lane(env["PATH_INFO"]) or return @app.call(env)
    seats = @seats.fetch(lane)
    seats << true
    begin
      gone?(env) ? NOBODY : @app.call(env)
    ensure
      seats.pop
    end
  end

  private

  def lane(path)
    return if PASSING.match?(path)
    return :long if TOGETHER.match?(path)
    return (:short if COMPUTING.match?(path)) unless (id = path[DOCUMENT, 1])
    (paragraphs(id) > LONG) ? :long : :short
  end

  def paragraphs(id)
    Manuscript.where(id: id.to_i).pick(:paragraphs).to_i
  rescue ActiveRecord::ActiveRecordError, SQLite3::Exception, ActiveModel::RangeError
    0 # the route will say what is wrong
  end

  # Has the browser closed the connection, so that nobody reads what would be answered? What changes something is done.
  def gone?(env)
    return false unless env["REQUEST_METHOD"] == "GET" && (socket = env["puma.socket"])
    socket.to_io.recv_nonblock(1, Socket::MSG_PEEK | Socket::MSG_DONTWAIT, exception: false) == ""
  rescue SystemCallError, IOError, NoMethodError
    false
  end
end
