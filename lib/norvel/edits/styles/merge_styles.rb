# frozen_string_literal: true

module Norvel
  module Edits
    # Makes one style of two: what is in the first goes to the second, the first is deleted, and direct formatting of
    # its users that says what the second says anyway goes.
    class MergeStyles < StyleEdit
      def initialize(id, into)
        @id = id
        @into = into
      end

      def change(document)
        style, into = style(document, @id), style(document, @into)
        raise Refused, "Choose two styles." if style.equal?(into)
        unless style.type == into.type
          raise Refused, "#{style.name} is a #{style.type} style and #{into.name} a #{into.type} style: " \
            "they can't be one."
        end
        if style.default
          raise Refused, "#{style.name} is the style of all text that is in no other: " \
            "merge #{into.name} into it instead."
        end
        document = with_sheet(document, flattened(document, style, into)) if document.styles.chain(into).include?(style)
        merged = DeleteStyles.new([@id], to: @into).change(document)
        merged.with_everything(document.everything.zip(merged.everything)
          .map { |was, now| (was.style_id == style.id) ? spared(now, merged) : now })
      end

      def title(document)
        "Merge #{name_of(document, @id)} into #{name_of(document, @into)}"
      end

      private

      # When the second is based on the first it takes the first's base and values.
      def flattened(document, style, into)
        chain = document.styles.chain(into)
        between = chain.drop(chain.index(style))
        values = ->(place) { between.inject(Styles::PropertySet::EMPTY) { |set, link| set.merge(link.set(place)) } }
        document.styles.by_id.merge(into.id => into.with(based_on: style.based_on, paragraph: values[:paragraph],
          run: values[:run]))
      end

      # The paragraph without direct values that its style gives.
      def spared(paragraph, document)
        style = document.style_of(paragraph)
        letters = document.cascade.of_style(style, :run)
        runs = paragraph.runs.map { |run| run.style_id ? run : run.with(direct: needed(run.direct, letters)) }
        paragraph.with(direct: needed(paragraph.direct, document.cascade.of_style(style, :paragraph)),
          runs: runs.freeze)
      end

      def needed(direct, look)
        equal = direct.keys.select do |slot|
          (property = Styles::Properties[slot]).clear == :look && property.shown? &&
            property.same?(direct[slot], look[slot])
        end
        direct.without(*equal)
      end
    end
  end
end
