# frozen_string_literal: true

module Norvel
  module CLI
    # The report of one check as a file, with the seal of the words it was made of.
    class ReportOf < Command
      USAGE = "report FILE [--guide GUIDE] --output OUT.html|.pdf|.json"
      FORMS = {".json" => :plain, ".html" => :page, ".pdf" => :pdf}.freeze
      OURS = %i[groups rules].freeze # not in the JSON

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

      def report(path, document)
        check = Guide::Check.new(any_guide, document)
        Report::CheckReport.new(check).whole(file: File.basename(path)).merge(seal: seal(document, path))
      end

      # Of the words, and of the file they stand in.
      def seal(document, path)
        {text_digest: "sha256:#{Seal.of(document).words}", file_digest: "sha256:#{Digest::SHA256.file(path).hexdigest}"}
      end

      def page(report)
        Report::CheckPage.new([report], any_guide).text
      end

      # The same page as a document in the plainest template, tagged as any other.
      def pdf(report)
        Pdf.write(Formats.read(page(report).b, name: "report.html")).bytes
      end
    end
  end
end
