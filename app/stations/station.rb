# frozen_string_literal: true

# What every station is: a small application of its own routes, the modules its templates call, and its templates, which
# stand in its folder or in shared/. Web gives it the requests that its routes fit.
class Station < Sinatra::Base
  TEST = ENV["RACK_ENV"] == "test"
  HOSTS = ["127.0.0.1", "localhost", "[::1]", "::1", *("example.org" if TEST)].freeze
  POLICY = {
    "default-src" => "'none'", "script-src" => "'self'", "style-src" => "'self'", "img-src" => "'self' data:",
    "font-src" => "'self'",
    "connect-src" => "'self'", "form-action" => "'self'", "base-uri" => "'none'", "frame-ancestors" => "'none'"
  }.map { |kind, from| "#{kind} #{from}" }.join("; ").freeze
  OUR_OWN_FAULT = "Norvel made a mistake of its own here. Your document is as it was at the last change."
  NO_PAGE = "There is no page at this address."
  NO_DOCUMENT = "There is no such document on the shelf. It may have been taken off in another window."
  SHARED = File.join(__dir__, "shared")

  set :public_folder, File.expand_path("../../public", __dir__)
  set :static_cache_control, [:public, max_age: 3600]
  set :database_file, File.expand_path("../../config/database.yml", __dir__)
  set :show_exceptions, false
  set :raise_errors, TEST
  set :dump_errors, !TEST
  set :host_authorization, permitted_hosts: HOSTS
  set :sessions, false
  set :protection, false
  set :erb, escape_html: true, trim: "-"
  disable :method_override

  # A report that stands alone, with the style that it brings.
  def paper(html)
    headers "Content-Security-Policy" => POLICY.sub("style-src 'self'", "style-src #{Norvel::Report::Paper::DIGEST}")
    content_type "text/html", charset: "utf-8"
    html
  end

  register Sinatra::ActiveRecordExtension
  helpers Page, Units, Against, Complaints, SealView, Spine, Strokes, StandingView

  # Its folder: that of the file that defines it.
  def self.inherited(station)
    super
    folder = File.dirname(caller_locations(1, 1).first.absolute_path)
    station.set :views, folder
    station.set :root, folder
  end

  # Does one of its routes fit a request?
  def self.serves?(verb, path)
    routes.fetch(verb, []).any? { |pattern, _, _| pattern.match(path) }
  end

  before do
    headers "Content-Security-Policy" => POLICY, "Referrer-Policy" => "same-origin", "Cache-Control" => "no-store"
    halt 404, page_of_error(NO_PAGE) unless Web.path(env).valid_encoding?
    if env["norvel.too_large"]
      halt 413, page_of_error("The file is larger than 100 MB, which no text document needs to be.")
    end
    halt 403, page_of_error("This came from another site, so nothing was done.") if foreign?
    params.replace(Door.open(params))
    halt 403, lost_page if env["norvel.lost"]
  end

  after { ActiveRecord::Base.connection_handler.clear_active_connections! unless TEST }

  error(Door::Malformed) { complain 400, error_sentence }
  error(Sinatra::BadRequest) { complain 400, "What was sent can't be read: it is not what a page of Norvel sends." }
  error(Manuscript::Stale) { complain 409, error_sentence }
  error(Manuscript::Unopened) { complain 422, error_sentence, page: :stuck }
  error(Norvel::Error) { complain 422, error_sentence }
  error(ActiveRecord::RecordNotFound) { complain 404, NO_DOCUMENT }
  error(ActiveRecord::ActiveRecordError, SQLite3::Exception) { complain 503, Trouble.sentence(env["sinatra.error"]) }
  error(Errno::ENOSPC) { complain 503, Trouble::SENTENCES["FullException"] }
  error { complain 500, OUR_OWN_FAULT, page: :stuck }
  not_found { complain 404, NO_PAGE }

  private

  # A template of its own folder, else a shared one.
  def find_template(own, name, engine, &block)
    [own, SHARED].each { |folder| super(folder, name, engine, &block) }
  end
end
