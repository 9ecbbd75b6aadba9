# frozen_string_literal: true

# What is larger than any file may be is not read at all: the page that says so is drawn without it.
class UploadLimit
  MOST = 110_000_000 # bytes

  def initialize(app)
    @app = app
  end

  def call(env)
    return @app.call(env) if env["CONTENT_LENGTH"].to_i <= MOST
    empty = {"rack.input" => StringIO.new, "CONTENT_LENGTH" => "0", "CONTENT_TYPE" => nil}
    @app.call(env.merge(empty, "norvel.too_large" => true))
  end
end
