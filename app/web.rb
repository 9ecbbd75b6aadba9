# frozen_string_literal: true

# The web application: what stands before every request (limits, sessions, tokens), and the station that answers it.
module Web
  # In the order in which they are asked whether a request is theirs.
  STATIONS = [ShelfStation, TextStation, SurveyStation, StylesStation, TemplatesStation, GalleyStation, WordsStation,
    FindingsStation, GuidesStation, HelpStation, SheetSettingsStation, SheetsStation, HandoverStation,
    JoiningStation].freeze

  Rack::Attack.cache.store = ActiveSupport::Cache::MemoryStore.new
  unless Station::TEST
    Rack::Attack.throttle("files brought in", limit: 60, period: 60) do |request|
      request.ip if request.post? && request.path == "/manuscripts"
    end
  end

  APPLICATION = Rack::Builder.app do
    use UploadLimit
    use Turns
    use Rack::Attack
    # Cookies are not told apart by port: two instances on one host have names of their own.
    use Rack::Session::Cookie, key: "norvel-#{ENV.fetch("PORT", "4567").to_i}", same_site: :lax, httponly: true,
      secret: Secret.at(File.expand_path("../storage/secret", __dir__))
    use QuietSession
    use Rack::Protection::HttpOrigin, reaction: :report, report_key: "norvel.foreign", logging: false
    use Rack::Protection::AuthenticityToken, reaction: :report, report_key: "norvel.lost", logging: false
    use Rack::Protection::FrameOptions, frame_options: "DENY"
    use Rack::Protection::XSSHeader, nosniff: true
    run ->(env) { Web.station(env).call(env) }
  end

  module_function

  def call(env)
    APPLICATION.call(env)
  end

  # The station whose route fits, else the shelf, which also has the files of public/.
  def station(env)
    path = path(env)
    found = STATIONS.find { |station| station.serves?(env["REQUEST_METHOD"], path) } if path.valid_encoding?
    found || STATIONS.first
  end

  # The address that is asked for.
  def path(env)
    Rack::Utils.unescape_path(env["PATH_INFO"].to_s).force_encoding("UTF-8")
  end
end
