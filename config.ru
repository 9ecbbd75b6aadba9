# frozen_string_literal: true

require_relative "app/boot"
Preference.speak
Intake.resume
run Web
