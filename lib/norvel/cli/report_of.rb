# frozen_string_literal: true

module Norvel
  module CLI
    # The report of one check as a file, with the seal of the words it was made of.
    class ReportOf < Command
      USAGE = "report FILE [--guide GUIDE] --output OUT.html|.pdf|.json"
      FORMS = {".json" => :plain, ".html" => :page, ".pdf" => :pdf}.freeze
      OURS = %i[groups rules left].freeze # not in the JSON

      private

      def options(parser)
        guide_option(parser)
        output_option(parser)
      end

      def perform
        path, out = positional(1), required(:output)
        form = FORMS[File.extname(out).downcase] or raise Refused,
          "--output ends in .html, .pdf or .json, not in “#{File.extname(out)}”"
        write_text(send(form, report(path, laid_out(read(path)))), out)
        0
      end

      def plain(report)
        JSON.generate(report.except(*OURS))
      end

      # What is found place by place, and what a supervisor signs.
      def report(path, document)
        check = Guide::Check.new(any_guide, document)
        digest = "sha256:#{Digest::SHA256.file(path).hexdigest}"
        Report::CheckReport.new(check).whole
          .merge(Report::SignedReport.new(check, file: File.basename(path), file_digest: digest).to_h)
      end

      def page(report)
        Report::SignedPage.new(report).text
      end

      # The same page as a document in the plainest template, tagged as any other.
      def pdf(report)
        Report::SignedPage.new(report).pdf
      end
    end
  end
end
