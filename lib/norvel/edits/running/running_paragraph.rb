# frozen_string_literal: true

module Norvel
  module Edits
    # The one paragraph of a head or foot that says a Running::Line, in the style of heads and feet.
    class RunningParagraph
      NOTHING = Styles::PropertySet::EMPTY
      STYLES = {"header" => "Header", "footer" => "Footer"}.freeze
      ALIGN = {left: "left", middle: "center", right: "right"}.freeze
      KEPT = %i[borders shading space_before space_after line_spacing].freeze

      # like: the paragraph in whose look it is set, or nil
      def initialize(document, kind, like)
        @document = document
        @kind = kind
        @like = like
      end

      # measure: the width of its line
      def of(line, measure)
        bare = Document::Paragraph.new(1, :body, 1, @like ? @like.style_id : style&.id, direct, mark, runs(line))
        (line.sides.size > 1) ? set_apart(bare, measure) : aligned(bare, line)
      end

      private

      # The document's own style for it, where it has one.
      def style
        name = STYLES.fetch(@kind)
        [name, Styles::Equivalents.other(name)].compact.filter_map { |one| @document.styles.called(one) }.first ||
          @document.styles.default
      end

      def direct
        @like ? @like.direct.slice(*KEPT.flat_map { |name| Styles::Properties.slots_of(name) }) : NOTHING
      end

      def mark
        @like ? @like.mark : NOTHING
      end

      # Words are set as the first ones were.
      def letters
        @letters ||= @like&.letters&.first || @like&.runs&.first
      end

      def runs(line)
        line.pieces.each_with_index.map { |piece, place|
          field = field(piece, place + 1)
          Document::Run.new(field ? field.cached : piece, letters&.style_id, letters ? letters.direct : NOTHING,
            nil, nil, (field ? [field].freeze : nil))
        }.freeze
      end

      def field(piece, id)
        name = piece[/\A#{Running::Line::TOKEN.source}\z/, 1] or return
        Document::Field.new(id:, computes: computes(name), cached: cached(name))
      end

      def computes(name)
        return Running::Line::FIELDS.fetch(name).new unless name == "chapter"
        style = @document.style_of(chapter).name
        level = style.casecmp?("Heading 1") || !@document.conventions.chapters_by_style
        level ? Document::Computed::StyleText.new(level: 1) : Document::Computed::StyleText.new(style:)
      end

      # The first paragraph that is marked as a heading of the first level.
      def chapter
        @chapter ||= @document.paragraphs.find { |one| headed?(one) } or
          raise Refused, "Nothing is marked as a heading of the first level yet, so a running head can't name chapters."
      end

      def headed?(paragraph)
        paragraph.word_count.positive? && @document.heading_level(paragraph) == 1
      end

      def cached(name)
        case name
        when "title", "author" then @document.info[name.to_sym] or
          raise Refused, "The document says nothing of its #{name} yet: say it on Handover first."
        when "chapter" then chapter.text.strip
        else "1"
        end
      end

      def aligned(paragraph, line)
        with(paragraph, align: ALIGN.fetch(line.sides.first || :left), first_line: 0.0)
      end

      # Parts in the middle and at the right stand at tab stops.
      def set_apart(paragraph, measure)
        stops = {"center" => measure / 2, "right" => measure}.map { |way, at| "#{way} #{Length.plain(at.floor(1))} pt" }
        with(paragraph, align: "left", first_line: 0.0,
          tabs: Styles::Properties[:tabs].type.typed(stops.join(", ").sub("center", "centred")))
      end

      # With values of its own where it has them not from its style.
      def with(paragraph, **values)
        values.inject(paragraph) do |made, (name, value)|
          look = @document.look(made)
          next made if Styles::Properties[name].same?(look[name], value)
          made.with(direct: Setting.put(made.direct, name, value, look))
        end
      end
    end
  end
end
