# frozen_string_literal: true

module Norvel
  module CLI
    # Writes a file in the format that the output's extension names, dressed in a template if one is given, and tells
    # what was not carried.
    class Convert < Command
      USAGE = "convert FILE OUT [--template T] [--pdfa] [--json]"

      private

      def options(parser)
        json_option(parser)
        parser.on("--pdfa", "a PDF for an archive: PDF/A-2u") { @options[:archive] = true }
        parser.on("--template T", "a shipped template's name or a file") { |name| @options[:template] = name }
      end

      def perform
        path, output = positional(2)
        Formats.for_path(output) unless Pdf.named?(output)
        raise Refused, "--pdfa is for an output that ends in .pdf" if @options[:archive] && !Pdf.named?(output)
        document = dressed(path)
        written = Pdf.named?(output) ? as_pdf(document, output) : write(document, output)
        @options[:json] ? json(written, output) : print_losses(written)
        0
      end

      def as_pdf(document, output)
        Pdf.write(document, archive: !!@options[:archive]).tap { |written| write_text(written.bytes, output) }
      end

      # A text without styles wears those of the template from the start, a document is dressed in them.
      def dressed(path)
        template = @options[:template] && Formats::Template.find(@options[:template])
        @from = source_format(path)
        document = read(path, template:)
        return document if template.nil? || @from.is_a?(Formats::MarkupFormat)
        edit = Edits::ApplyTemplate.new(Formats::Template.in_terms_of(document, template), page: true, numbering: true)
        edit.apply(document).after
      end

      def source_format(path)
        return unless File.file?(path)
        bytes = File.binread(path, Formats::Container::LARGEST_FILE)
        Formats.markup(bytes, path) || Formats.of(bytes)
      end

      def json(written, output)
        @out.puts JSON.pretty_generate(from: @from.name, to: target(output), words_unchanged: whole?(written, output),
          carried: written.carried.to_h)
      end

      # Other formats are read back, or refused; of a PDF what was not drawn is counted.
      def whole?(written, output)
        !Pdf.named?(output) || written.carried.not_carried.none? { |entry| entry.what.end_with?("on no page") }
      end

      def target(output)
        Pdf.named?(output) ? Pdf::FORMAT.name : Formats.for_path(output).name
      end

      def print_losses(written)
        carried = written.carried
        return @out.puts("everything was carried") if carried.empty?
        carried.approximated.each { |entry| @out.puts "#{entry.count} × #{entry.what}: #{entry.how}" }
        carried.not_carried.each do |entry|
          places = ", at #{entry.places.first(5).join(", ")}#{", …" if entry.places.size > 5}" if entry.places.any?
          @out.puts "#{entry.count} × #{entry.what}: not carried#{places}"
        end
      end
    end
  end
end
