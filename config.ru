# frozen_string_literal: true

require_relative "app/boot"
Preference.speak
Intake.resume
Office.resume
run Web
