# frozen_string_literal: true

module Norvel
  module Edits
    # Numbers headings by their styles: one list of several levels, each bound to the heading style of its level, so that numbers
    # are counted and never typed. Full stops stand between levels and none after the last (ISO 2145:1978).
    class NumberHeadings < StyleEdit
      # The words a person chooses from, with the form of the first level and what stands before its number.
      SCHEMES = {"none" => nil, "decimal" => ["decimal", ""], "chapter" => ["decimal", "Chapter "], "roman" => ["upper_roman", ""], "letters" => ["upper_letter", ""]}.freeze

      # scheme: of SCHEMES; word: what "Chapter" is in the document's language
      def initialize(scheme, word: nil)
        raise Refused, "There is no numbering “#{scheme}”." unless SCHEMES.key?(scheme)
        @scheme = scheme
        @word = word
      end

      def change(document)
        styles = headings(document)
        raise Refused, "There is no heading style to number: put headings in Heading 1 first." if styles.empty?
        return unnumbered(document, styles) if @scheme == "none"
        id = document.numbering.free_id
        numbering = document.numbering.with(id, Document::Numbering::List.new("new#{id}", levels(styles), {}))
        sheet = styles.values.inject(document.sheet) { |now, style| now.put(now[style.id].with(paragraph: now[style.id].paragraph.without(:list_level).merge(list_id: id))) }
        document.with(numbering:, sheet:)
      end

      def title(_document)
        (@scheme == "none") ? "Take numbers off the headings" : "Number the headings: #{@scheme}"
      end

      private

      # {0 => the style of Heading 1, …}
      def headings(document)
        (1..6).filter_map { |level| (style = document.sheet.named("Heading #{level}", "paragraph")) && [level - 1, style] }.to_h
      end

      def levels(styles)
        format, before = SCHEMES.fetch(@scheme)
        before = "#{@word.strip} " if @scheme == "chapter" && @word && !@word.strip.empty?
        (0..5).to_h do |number|
          text = (1..number + 1).map { |n| "%#{n}" }.join(".")
          [number, Document::Numbering::Level.new(start: 1, format: number.zero? ? format : "decimal", text: number.zero? ? "#{before}%1" : text, style_id: styles[number]&.id, legal: false, restart_after: nil, suffix: "space", paragraph: Styles::PropertySet::EMPTY)]
        end
      end

      # A style that would inherit a list from its base says that it has none.
      def unnumbered(document, styles)
        styles.values.inject(document) do |now, style|
          bare = style.with(paragraph: style.paragraph.without(:list_id, :list_level))
          inherits = now.sheet.chain(now.sheet[style.id])[0...-1].any? { |base| base.paragraph.key?(:list_id) && !styles.value?(base) }
          bare = bare.with(paragraph: bare.paragraph.merge(list_id: 0)) if inherits
          now.with(sheet: now.sheet.put(bare))
        end
      end
    end
  end
end
