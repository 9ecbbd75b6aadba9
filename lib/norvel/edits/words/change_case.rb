# frozen_string_literal: true

module Norvel
  module Edits
    # Changes the case of paragraphs: as a property (capitals or small capitals are shown, the words stay) or as typed
    # text.
    class ChangeCase < Edit
      TYPED = {
        "upper" => ->(text) { text.upcase }, "lower" => ->(text) { text.downcase },
        "sentence" => ->(text) { text.downcase.sub(/[[:alpha:]]/) { |letter| letter.upcase } },
        "title" => ->(text) {
          first = true
          text.downcase.gsub(/[[:alpha:]’']+/) do |word|
            next word unless first || !Survey::UsualCase::SMALL.include?(word)
            word.sub(/[[:alpha:]]/) { |letter| letter.upcase }.tap { first = false }
          end
        }
      }.freeze
      SHOWN = {"capitals" => :caps, "small capitals" => :small_caps}.freeze
      USUAL = "usual" # small, but for what the document writes otherwise elsewhere
      NAMES = TYPED.keys + SHOWN.keys + [USUAL]

      # kind: one of NAMES
      def initialize(ids, kind)
        @ids = ids
        @kind = kind
        raise Refused, "There is no case “#{kind}”." unless NAMES.include?(kind)
      end

      def change(document)
        @usual = Survey::UsualCase.new(document) if @kind == USUAL
        change = SHOWN.key?(@kind) ? :shown : :typed
        document.replace(chosen(document, @ids).map { |paragraph| send(change, paragraph) })
      end

      def title(_document)
        return "Show #{count(@ids.size)} in #{@kind}" if SHOWN.key?(@kind)
        "Type #{count(@ids.size)} in #{(@kind == USUAL) ? "sentence" : @kind} case"
      end

      def changes_text?
        !SHOWN.key?(@kind)
      end

      private

      def shown(paragraph)
        paragraph.with(runs: paragraph.runs.map { |run| run.with(direct: run.direct.merge(SHOWN[@kind] => true)) }
          .freeze)
      end

      # Over the whole paragraph at once, since a word may be in several runs. Letters that grow (ß) keep their run.
      def typed(paragraph)
        text = @usual ? @usual.typed(paragraph.raw_text) : TYPED.fetch(@kind).call(paragraph.raw_text)
        if text.size != paragraph.raw_text.size
          return Retype.new(paragraph.id, text).send(:typed, paragraph, text)
              .then { |runs| paragraph.with(runs:) }
        end
        from = 0
        paragraph.with(runs: paragraph.runs.map { |run|
          run.with(text: text[from, run.text.size])
            .tap { from += run.text.size }
        }.freeze)
      end
    end
  end
end
