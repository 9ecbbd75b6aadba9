# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # captions.missing, .place: every figure and table has a caption beside it, on the side that the guide names.
      class CaptionRules < Family
        RULES = [
          Rule.new(name: "captions.missing", goes_by: :document, stage: :page, switch: %w[captions missing]),
          Rule.new(name: "captions.place", goes_by: :document, stage: :page)
        ].freeze
        KINDS = %w[figure table].freeze
        # How captions begin that say what they are of (common words of the languages that documents come in).
        WORDS = {
          "figure" => /\A(?:fig(?:ure|ura|\.)?|abb(?:ildung|\.)?|illustration|chart|plate|map|photo\w*|afbeelding)\b/i,
          "table" => /\A(?:tab(?:le|elle|ella|la|ela|\.)?|tableau|tabel)\b/i
        }.freeze
        SIDES = {"above" => -1, "below" => 1}.freeze
        WHY = "it moves a caption to the other side"

        def self.asked(guide, _roles)
          places = KINDS.any? { |kind| guide.captions.key?(kind) }
          super + (places ? ["captions.place"] : [])
        end

        def findings
          return [] if @guide.captions.empty?
          shown.filter_map { |kind, at| judged(kind, at) }
        end

        private

        def blocks
          @document.shown_blocks
        end

        # [[kind, its place among the blocks], …] of figures and tables in the text itself.
        def shown
          blocks.each_with_index.filter_map do |block, at|
            next ["table", at] if block.is_a?(Document::Table)
            ["figure", at] if block.images.any? { |image| !image.decorative } && block.word_count < 3
          end
        end

        def judged(kind, at)
          above, below = [at - 1, at + 1].map { |place| caption(kind, place) }
          return (missing(kind, at) if asked?("captions.missing")) unless above || below
          asked = @guide.captions[kind] or return
          has = {"above" => above, "below" => below}
          misplaced(kind, at, asked, above || below) unless has[asked]
        end

        # The caption of a kind that stands at a place, nil for none.
        def caption(kind, place)
          block = (blocks[place] unless place.negative?)
          return unless block.is_a?(Document::Paragraph) && @check.role(block) == "caption"
          other = (KINDS - [kind]).first
          block unless WORDS[other].match?(block.text.strip)
        end

        def missing(kind, at)
          finding("captions.missing", paragraph: first_of(at), message: "A #{kind} has no caption", asked: "a caption",
            found: "none", cause: [kind], cite: @guide.captions["cite"])
        end

        def misplaced(kind, at, asked, caption)
          found = (SIDES.keys - [asked]).first
          finding("captions.place", paragraph: caption, message: "The caption of a #{kind} stands #{found} it",
            asked: asked, found: found, cause: [kind], cite: @guide.captions["cite"], mend: mend(at, asked, caption))
        end

        # Only a figure is stepped over, and only where its caption stands right beside it.
        def mend(at, asked, caption)
          figure = blocks[at]
          return if figure.is_a?(Document::Table)
          places = [figure, caption].map { |one| @document.text_position(one.id) }
          return unless (places[0] - places[1]).abs == 1
          Mend.new(name: "move_caption", label: "Move it #{asked}", safe: false, why: WHY,
            steps: [[:move_caption, (asked == "above") ? "up" : "down"]])
        end

        def first_of(at)
          block = blocks[at]
          block.is_a?(Document::Table) ? block.cells.flat_map(&:blocks).grep(Document::Paragraph).first : block
        end
      end
    end
  end
end
