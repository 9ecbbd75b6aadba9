# frozen_string_literal: true

# A real browser, headless, that asks nothing of the outside.
module Browser
  FLAGS = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
    --disable-component-update --disable-sync --disable-dev-shm-usage --hide-scrollbars --window-size=1280,800].freeze

  # Seconds that a busy machine may take for what is sure to come: a script's answer, a whole page judged by axe.
  PATIENCE = 180

  def self.boot
    return if @booted
    @booted = true
    WebApp.boot
    require "capybara/rspec"
    require "selenium-webdriver"
    require "axe-rspec"
    Capybara.register_driver(:chromium) do |app|
      options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium",
        args: FLAGS + ["--user-data-dir=#{Dir.mktmpdir}"])
      options.add_preference("download.default_directory", downloads)
      service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      Capybara::Selenium::Driver.new(app, browser: :chrome, options:, service:, timeout: PATIENCE)
        .tap { |driver| driver.browser.manage.timeouts.script_timeout = PATIENCE }
    end
    Capybara.app = Web
    Capybara.server = :puma, {Silent: true, Threads: "1:4"}
    Capybara.default_driver = Capybara.javascript_driver = :chromium
    Capybara.default_max_wait_time = 20
    Capybara.enable_aria_label = true
    Axe::Configuration.instance.legacy_mode = true # the other mode gives an empty page one second to load
    Axe::Configuration.instance.skip_iframes = true
  end

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
