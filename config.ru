# frozen_string_literal: true

require_relative "app/boot"
# Whoever comes first does not wait for the code to be read.
require "nokogiri"
Zeitwerk::Registry.loaders.each(&:eager_load)
Preference.speak
Intake.resume
Office.resume
run Web
