# frozen_string_literal: true

module Norvel
  module Edits
    # The look that most of some paragraphs share, property by property.
    class SharedLook
      NEARLY_ALL = 0.9 # of them set a value by hand, for a style to take it though others have it not

      # document: where they stand; paragraphs: at least one; the worded ones count. quiet: where some have a value by
      # hand and others from their style, that of the style counts, so that none of those changes its look
      def initialize(document, paragraphs, quiet: false)
        @document = document
        @quiet = quiet
        worded = paragraphs.reject(&:blank?)
        @alike = (worded.empty? ? paragraphs : worded).group_by(&:formatting)
          .map { |_, list| [list.first, list.size] }
      end

      # The value of a property that most of them have; the first of those that are as frequent.
      def [](name)
        property = Styles::Properties[name]
        whole = @alike.reject { |paragraph, _| mixed(paragraph).include?(name) }
        return of_style(property) if whole.empty?
        counting = @quiet ? quiet_makeups(whole, property) : whole
        counts = counting.each_with_object(Hash.new(0)) do |(paragraph, count), sums|
          sums[look(paragraph, property.on)[name]] += count
        end
        counts.max_by(&:last).first
      end

      # {name => value} of those in which it differs from what a style gives, nil for the document's defaults.
      def beyond(style)
        Fitting::KINDS.flat_map { |place, names|
          given = @document.cascade.of_style(style, place)
          names.filter_map do |name|
            next if @quiet && tabled?(Styles::Properties[name])
            value = self[name]
            [name, value] unless Styles::Properties[name].same?(value, given[name])
          end
        }.to_h
      end

      private

      # Does their table say it of some of them? A style of their own would say otherwise of the others.
      def tabled?(property)
        @alike.any? do |paragraph, _|
          paragraph.table && @document.cascade.decided(property.name, paragraph, paragraph.letters.first).kind == :table
        end
      end

      # Does it have the value from a list that it was put in by hand?
      def listed?(paragraph, property)
        paragraph.direct.key?(:list_id) && @document.cascade.decided(property.name, paragraph).kind == :list
      end

      # Those whose style gives the value, unless they are so few that it is no emphasis of the others.
      def quiet_makeups(makeups, property)
        styled = makeups.reject { |paragraph, _| by_hand?(paragraph, property) }
        return makeups if styled.empty?
        few = styled.sum(&:last) <= makeups.sum(&:last) * (1 - NEARLY_ALL)
        (few && !Fitting::EMPHASIS.include?(property.name)) ? makeups : styled
      end

      # What only some words of a paragraph have is theirs, and no look of the paragraph.
      def mixed(paragraph)
        (@mixed ||= {}.compare_by_identity)[paragraph] ||= Fitting.new(@document, @document).mixed(paragraph)
      end

      def of_style(property)
        @document.cascade.of_style(@document.style_of(@alike.first.first), property.on)[property.name]
      end

      def by_hand?(paragraph, property)
        slots = Styles::Properties.slots_of(property.name)
        return slots.any? { |slot| paragraph.direct.key?(slot) } || listed?(paragraph, property) if property
          .on == :paragraph
        looked = @document.letter_look(paragraph)
        run = paragraph.letters.find { |one| @document.run_look(one, paragraph).equal?(looked) }
        !run.nil? && slots.any? { |slot| run.direct.key?(slot) }
      end

      def look(paragraph, place)
        (place == :run) ? @document.letter_look(paragraph) : @document.look(paragraph)
      end
    end
  end
end
