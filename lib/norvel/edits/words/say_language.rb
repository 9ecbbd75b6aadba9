# frozen_string_literal: true

module Norvel
  module Edits
    # Says the language of paragraphs, on their words.
    class SayLanguage < Edit
      # tag: BCP 47, as "de" or "en-GB"
      def initialize(ids, tag)
        @ids = ids
        @tag = tag
      end

      def change(document)
        document.replace(chosen(document, @ids).map do |paragraph|
          paragraph.with(runs: paragraph.runs.map { |run| run.with(direct: run.direct.merge(language:)) }.freeze)
        end)
      end

      def title(_document)
        "Say that #{count(@ids.size)} #{(@ids.size == 1) ? "is" : "are"} in #{Survey::Language.name(@tag)}"
      end

      private

      def language
        @language ||= Styles::Properties[:language].type.typed(@tag)
      end
    end
  end
end
