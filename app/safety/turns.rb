# frozen_string_literal: true

# Work on documents takes turns: Ruby runs one thread at a time, and many that compute at once would keep what is quick
# (a stylesheet, a script) waiting for each of them. Those who wait here cost nothing.
class Turns
  AT_ONCE = 2
  COMPUTING = %r{\A/(?:manuscripts|templates|new)\b}

  def initialize(app)
    @app = app
    @seats = SizedQueue.new(AT_ONCE)
  end

  def call(env)
    return @app.call(env) unless COMPUTING.match?(env["PATH_INFO"])
    @seats << true
    begin
      @app.call(env)
    ensure
      @seats.pop
    end
  end
end
