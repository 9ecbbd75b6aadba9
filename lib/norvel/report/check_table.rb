# frozen_string_literal: true

module Norvel
  module Report
    # Checks of files as comma-separated values (RFC 4180), a line a finding.
    class CheckTable
      HEAD = %i[file rule severity index page section message expected found cite mend].freeze

      # reports: of CLI::Check, with symbols for names
      def initialize(reports, _guide)
        @reports = reports
      end

      # The table as CSV.
      def text
        require "csv"
        CSV.generate do |csv|
          csv << (HEAD + %i[granted error])
          @reports.each { |report| lines(report).each { |line| csv << line.map { |value| safe(value) } } }
        end
      end

      private

      def lines(report)
        return [[report[:file], *([nil] * HEAD.size), report[:error]]] if report[:error]
        found = report[:findings].map { |finding| [report[:file], *finding.values_at(*HEAD.drop(1)), nil, nil] }
        found + report[:exceptions].map do |one|
          [report[:file], one[:rule], *([nil] * (HEAD.size - 2)), "#{one[:count]} × #{one[:because]}", nil]
        end
      end

      # A value that a spreadsheet would take for a formula is text.
      def safe(value)
        (value.is_a?(String) && value.match?(/\A[=+\-@\t\r]/)) ? "'#{value}" : value
      end
    end
  end
end
