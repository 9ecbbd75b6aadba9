# frozen_string_literal: true

# Sends the session back only where it has changed. Each answer would carry it otherwise, as it was when the request
# began: an image that comes late would take back what was chosen, or the token drawn, meanwhile.
class QuietSession
  def initialize(app)
    @app = app
  end

  def call(env)
    before = env["rack.session"].to_hash
    answer = @app.call(env)
    env["rack.session.options"][:skip] = env["rack.session"].to_hash == before
    answer
  end
end
