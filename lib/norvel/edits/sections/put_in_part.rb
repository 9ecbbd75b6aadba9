# frozen_string_literal: true

module Norvel
  module Edits
    # Puts in a part that is missing, in its place among the others: a heading and a paragraph to write in, or the list
    # that it is.
    class PutInPart < Edit
      LISTS = {"list_of_figures" => :figure, "list_of_tables" => :table}.freeze
      NEVER = %w[title_page chapters].freeze # whose words nobody else can give
      NOTHING = Styles::PropertySet::EMPTY

      # Can paragraphs be put in the part of this name?
      def self.possible?(name)
        Structure::Parts::NAMES.include?(name) && !NEVER.include?(name)
      end

      # name: of the part; order: names of all parts in the order that is asked for; levels: of a contents list
      def initialize(name, order, levels: 3)
        @name = name
        @order = order
        @levels = levels
      end

      def change(document)
        raise Refused, "Norvel can't put in a part of that kind." unless PutInPart.possible?(@name)
        raise Refused, "The #{label} is there already." if Structure::Parts.new(document)[@name]
        return list(document) if LISTS.key?(@name) || @name == "contents"
        with_heading(document)
      end

      def title(_document)
        "Put in the #{label}"
      end

      def changes_text?
        true
      end

      def changes_objects?
        true
      end

      private

      def label
        Structure::Parts::LABELS.fetch(@name, @name)
      end

      # The words over it.
      def words
        label.capitalize
      end

      # The first paragraph of the part that it stands before; nil at the end.
      def following(document)
        rank = @order.index(@name) || @order.size
        later = @order.drop(rank + 1)
        part = Structure::Parts.new(document).list.find { |one| later.include?(one.name) }
        part && document.paragraphs[part.first]
      end

      def list(document)
        place = following(document) or raise Refused, "There is nothing that the #{label} could stand before."
        sequence = sequence(document) if LISTS.key?(@name)
        PutInContents.new(place.id, captions: sequence, heading: words, levels: @levels).change(document)
      end

      def sequence(document)
        own = Structure::Captions.of(document).list.select { |one| one.kind == LISTS[@name] }
        raise Refused, "There is no caption that the #{label} could list." if own.empty?
        raise Refused, "Let captions be counted first: the #{label} is made of them." unless own.all?(&:counted?)
        own.first.sequence
      end

      # Set like the heading that it stands before, or the last one.
      def with_heading(document)
        place = following(document)
        heading = model(document, place) or raise Refused, "Put headings in a heading style first."
        at = place ? document.text_position(place.id) : document.paragraphs.size
        section = place ? place.section : document.sections.size
        refuse_table(document, at)
        runs = [Document::Run.new(words, nil, NOTHING)].freeze
        added = [[heading.style_id, heading.direct, runs], [body_style(document), NOTHING, [].freeze]]
          .map.with_index(document.next_id) { |(style, direct, said), id|
            Document::Paragraph.new(id, :body, section, style, direct, NOTHING, said)
          }
        document.with(paragraphs: document.paragraphs.dup.insert(at, *added).freeze)
      end

      def model(document, place)
        headings = document.paragraphs.select { |one| document.heading_level(one) == 1 && !one.blank? }
        headings.find { |one| one.equal?(place) } || headings.last
      end

      def body_style(document)
        worn = document.paragraphs.select { |one| Survey.role(document, one) == "body" }.map(&:style_id)
        worn.tally.max_by(&:last)&.first || document.styles.default&.id
      end

      def refuse_table(document, at)
        return unless at.positive? && document.paragraphs[at - 1].container && document.paragraphs[at]&.container
        raise Refused, "A part can't begin within a table."
      end
    end
  end
end
