# frozen_string_literal: true

module Norvel
  module CLI
    # Every paragraph and run with its effective and direct formatting.
    class Inspect < Command
      USAGE = "inspect FILE [--json] [--paragraph N]"

      private

      def options(parser)
        json_option(parser)
        parser.on("--paragraph N", Integer, "only this paragraph") { |number| @options[:paragraph] = number }
      end

      def perform
        document = read(positional(1))
        number = @options[:paragraph]
        raise Refused, "there is no paragraph #{number}: the document has #{document.paragraphs.size}" if number &&
          !number.between?(1, document.paragraphs.size)
        @options[:json] ? json(document) : text(document)
        0
      end

      def json(document)
        @out.puts Report::Inspection.new(document, file: @arguments.first, only: @options[:paragraph]).to_json
      end

      def text(document)
        document.paragraphs.each_with_index do |paragraph, index|
          next if @options[:paragraph] && index + 1 != @options[:paragraph]
          look = document.look(paragraph)
          letters = document.letter_look(paragraph)
          face = "#{letters[:font]} #{Length.plain(letters[:size])} pt"
          face += "#{" bold" if letters[:bold]}#{" italic" if letters[:italic]}"
          text = paragraph.text[0, 60].tr("\n\t", "  ")
          @out.puts [index + 1, document.style_name(paragraph), face, look[:align], text].join("\t")
        end
      end
    end
  end
end
