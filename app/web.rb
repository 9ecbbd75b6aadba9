# frozen_string_literal: true

# The web application: frame, safety and errors. Each station's routes are a file in routes/.
class Web < Sinatra::Base
  UPLOAD_LIMIT = 110_000_000

  set :root, __dir__
  set :views, File.join(__dir__, "views")
  set :public_folder, File.expand_path("../public", __dir__)
  set :static_cache_control, [:public, max_age: 3600]
  set :database_file, File.expand_path("../config/database.yml", __dir__)
  set :bind, "127.0.0.1"
  set :show_exceptions, false
  set :raise_errors, ENV["RACK_ENV"] == "test"
  set :dump_errors, ENV["RACK_ENV"] != "test"
  set :host_authorization, permitted_hosts: ["127.0.0.1", "localhost", "[::1]", "::1", "example.org"].first((ENV["RACK_ENV"] == "test") ? 5 : 4)
  set :sessions, false
  set :protection, false
  set :erb, escape_html: true, trim: "-"
  disable :method_override

  register Sinatra::ActiveRecordExtension

  # The secret of the session cookie: made once, kept beside the database.
  def self.secret
    path = File.expand_path("../storage/secret", __dir__)
    File.write(path, SecureRandom.hex(64), perm: 0o600) unless File.exist?(path)
    File.read(path)
  end

  use Rack::Attack
  Rack::Attack.throttle("files brought in", limit: 60, period: 60) { |request| request.ip if request.post? && request.path == "/manuscripts" } unless ENV["RACK_ENV"] == "test"
  Rack::Attack.cache.store = Class.new { # counts in memory: one process, one person
    def initialize = (@counts = {})
    def read(key) = @counts[key]
    def write(key, value, **) = (@counts.clear if @counts.size > 1000) || @counts[key] = value
    def increment(key, amount = 1, **) = @counts[key] = (@counts[key] || 0) + amount
    def delete(key) = @counts.delete(key)
  }.new
  use Rack::Session::Cookie, key: "norvel", secret:, same_site: :lax, httponly: true
  use Rack::Protection::AuthenticityToken
  use Rack::Protection::FrameOptions, frame_options: "DENY"
  use Rack::Protection::XSSHeader, nosniff: true

  helpers Page, Strokes, Gauge, GalleyRow, LookSheet, Spine, SurveyView, StyleLetters, StyleView, SpecimenView, ListView, PageSetView, StyleChanges

  register Shelf, SurveyRoutes, StyleRoutes, TemplateRoutes, GalleyRoutes, WordsRoutes, FindingRoutes, HandoverRoutes

  before do
    headers "Content-Security-Policy" => "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
      "Referrer-Policy" => "same-origin", "Cache-Control" => "no-store"
    halt 413, page_of_error("The file is larger than 100 MB, which no text document needs to be.") if request.content_length.to_i > UPLOAD_LIMIT
  end

  after { ActiveRecord::Base.connection_handler.clear_active_connections! unless ENV["RACK_ENV"] == "test" }

  error Manuscript::Stale do
    complain 409, env["sinatra.error"].message
  end

  error Norvel::Error do
    complain 422, env["sinatra.error"].message
  end

  error ActiveRecord::RecordNotFound do
    complain 404, "There is no such document on the shelf. It may have been taken off in another window."
  end

  not_found { complain 404, "There is no page at this address." }

  error do
    complain 500, "Norvel made a mistake of its own here. Your document is as it was at the last change."
  end

  helpers do
    # A fragment for htmx, a page for everybody else; both say it in words that stay.
    def complain(status, message)
      status status
      return erb(:_complaint, layout: false, locals: {message:}) if request.env["HTTP_HX_REQUEST"]
      page_of_error(message)
    end

    def page_of_error(message)
      @title = "Something is not right"
      erb :error, locals: {message:}
    end
  end
end
