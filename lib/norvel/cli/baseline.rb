# frozen_string_literal: true

module Norvel
  module CLI
    # The findings of an earlier check, so that a later one tells which are new: those of a kind beyond as many as there
    # were. Paragraphs that moved make nothing new.
    class Baseline
      KIND = %i[rule severity message expected found].freeze

      # Of the JSON of `check`, of one file or many. Raises Refused.
      def self.read(path)
        data = JSON.parse(File.read(path, encoding: "UTF-8"), symbolize_names: true)
        files = data[:files] || [data]
        raise TypeError unless files.all? { |one| one[:error] || one[:findings].is_a?(Array) }
        new(files)
      rescue JSON::ParserError, TypeError, NoMethodError
        raise Refused, "#{path} is not the JSON of an earlier check"
      end

      def initialize(files)
        @files = files.to_h { |one| [one[:file], known(one)] }
        @alone = known(files.first) if files.size == 1 && files.first[:file].nil?
      end

      # Adds to a report which findings are new, and how many: {new:, new_must:}
      def mark(report)
        return if report[:error]
        left = (@alone || @files.fetch(report[:file], {})).dup
        report[:findings].each do |finding|
          kind = finding.values_at(*KIND)
          finding[:new] = (left[kind] || 0).zero?
          left[kind] -= 1 unless finding[:new]
        end
        fresh = report[:findings].select { |finding| finding[:new] }
        report.merge!(new: fresh.size, new_must: fresh.count { |finding| finding[:severity] == "must" })
      end

      private

      def known(report)
        (report[:findings] || []).map { |finding| finding.values_at(*KIND) }.tally
      end
    end
  end
end
