# frozen_string_literal: true

module Norvel
  module Edits
    # Puts words of a paragraph in a character style, or takes them out of one. What the words had directly for the same
    # purpose goes, since toggles of both would cancel each other.
    class StyleWords < StyleEdit
      # The usual character styles, made when they are first used.
      USUAL = {
        "Emphasis" => {italic: true}, "Strong" => {bold: true}, "Work Title" => {italic: true},
        "Foreign Words" => {italic: true}, "Code" => {font: "Courier New"}, "Superscript" => {position: "super"},
        "Subscript" => {position: "sub"}
      }.freeze

      # range: of positions in the paragraph's raw text; name: of the style, or nil for none; plain: does what is set by
      # hand on the words go too, so that they look as their paragraph does?
      def initialize(id, range, name, plain: false)
        @id = id
        @range = range
        @name = name
        @plain = plain
      end

      # The range of the nth time (from 0) that words stand in a paragraph as it is read. Raises Refused.
      def self.range(paragraph, words, nth)
        raise Refused, "No words are selected." if words.to_s.strip.empty?
        places = paragraph.raw_text.each_char.with_index.filter_map do |char, index|
          index unless Document::Run::UNSEEN.include?(char)
        end
        at = -1
        (nth + 1).times {
          at = paragraph.text.index(words, at + 1) or raise Refused,
            "“#{words[0, 40]}” is not in this paragraph any more."
        }
        places[at]..places[at + words.size - 1]
      end

      def change(document)
        paragraph = document.paragraph(@id)
        document, style = made(document) if @name
        changed = divided(paragraph).map { |run, inside| inside ? styled(run, style) : run }
        document.replace([paragraph.with(runs: changed.freeze)])
      end

      def title(document)
        text = document.paragraph(@id).raw_text[@range].delete(Document::Run::UNSEEN)
        return "Let “#{text[0, 40]}” look as its paragraph does" if @plain
        "“#{text[0, 40]}” in #{@name || "no character style"}"
      end

      private

      def made(document)
        found = document.styles.named(@name, "character")
        return [document, found] if found
        raise Refused, "There is no character style “#{@name}”." unless USUAL.key?(@name)
        id = document.free_style_id(@name)
        style = Styles::Style.new(id:, name: @name, type: "character",
          based_on: document.styles.default("character")&.id, custom: !Styles::BuiltIn.name?(@name),
          run: Styles::PropertySet.of(USUAL[@name].map { |name, value| Setting.slots(name, value) }.inject(:merge)))
        [document.with(styles: document.styles.put(style)), style]
      end

      # The runs cut at the ends of the range: [run, inside?].
      def divided(paragraph)
        from = 0
        paragraph.runs.flat_map do |run|
          first, last = [@range.begin - from, @range.end + 1 - from].map { |cut| cut.clamp(0, run.text.size) }
          from += run.text.size
          [[0, first, false], [first, last, true], [last, run.text.size, false]].reject { |one, other, _| one == other }
            .map { |one, other, inside| [run.slice(one, other - one), inside] }
        end
      end

      def styled(run, style)
        return plain(run) unless style
        run.with(style_id: style.id, direct: run.direct.without(*style.run.keys))
      end

      def plain(run)
        looks = @plain ? run.direct.keys.reject { |slot| Styles::Properties[slot].clear == :keep } : []
        run.with(style_id: nil, direct: run.direct.without(*looks))
      end
    end
  end
end
