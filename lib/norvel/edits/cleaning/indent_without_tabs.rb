# frozen_string_literal: true

module Norvel
  module Edits
    # Takes the tabs away that begin paragraphs and lets a first-line indent do their work, where the style has none
    # yet.
    class IndentWithoutTabs < Edit
      STOP = 36.0 # the standard distance of tab stops, ISO/IEC 29500-1 17.15.1.25

      def initialize(ids)
        @ids = ids
      end

      def change(document)
        document.replace(chosen(document, @ids).filter_map { |paragraph| untabbed(paragraph, document) })
      end

      def title(_document)
        "Replace tabs by first-line indents in #{count(@ids.size)}"
      end

      def removes_white_space?
        true
      end

      private

      def untabbed(paragraph, document)
        lead = paragraph.seen_text[Survey::ByHand::LEADING_TAB] or return
        now = RewriteText.replace(paragraph, Survey::ByHand::LEADING_TAB)
        return now if document.look(paragraph)[:first_line].positive? || document.look(paragraph)[:align] == "center"
        now.with(direct: Setting.put(now.direct, :first_line, STOP * lead.count("\t"), document.look(paragraph)))
      end
    end
  end
end
