# frozen_string_literal: true

# What a person sees on 300 pages, in a real browser: from asking for the galley to its text on the screen, from the key
# to the row in its new style, from the button to 2,000 paragraphs in another style; and the longest frame while
# scrolling.
ENV["RACK_ENV"] = "test"
$LOAD_PATH.unshift(File.expand_path("../spec", __dir__))
require "bundler/setup"
require "tmpdir"
require_relative "../spec/support/web"
require_relative "../spec/support/browser"
Browser.boot
require_relative "sample"
require_relative "timing"
require "capybara/dsl"

# The session that measures.
class Measured
  include Capybara::DSL
  include Timing

  # From a key to a text on the page, by the page's own clock: the driver's waits are not counted.
  def by_the_page(key, selector, text)
    page.evaluate_async_script(<<~JS, key, selector, text) / 1000.0
      const [key, selector, text, done] = arguments, from = performance.now();
      document.body.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true }));
      const look = () => document.querySelector(selector)?.textContent.includes(text) ? done(performance.now() - from) : requestAnimationFrame(look);
      look();
    JS
  end

  def run
    manuscript = Manuscript.bring_in(File.binread(Sample.write("#{Dir.mktmpdir}/s.docx")), filename: "sample.docx")
    place = "/manuscripts/#{manuscript.id}/galley"
    visit place
    opening = median(5) { |n| visit("#{place}?at=#{(400 * n) + 10}") && find("#row-#{(400 * n) + 10}") }
    visit "#{place}?at=500"
    find("#bench h2", text: "Paragraph")
    one = Array.new(7) { |n| by_the_page(n.even? ? "2" : "0", "#row-500 .sname", n.even? ? "Heading 2" : "Body Text") }
      .sort[3]
    smooth = page.evaluate_async_script(<<~JS)
      const done = arguments[0], box = document.querySelector("#galley"); let last = performance.now(), worst = [], n = 0;
      const step = (now) => { worst.push(now - last); last = now; box.scrollTop += 60; (n++ < 240) ? requestAnimationFrame(step) : done(worst.sort((a, b) => b - a)); };
      requestAnimationFrame(step);
    JS
    find("body").send_keys("E")
    find("#selected", text: "2400 selected")
    bulk = by_the_page("0", "#said", "Put 2,400 paragraphs in Body Text")
    puts "opening the galley at a place, to its text on the screen   #{(opening * 1000).round} ms"
    puts "a style by a key, to the row in its new style              #{(one * 1000).round} ms"
    puts "2,400 paragraphs in a style by a key, to the answer        #{(bulk * 1000).round} ms"
    puts "scrolling 14,000 px: the worst frames #{smooth.first(3).map(&:round)
      .join(", ")} ms, the median #{smooth[smooth.size / 2].round} ms"
  end
end

Measured.new.run
