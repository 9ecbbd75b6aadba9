# frozen_string_literal: true

module Norvel
  module CLI
    # What is in a file.
    class Survey < Command
      USAGE = "survey FILE [--json]"

      private

      def options(parser)
        json_option(parser)
      end

      def perform
        survey = Norvel::Survey.of(read(positional(1)))
        @options[:json] ? @out.puts(JSON.generate(survey.to_h)) : text(survey)
        0
      end

      def text(survey)
        @out.puts Norvel::Survey::Sentence.of(survey).delete("*")
        @out.puts "looks:"
        survey.looks.each do |group|
          style = survey.document.style_name(group.paragraphs.first)
          text = group.example.text[0, 60].tr("\n\t", "  ")
          @out.puts "  #{[group.letter, group.size, group.role, style, text].join("\t")}"
        end
        @out.puts "near misses:" if survey.near_misses.misses.any?
        survey.near_misses.misses.each do |miss|
          odd, usual = miss.property.spoken(miss.odd), miss.property.spoken(miss.usual)
          @out.puts "  #{miss.property.label.downcase} #{odd} near #{usual}\t#{miss.paragraphs.size}"
        end
        @out.puts "by hand:"
        survey.by_hand.each { |job, list| @out.puts "  #{job.to_s.tr("_", " ")}\t#{list.size}" unless list.empty? }
      end
    end
  end
end
