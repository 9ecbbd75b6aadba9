# frozen_string_literal: true

# The web application: frame, safety and errors. Each station's routes are a file in routes/.
class Web < Sinatra::Base
  TEST = ENV["RACK_ENV"] == "test"
  HOSTS = ["127.0.0.1", "localhost", "[::1]", "::1", *("example.org" if TEST)].freeze
  POLICY = {
    "default-src" => "'none'", "script-src" => "'self'", "style-src" => "'self'", "img-src" => "'self' data:",
    "font-src" => "'self'",
    "connect-src" => "'self'", "form-action" => "'self'", "base-uri" => "'none'", "frame-ancestors" => "'none'"
  }.map { |kind, from| "#{kind} #{from}" }.join("; ").freeze
  OUR_OWN_FAULT = "Norvel made a mistake of its own here. Your document is as it was at the last change."

  set :root, __dir__
  set :views, File.join(__dir__, "views")
  set :public_folder, File.expand_path("../public", __dir__)
  set :static_cache_control, [:public, max_age: 3600]
  set :database_file, File.expand_path("../config/database.yml", __dir__)
  set :bind, "127.0.0.1"
  set :show_exceptions, false
  set :raise_errors, TEST
  set :dump_errors, !TEST
  set :host_authorization, permitted_hosts: HOSTS
  set :sessions, false
  set :protection, false
  set :erb, escape_html: true, trim: "-"
  disable :method_override

  register Sinatra::ActiveRecordExtension

  use UploadLimit
  use Turns
  use Rack::Attack
  Rack::Attack.cache.store = ActiveSupport::Cache::MemoryStore.new
  unless TEST
    Rack::Attack.throttle("files brought in", limit: 60, period: 60) do |request|
      request.ip if request.post? && request.path == "/manuscripts"
    end
  end
  # Cookies are not told apart by port: two instances on one host have names of their own.
  use Rack::Session::Cookie, key: "norvel-#{ENV.fetch("PORT", "4567").to_i}", same_site: :lax, httponly: true,
    secret: Secret.at(File.expand_path("../storage/secret", __dir__))
  use Rack::Protection::HttpOrigin, reaction: :report, report_key: "norvel.foreign", logging: false
  use Rack::Protection::AuthenticityToken, reaction: :report, report_key: "norvel.lost", logging: false
  use Rack::Protection::FrameOptions, frame_options: "DENY"
  use Rack::Protection::XSSHeader, nosniff: true

  helpers Page, Units, Against, Putting, Complaints, ShelfView, Spine, Strokes, Gauge, LookSheet, GalleyRow, BenchView,
    SealView, StyleLetters, SurveyView, OutlineView, ConsistencyView, StyleView, SpecimenView, ListView, PageSetView,
    StyleChanges, RippleView, FindingsView, PlanView, HandoverView, TextView, SheetStrokes, SheetsView, SheetAtSize,
    SheetGround, MattersView, SectionsView, HeadsView, ContentsView, CaptionsView, PartsView, SetupView, TriedView

  register Shelf, TextRoutes, SurveyRoutes, StyleRoutes, TemplateRoutes, GalleyRoutes, WordsRoutes, FindingRoutes,
    SettingRoutes, SheetRoutes, HandoverRoutes

  before do
    headers "Content-Security-Policy" => POLICY, "Referrer-Policy" => "same-origin", "Cache-Control" => "no-store"
    halt 404, page_of_error(NO_PAGE) unless Rack::Utils.unescape_path(request.path_info).force_encoding("UTF-8")
      .valid_encoding?
    if env["norvel.too_large"]
      halt 413, page_of_error("The file is larger than 100 MB, which no text document needs to be.")
    end
    halt 403, page_of_error("This came from another site, so nothing was done.") if foreign?
    params.replace(Door.open(params))
    halt 403, lost_page if env["norvel.lost"]
  end

  after { ActiveRecord::Base.connection_handler.clear_active_connections! unless TEST }

  NO_PAGE = "There is no page at this address."
  NO_DOCUMENT = "There is no such document on the shelf. It may have been taken off in another window."

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
end
