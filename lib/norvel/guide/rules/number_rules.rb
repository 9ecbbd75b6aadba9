# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # captions.number: numbers of captions are counted by sequences, are those that the sequences say, and what names
      # them names ones that are there. Any guide that speaks of captions asks for it; clean.typed_caption is the first
      # of these where none does.
      class NumberRules < Family
        RULES = [Rule.new(name: "captions.number", goes_by: :document, stage: :document),
          Rule.new(name: "clean.typed_caption", goes_by: :document, stage: :document,
            switch: %w[clean typed_captions])].freeze
        WAYS = {"by_chapter" => "by chapter", "through" => "through the whole text"}.freeze
        JUMPS = "a number does not follow from the one before: its sequence would begin anew with it"
        NAMED = "it changes the numbers of captions, and of what names them in the text"
        PRINTED = "it changes numbers that are printed"

        def self.asked(guide, _roles)
          return ["captions.number"] unless guide.captions.empty?
          Rules["clean.typed_caption"].asked(guide) ? ["clean.typed_caption"] : []
        end

        def findings
          @rule = self.class.asked(@guide, nil).first or return []
          @captions = Structure::Captions.of(@document).list
          (@rule == "captions.number") ? typed + other_way + stale + lost : typed
        end

        private

        def typed
          jumps = Edits::CountCaptions.jumps(@document, @captions)
          asking = @captions.select { |one| jumps.include?(one.id) }.to_h { |one| [one.sequence, true] }
          @captions.reject(&:counted?).map do |caption|
            found(caption.id, message: "The number of a caption is typed", asked: "counted by a sequence",
              found: "typed", cause: ["typed", caption.sequence], mend: count(asking[caption.sequence]))
          end
        end

        def count(asking)
          mend = Mend.new(name: "count_captions", label: "Let them be counted", safe: true, steps: [[:count_captions]])
          asking ? mend.asking(JUMPS) : mend
        end

        # By chapter, or through the whole text, where a guide says which.
        def other_way
          asked = @guide.captions["numbered"]
          return [] unless WAYS.key?(asked)
          @captions.select { |one| one.chapter.nil? == (asked == "by_chapter") }.map do |caption|
            found(caption.id, message: "A caption is not numbered #{WAYS[asked]}", asked: WAYS[asked],
              found: caption.label, cause: ["way"], mend: renumber(asked))
          end
        end

        def renumber(asked)
          Mend.new(name: "renumber_captions", label: "Number them #{WAYS[asked]}", safe: false, why: NAMED,
            steps: [[:renumber_captions, asked == "by_chapter"]])
        end

        def stale
          kinds = ["sequence", "reference", ("page_reference" if Layout.pages(@document))].compact
          Structure::ComputedNumbers.new(@document).stale(kinds).map do |one|
            found(one.paragraph.id, asked: one.should, found: one.says, cause: ["stale"], mend: refresh,
              message: "A number that is computed says #{quoted(one.says)} and should say “#{one.should}”")
          end
        end

        def quoted(text)
          text.empty? ? "nothing" : "“#{text}”"
        end

        def refresh
          Mend.new(name: "refresh_numbers", label: "Bring the numbers up to date", safe: false, why: PRINTED,
            steps: [[:refresh_numbers]])
        end

        def lost
          lost = Structure::TypedReferences.new(@document, @captions).lost
          lost.uniq { |one| [one.paragraph, one.words] }.map do |one|
            found(one.paragraph, message: "The text names “#{one.words}”, and no caption has that number",
              asked: "the number of a #{one.kind} that is there", found: one.words, cause: ["lost"])
          end
        end

        def found(id, **told)
          finding(@rule, paragraph: @document.paragraph(id), cite: @guide.captions["cite"], **told)
        end
      end
    end
  end
end
