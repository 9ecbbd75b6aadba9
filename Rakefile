# frozen_string_literal: true

require_relative "app/boot"
require "sinatra/activerecord/rake"

desc "Build public/norvel.css from app/assets/norvel.css (its own Gemfile: the executable comes in a gem)"
task :css do
  Bundler.with_unbundled_env do
    sh({"BUNDLE_GEMFILE" => "app/assets/Gemfile"}, "bundle install --quiet && bundle exec tailwindcss -i app/assets/norvel.css -o public/norvel.css --minify")
  end
end

desc "Draw in docs/architecture.md which folder of the core refers to which"
task :architecture do
  require_relative "spec/support/references"
  path = "docs/architecture.md"
  File.write(path, File.read(path).sub(/^\| \|.*?(?=\n\n)/m) { References.new.table })
end

desc "Write docs/rules.md: every rule with its help and an example"
task :rules do
  require_relative "spec/support/rule_pages"
  File.write("docs/rules.md", RulePages.new.text)
end

desc "Write the classes and mirror images of characters for UAX #9, and the forms of Arabic letters, from Debian's unicode-data"
task :bidi do
  require_relative "lib/norvel"
  require_relative "spec/support/unicode_data"
  folder = "lib/norvel/layout"
  File.write("#{folder}/bidi_classes.txt", UnicodeData.bidi_classes)
  File.write("#{folder}/bidi_mirrors.txt", UnicodeData.bidi_mirrors)
  File.write("#{folder}/arabic_forms.txt", UnicodeData.arabic_forms)
end
