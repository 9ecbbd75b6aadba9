# frozen_string_literal: true

module Norvel
  module Report
    # Checks of files as a test report in XML, for continuous checks: a suite a file, a case a rule that was asked for;
    # rules that must be met and are not have failed.
    class CheckSuite
      def initialize(reports, guide)
        @reports = reports
        @guide = guide
      end

      # The XML.
      def text
        builder = Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
          xml.testsuites(name: @guide.name) { @reports.each { |report| suite(xml, report) } }
        end
        builder.to_xml
      end

      private

      def suite(xml, report)
        return broken(xml, report) if report[:error]
        found = report[:findings].group_by { |finding| finding[:rule] }
        rules = (report[:rules] | found.keys).sort
        failed = rules.count { |rule| failing(found[rule]).any? }
        xml.testsuite(name: report[:file], tests: rules.size, failures: failed, errors: 0) do
          rules.each { |rule| rule(xml, report, rule, found.fetch(rule, [])) }
        end
      end

      def broken(xml, report)
        xml.testsuite(name: report[:file], tests: 1, failures: 0, errors: 1) do
          message = clean(report[:error])
          xml.testcase(name: "read", classname: report[:file]) { xml.error(message, message:) }
        end
      end

      def rule(xml, report, rule, findings)
        xml.testcase(name: rule, classname: report[:file]) do
          failing = failing(findings)
          next if failing.empty?
          lines = failing.map { |one| line(one) }.join("\n")
          xml.failure(clean(lines), message: "#{failing.size} × #{clean(failing.first[:message])}")
        end
      end

      def failing(findings)
        (findings || []).select { |one| one[:severity] == "must" && one.fetch(:new, true) }
      end

      def line(finding)
        place = [("page #{finding[:page]}" if finding[:page]), ("paragraph #{finding[:index]}" if finding[:index])]
        [*place.compact, finding[:message], "expected #{finding[:expected]}, found #{finding[:found]}"].join(": ")
      end

      # Without what XML can't hold.
      def clean(text)
        text.to_s.gsub(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/, "")
      end
    end
  end
end
