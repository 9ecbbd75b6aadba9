# frozen_string_literal: true

module Norvel
  module Edits
    # Numbers headings by their styles: one list of several levels, each bound to the heading style of its level, so
    # that numbers are counted and never typed. Full stops stand between levels and none after the last (ISO 2145:1978).
    class NumberHeadings < StyleEdit
      # The words a person chooses from, with the form of the first level and what stands before its number.
      SCHEMES = {"none" => nil, "decimal" => ["decimal", ""], "chapter" => ["decimal", "Chapter "],
                 "roman" => ["upper_roman", ""], "letters" => ["upper_letter", ""]}.freeze

      # How much room a level's number has where its text hangs, in points; separators by the words of ISO/IEC 29500-1
      # 17.9.28.
      HANGING = 28.35
      SEPARATORS = {"space" => "a space", "tab" => "a tab", "nothing" => "nothing"}.freeze

      # scheme: of SCHEMES; word: what "Chapter" is in the document's language; after: what stands after the last
      # number; separator: of SEPARATORS; hanging: does the heading hang behind its number? without: ids of headings
      # that have none, in a style of their own
      def initialize(scheme, word: nil, after: "", separator: "space", hanging: false, without: [])
        raise Refused, "There is no numbering “#{scheme}”." unless SCHEMES.key?(scheme)
        raise Refused, "There is no separator “#{separator}”." unless SEPARATORS.key?(separator)
        @scheme = scheme
        @word = word.to_s.strip
        @after = after.to_s.strip
        @separator = hanging ? "tab" : separator
        @hanging = hanging
        @without = without
      end

      def change(document)
        styles = headings(document)
        raise Refused, "There is no heading style to number: put headings in Heading 1 first." if styles.empty?
        return unnumbered(document, styles) if @scheme == "none"
        bare = styles.values.inject(document.numbering) { |now, style| now.without_style(style.id) }
        numbering, definition_id = bare.define(Document::Numbering::Definition.new(levels(styles)))
        numbering, id = numbering.add(Document::Numbering::List.new(definition_id))
        sheet = styles.values.inject(document.styles) do |now, style|
          now.put(now[style.id].with(paragraph: now[style.id].paragraph.without(:list_level).merge(list_id: id)))
        end
        bare(document.with(numbering:, styles: sheet), styles)
      end

      def title(_document)
        return "Take numbers off the headings" if @scheme == "none"
        "Number the headings: #{@scheme}#{", #{count(@without.size, "heading")} without" if @without.any?}"
      end

      # Headings that have no number by custom: front matter, references, thanks (common practice).
      def self.plain?(heading)
        seen = Survey::Traits.of(heading)
        Structure::Matters::FRONT.match?(heading.text.strip) || seen.references_word? || seen.kind == :appendix
      end

      private

      # {0 => the style of headings of the first level, …}: Heading 1, or what the file calls them
      def headings(document)
        best = Survey::StyleRoles.best(document)
        (1..6).filter_map { |level|
          usual = document.styles.named("Heading #{level}", "paragraph")
          style = (usual && document.uses[usual.id].positive?) ? usual : best["heading_#{level}"] || usual
          [level - 1, style] if style && !style.name.end_with?(StyleUnnumbered::SUFFIX)
        }.to_h
      end

      # Those that have no number go in a style like theirs, without one.
      def bare(document, styles)
        known = styles.values.to_h { |style| [style.id, style] }
        @without.group_by { |id| document.style_of(document.paragraph(id))&.id }.inject(document) do |now, (id, ids)|
          known[id] ? StyleUnnumbered.new(id, ids).change(now) : now
        end
      end

      def levels(styles)
        (0..5).to_h { |number|
          [number, Document::ListLevel.new(**form(number), style_id: styles[number]&.id, suffix: @separator,
            paragraph: Styles::PropertySet.of(indents(number)))]
        }
      end

      def form(number)
        format, before = SCHEMES.fetch(@scheme)
        before = "#{@word} " if @scheme == "chapter" && !@word.empty?
        return {format:, text: "#{before}%1#{@after}"} if number.zero?
        {format: "decimal", text: "#{(1..number + 1).map { |n| "%#{n}" }.join(".")}#{@after}"}
      end

      # In whole twentieths of a point, all that a .docx can hold: what is written must read the same.
      def indents(number)
        return {} unless @hanging
        width = HANGING * (1 + (number * 0.35)) + ((@scheme == "chapter" && number.zero?) ? HANGING * 2 : 0)
        width = (width * 20).round / 20.0
        {indent_left: width, first_line: -width}
      end

      # A style that would inherit a list from its base says that it has none; headings that were put in its list by
      # hand leave it too.
      def unnumbered(document, styles)
        off(styles.values.inject(document) { |now, style| style_off(now, style, styles) }, lists_of(document, styles))
      end

      # Lists that heading styles count in.
      def lists_of(document, styles)
        styles.values.filter_map { |style| document.cascade.of_style(style, :paragraph)[:list_id]&.nonzero? }.uniq
      end

      def off(document, lists)
        put = document.paragraphs.select do |one|
          lists.include?(one.direct[:list_id]) && document.look(one)[:outline_level].to_i.positive?
        end
        document.replace(put.map { |one| one.with(direct: one.direct.without(:list_id, :list_level)) })
      end

      def style_off(now, style, styles)
        bare = style.with(paragraph: style.paragraph.without(:list_id, :list_level))
        inherits = now.styles.chain(now.styles[style.id])[0...-1].any? do |base|
          base.paragraph.key?(:list_id) && !styles.value?(base)
        end
        bare = bare.with(paragraph: bare.paragraph.merge(list_id: 0)) if inherits
        now.with(styles: now.styles.put(bare))
      end
    end
  end
end
