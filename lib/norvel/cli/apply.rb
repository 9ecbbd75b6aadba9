# frozen_string_literal: true

module Norvel
  module CLI
    # Puts the styles and page set-up of a template on a file.
    class Apply < Command
      USAGE = "apply FILE --template T --output OUT"

      private

      def options(parser)
        output_option(parser)
        parser.on("--template T", "a shipped template's name or a file") { |name| @options[:template] = name }
      end

      def perform
        path = positional(1)
        output = required(:output)
        Formats.for_path(output)
        document = read(path)
        template = Formats::Template.in_terms_of(document, Formats::Template.find(required(:template)))
        edit = Edits::ApplyTemplate.new(template, page: true, numbering: true)
        match = edit.match(document)
        change = edit.apply(document)
        write(change.after, output)
        @out.puts "#{match.pairs.size} styles matched, #{match.added.size} added; " \
          "#{change.after.word_count} words, unchanged"
        match.roles.each do |id, (style, role)|
          @out.puts "#{document.styles[id].name} became #{style.name}, as its text reads as #{role.tr("_", " ")}"
        end
        text, style = match.text
        if text
          @out.puts "#{text.size} paragraphs of body text in #{document.styles.default.name} went in #{style.name}"
        end
        numbers(edit.renumbered(document))
        left = match.unmatched.reject { |style| match.roles.key?(style.id) }
        @out.puts "without a partner in the template: #{left.map(&:name).join(", ")}" if left.any?
        0
      end

      # What is printed otherwise, from what to what.
      def numbers(changed)
        return if changed.empty?
        said = changed.first(3).map { |_, was, now| "“#{was}” is “#{now}” now" }
        @out.puts "#{changed.size} printed numbers are others: #{said.join(", ")}#{", …" if changed.size > 3}"
      end
    end
  end
end
