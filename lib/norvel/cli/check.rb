# frozen_string_literal: true

module Norvel
  module CLI
    # Findings against a guide, for one file or many; without a guide each is held against itself.
    class Check < Command
      USAGE = "check FILE... [--guide GUIDE] [--json]"

      private

      def options(parser)
        json_option(parser)
        guide_option(parser)
      end

      def perform
        raise Refused, "usage: norvel #{USAGE}" if @arguments.empty?
        any_guide
        checks = @arguments.map { |path| [path, Guide::Check.new(any_guide, laid_out(read(path)))] }
        @options[:json] ? json(checks) : text(checks)
        (checks.all? { |_, check| check.meets? }) ? 0 : 1
      end

      def json(checks)
        reports = checks.map { |path, check| {file: File.basename(path), **report(check)} }
        @out.puts JSON.generate((reports.size == 1) ? reports.first.except(:file) : {files: reports})
      end

      def report(check)
        places = check.document.paragraphs.each.with_index(1).to_h { |paragraph, index| [paragraph.id, index] }
        {guide: (any_guide.name unless any_guide.none?), meets: check.meets?, counts: check.counts,
         findings: check.findings.map { |f| finding(f, places, check.page(f)).merge(beside(f, check)) },
         unchecked: any_guide.unchecked}
      end

      def finding(finding, places, page)
        {rule: finding.rule, severity: finding.severity, index: places[finding.paragraph], page:,
         section: finding.section, message: finding.message,
         expected: finding.asked, found: finding.found, cite: finding.cite, mend: finding.mend&.name}
      end

      # Where it is when not in the text: {part: "footnote"}.
      def beside(finding, check)
        story = finding.paragraph && check.document.story_of(finding.paragraph)
        story ? {part: story.kind} : {}
      end

      def text(checks)
        checks.each do |path, check|
          @out.puts "#{path}: #{check.counts.map { |severity, count| "#{count} #{severity}" }.join(", ")}"
          check.groups.each do |group|
            said = [group.severity, group.rule, "#{group.size} ×", group.first.message, group.first.mend&.label]
            @out.puts "  #{said.compact.join("\t")}"
          end
          @out.puts "  not checked yet: #{any_guide.unchecked.join(", ")}" if any_guide.unchecked.any?
        end
      end
    end
  end
end
