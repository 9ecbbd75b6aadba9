# frozen_string_literal: true

module Norvel
  module Intake
    # A document that begins with a template: its front matter filled in, and a first heading to write under.
    class NewDocument
      FIELDS = {title: "Title", subtitle: "Subtitle", author: "Author", institution: "Institution", date: "Date"}.freeze
      STYLES = {title: %w[Title], subtitle: %w[Subtitle Title]}.freeze

      # template: a Document; fields: {title: "…", …}. Raises Refused.
      def initialize(template, fields)
        @template = template
        @fields = fields.transform_values { |text| text.to_s.strip }.reject { |_, text| text.empty? }
        raise Refused, "A new document needs a title." unless @fields[:title]
      end

      # The bytes of a file in the template's format.
      def bytes
        front = FIELDS.keys.filter_map do |field|
          [style(*STYLES.fetch(field, []), "Body Text"), @fields[field]] if @fields[field]
        end
        text = [[style("Heading 1"), "Introduction"], [style("Body Text"), "Begin here."]]
        bare = Formats.read(Formats::Template.bytes(@template), name: "new")
        document = bare.with(paragraphs: (front + text).each_with_index
          .map { |(style, words), index| paragraph(index + 1, style, words) }.freeze)
        Formats.write(Edits::Describe.new({title: @fields[:title], author: @fields[:author]}).change(document)).bytes
      end

      private

      # The first of these styles that the template has.
      def style(*names)
        names.filter_map { |name| @template.styles.named(name, "paragraph") }.first&.id
      end

      def paragraph(id, style, words)
        Document::Paragraph.new(id, :body, 1, style, Styles::PropertySet::EMPTY, Styles::PropertySet::EMPTY,
          [Document::Run.new(Characters.typed(words), nil, Styles::PropertySet::EMPTY)].freeze)
      end
    end
  end
end
