# frozen_string_literal: true

module Norvel
  module CLI
    # The report of one check as a file, with the seal of the words it was made of.
    class ReportOf < Command
      USAGE = "report FILE [--guide GUIDE] --output OUT.html|.json"
      OURS = %i[groups rules].freeze # not in the JSON

      private

      def options(parser)
        guide_option(parser)
        output_option(parser)
      end

      def perform
        path, out = positional(1), required(:output)
        form = File.extname(out).downcase
        raise Refused, "--output ends in .html or .json, not in “#{form}”" unless %w[.html .json].include?(form)
        report = report(path, laid_out(read(path)))
        write_text((form == ".json") ? JSON.generate(report.except(*OURS)) : page(report), out)
        0
      end

      def report(path, document)
        made = Report::CheckReport.new(Guide::Check.new(any_guide, document))
        {file: File.basename(path), **made.to_h, groups: made.groups, rules: made.rules, **made.size,
         seal: seal(document, path)}
      end

      # Of the words, and of the file they stand in.
      def seal(document, path)
        {text_digest: "sha256:#{Seal.of(document).words}", file_digest: "sha256:#{Digest::SHA256.file(path).hexdigest}"}
      end

      def page(report)
        Report::CheckPage.new([report], any_guide).text
      end
    end
  end
end
