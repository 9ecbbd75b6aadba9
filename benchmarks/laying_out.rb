# frozen_string_literal: true

# Lines and pages of 100,000 words, as ratios against groff and Chromium in the same run: cold, after a change of size,
# of spacing, of one paragraph; how it grows; what memory it takes.
ENV["RACK_ENV"] = "test"
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__), File.expand_path("../spec", __dir__))
require "bundler/setup"
require "open3"
require "tmpdir"
require "norvel"
require_relative "sample"
require_relative "timing"
require_relative "../spec/support/web"
require_relative "../spec/support/browser"
Browser.boot

# The runs, one after the other.
class LayingOut
  include Timing

  COLD = <<~RUBY
    require "bundler/setup"; require "norvel"
    document = Norvel::Formats.read(File.binread(ARGV[0]), name: "s.docx")
    from = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    pages = Norvel::Layout.of(document)
    puts Process.clock_gettime(Process::CLOCK_MONOTONIC) - from, pages.sheets.size, File.read("/proc/self/status")[/VmHWM:\\s+(\\d+)/, 1]
  RUBY

  def initialize
    @folder = Dir.mktmpdir
    @file = Sample.write("#{@folder}/s.docx")
    @document = Norvel::Formats.read(File.binread(@file), name: "s.docx")
    @body = @document.styles.called("Body Text").id
  end

  def run
    cold, sheets, memory = in_processes(@file)
    puts "#{sheets.to_i} pages of #{@document.word_count} words"
    browser = in_browser
    tell "cold, against groff's device-independent output (asked: 2)", cold, groff
    tell "cold, against Chromium's warm untagged print (asked: 0.5)", cold, browser[:print]
    Norvel::Layout.of(@document)
    tell "size of body text, against Chromium's own (asked: 0.5)", changed({size: 12.5}, {size: 13.0}), browser[:size]
    tell "spacing of body text, against Chromium's own (asked: 0.1)", changed({space_after: 3.0}, {space_after: 6.0}),
      browser[:spacing]
    puts format("one paragraph: %.1f ms (asked: 5)", one_paragraph * 1000)
    puts "memory of a process that read and laid it out: #{memory.to_i / 1024} MB (asked: 250 at 300 pages)"
    grow
  end

  private

  def tell(words, ours, theirs)
    puts format("%-66s %.2f  (%d ms of %d ms)", words, ours / theirs, ours * 1000, theirs * 1000)
  end

  # The median of five processes: [seconds, pages, kilobytes]
  def in_processes(file)
    runs = Array.new(5) do
      out, = Open3.capture2("ruby", "-I", File.expand_path("../lib", __dir__), "-e", COLD, file)
      out.split.map(&:to_f)
    end
    runs.sort[2]
  end

  def groff
    text = @document.paragraphs.map { |one| ".sp 6p\n.ti 36p\n#{one.text.tr("\t\n", "  ").strip}" }.join("\n")
    File.write("#{@folder}/s.tr", ".ll 438p\n.ps 11\n.vs 14p\n#{text}\n")
    median(5) { system("groff", "-Z", "-Tps", "#{@folder}/s.tr", out: File::NULL) }
  end

  # {print:, size:, spacing:} in seconds: the same text and looks as HTML.
  def in_browser
    File.binwrite("#{@folder}/s.html", Norvel::Formats.write(@document, as: "html").bytes)
    session = Capybara::Session.new(:chromium)
    session.visit("file://#{@folder}/s.html")
    print = median(4) { session.driver.browser.execute_cdp("Page.printToPDF", generateTaggedPDF: false) }
    own = lambda do |css|
      session.evaluate_async_script(<<~JS, css) / 1000.0
        const [css, done] = arguments, times = [];
        for (let i = 0; i < 5; i++) {
          const style = document.createElement("style"); style.textContent = css.replace("N", 10 + i);
          const from = performance.now(); document.head.append(style); document.body.offsetHeight; times.push(performance.now() - from);
          style.remove(); document.body.offsetHeight;
        }
        done(times.sort((a, b) => a - b)[2]);
      JS
    end
    {print:, size: own["p { font-size: Npt !important } p * { font-size: Npt !important }"],
     spacing: own["p { margin-bottom: Npt !important }"]}
  end

  def changed(*values)
    documents = Array.new(6) do |n|
      Norvel::Edits::ChangeStyle.new(@body, values[n % values.size].transform_values { |value| value + (n * 0.5) })
        .change(@document)
    end
    median(6) { |n| Norvel::Layout.of(documents[n], known: Norvel::Layout.pages(@document)) }
  end

  def one_paragraph
    documents = Array.new(9) do |n|
      paragraph = @document.paragraphs[(n * 250) + 11]
      run = paragraph.runs.first
      @document.replace([paragraph.with(runs: [run.with(text: run.text.sub(/\w+/, "breakwater")),
        *paragraph.runs.drop(1)].freeze)])
    end
    median(9) { |n| Norvel::Layout.of(documents[n], known: Norvel::Layout.pages(@document)) }
  end

  # How time grows from 100 pages to 1,500: the exponent.
  def grow
    sizes = [750, 11_200].map do |paragraphs|
      seconds, pages, = in_processes(Sample.write("#{@folder}/#{paragraphs}.docx", paragraphs:))
      [pages, seconds]
    end
    exponent = Math.log(sizes[1][1] / sizes[0][1]) / Math.log(sizes[1][0] / sizes[0][0])
    puts format("from %d to %d pages: exponent %.2f (asked: 1.1)", sizes[0][0], sizes[1][0], exponent)
  end
end

LayingOut.new.run
