# frozen_string_literal: true

require_relative "app/boot"
Intake.resume
run Web
