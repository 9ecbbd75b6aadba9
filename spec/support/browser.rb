# frozen_string_literal: true

# A real browser, headless, that asks nothing of the outside.
module Browser
  # The same engine twice: the first has no window to keep, and takes a fifth less of the processor. It is told to fit
  # letters to pixels as the other does.
  BINARIES = %w[/usr/lib/chromium/chromium-headless-shell /usr/bin/chromium].freeze
  FLAGS = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
    --disable-component-update --disable-sync --disable-dev-shm-usage --hide-scrollbars
    --font-render-hinting=slight --window-size=1280,800].freeze

  # Seconds that a busy machine may take for what is sure to come: a script's answer, a whole page judged by axe.
  PATIENCE = 180

  # A node may go while the browser is asked about it, which newer ones tell as an error of no kind.
  module AskingAgain
    def invalid_element_errors
      @invalid_element_errors ||= [*super, Selenium::WebDriver::Error::UnknownError]
    end
  end

  def self.boot
    return if @booted
    @booted = true
    WebApp.boot
    require "capybara/rspec"
    require "selenium-webdriver"
    require "axe-rspec"
    Capybara.register_driver(:chromium) { |app| driver(app) }
    Capybara.app = Web
    Capybara.server = :puma, {Silent: true, Threads: "1:4"}
    Capybara.default_driver = Capybara.javascript_driver = :chromium
    Capybara.default_max_wait_time = 20
    Capybara.default_retry_interval = 0.05 # seconds; asked more often, the page has less of the processor
    Capybara.enable_aria_label = true
    Axe::Configuration.instance.legacy_mode = true # the other mode gives an empty page one second to load
    Axe::Configuration.instance.skip_iframes = true
  end

  def self.driver(app)
    options = Selenium::WebDriver::Chrome::Options.new(binary: BINARIES.find { |path| File.exist?(path) }, args: FLAGS)
    options.add_preference("download.default_directory", downloads) # but for the first, which the path below is for
    service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
    driver = Capybara::Selenium::Driver.new(app, browser: :chrome, options:, service:, timeout: PATIENCE)
    driver.browser.manage.timeouts.script_timeout = PATIENCE
    driver.browser.download_path = downloads
    driver.extend(AskingAgain)
  end
  private_class_method :driver

  # What the block answers once that is +wanted+, or at the latest: for what no matcher of Capybara waits for.
  def self.settled(wanted)
    latest = Process.clock_gettime(Process::CLOCK_MONOTONIC) + Capybara.default_max_wait_time
    sleep 0.05 until (seen = yield) == wanted || Process.clock_gettime(Process::CLOCK_MONOTONIC) > latest
    seen
  end

  def self.downloads
    @downloads ||= Dir.mktmpdir("norvel-downloads")
  end
end
