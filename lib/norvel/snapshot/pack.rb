# frozen_string_literal: true

module Norvel
  module Snapshot
    # To plain data. Equal property sets are told once; a value of a known kind is {"~": its kind, its members that are
    # set}.
    class Pack
      attr_reader :sets

      def initialize(original)
        @original = original
        @sets = []
        @numbers = {}
      end

      # +came+: the paragraphs of the file among which it may stand unchanged.
      def paragraph(paragraph, came = @original.paragraphs)
        return paragraph.source if paragraph.source && paragraph.equal?(came[paragraph.source])
        whole = [paragraph.id, paragraph.part, paragraph.section, paragraph.style_id, set(paragraph.direct),
          set(paragraph.mark),
          paragraph.runs.map { |run| run(run) }, paragraph.table&.to_a, paragraph.source, paragraph.holds,
          paragraph.container,
          paragraph.anchors.map { |anchor| [anchor.place, plain(anchor.object)] }]
        paragraph.anchors.empty? ? whole[0..10] : whole
      end

      # What the document has otherwise than the file, by field.
      def others(document)
        fields = (Document::CHANGING - [:paragraphs]).reject { |field| same?(document, field) }
        fields.to_h { |field| [Kinds.field_key(field), other(field, document.public_send(field))] }
      end

      # {field => plain data} of a field that is not the text.
      def other(field, value)
        case field
        when :styles
          {styles: value.by_id.values.map { |style| plain(style) }, paragraph: set(value.paragraph_defaults),
           run: set(value.run_defaults)}
        when :stories
          stories(value)
        when :numbering then numbering(value)
        else plain(value)
        end
      end

      private

      # In the order of the file; where some came or went, each with what it is.
      def stories(list)
        same = list.map(&:key) == @original.stories.map(&:key)
        return list.zip(@original.stories).map { |pair| story(*pair) } if same
        came = @original.stories.to_h { |story| [story.key, story] }
        list.map do |story|
          own = story.paragraphs.map { |one| paragraph(one, came[story.key]&.paragraphs || []) }
          {**story.to_h.slice(:kind, :id, :section, :which), paragraphs: own}
        end
      end

      # Its paragraphs; with the section that shows it first where that has another number now.
      def story(story, came)
        paragraphs = story.paragraphs.map { |one| paragraph(one, came.paragraphs) }
        (story.section == came.section) ? paragraphs : {section: story.section, paragraphs:}
      end

      def same?(document, field)
        document.public_send(field).equal?(@original.public_send(field))
      end

      def run(run)
        whole = [run.text, run.style_id, set(run.direct), run.source, plain(run.objects), plain(run.within)]
        (run.carried || run.spans) ? whole : whole.first(4)
      end

      def numbering(value)
        {definitions: value.definitions.map { |id, definition| [id, levels(definition.levels), definition.style_id] },
         lists: value.lists.map { |id, list| [id, list.definition_id, list.starts.to_a, levels(list.overrides)] }}
      end

      def levels(levels)
        levels.map { |number, level| [number, plain(level)] }
      end

      def plain(value)
        case value
        when Styles::PropertySet then {"~": "set", number: set(value)}
        when Array then value.map { |item| plain(item) }
        when Hash then value.transform_values { |item| plain(item) }
        when Styles::BorderLine then Kinds.line(value)
        when Document::Field then Kinds.field(value)
        when Struct then {"~": Kinds.name(value), **value.to_h.compact.transform_values { |item| plain(item) }}
        else value
        end
      end

      def set(set)
        @numbers[set] ||= (@sets << Kinds.properties(set.values)).size - 1
      end
    end
  end
end
