# frozen_string_literal: true

source "https://rubygems.org"

# The core: reading, resolving, changing and writing documents.
gem "nokogiri", "~> 1.18.0"
gem "rubyzip", "~> 2.4.1"
gem "zeitwerk", "~> 2.6.0"
gem "diff-lcs", "~> 1.6" # entries of a list beside what they should be, a text beside what it was
gem "json_schemer", "~> 2.4"
gem "commonmarker", "~> 0.23.12" # Markdown in linear time by cmark-gfm (1.x wants a newer RubyGems than Debian has)
gem "ttfunk", "~> 1.8" # metrics of the fonts that ship
gem "prawn", "~> 2.5" # PDF: objects, subsets of fonts
gem "ruby-vips", "~> 2.2" # images of kinds that a browser or a PDF does not hold, by libvips
gem "text-hyphen", "~> 1.5" # Liang patterns by language, for the division of words

# The web application.
gem "activerecord", "~> 7.1.0"
gem "erubi", "~> 1.13" # ERB that escapes unless told not to
gem "puma", "~> 6.4"
gem "rack-attack", "~> 6.7"
gem "rack-session", "~> 2.0"
gem "rackup", "~> 2.1"
gem "rake", "~> 13.0"
gem "sinatra", "~> 4.1"
gem "sinatra-activerecord", "~> 2.0"
gem "sqlite3", "~> 1.7.3"

# What Ruby 3.1 ships already: pinned, so that nothing is compiled for nothing.
gem "bigdecimal", "3.1.1"
gem "json", "2.6.1"
gem "racc", "1.6.0"

group :test do
  gem "axe-core-capybara", "~> 4.10"
  gem "axe-core-rspec", "~> 4.10"
  gem "capybara", "~> 3.40"
  gem "parallel_tests", "~> 4.10", require: false # spec files in processes, shared out by how long they took
  gem "prop_check", "~> 1.0"
  gem "rack-test", "~> 2.1"
  gem "rspec", "~> 3.13"
  gem "selenium-webdriver", "4.32.0"
  gem "simplecov", "~> 0.22", require: false
end

# Its parser takes long to compile: only bin/test installs it.
group :style do
  gem "standard", "~> 1.44", require: false
end
