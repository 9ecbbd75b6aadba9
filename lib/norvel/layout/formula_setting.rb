# frozen_string_literal: true

module Norvel
  module Layout
    # Puts formulas among the words of a paragraph: as large as its letters, or as their frame makes them; never wider
    # than the measure.
    class FormulaSetting
      MOST = 2_000_000 # characters of the sources of a document: formulas beyond are set as their letters

      # {source => true} of the formulas of a document that are beyond; each counts once, however often it stands there.
      def self.beyond(document)
        document.reading[:formulas_beyond] ||= begin
          total = 0
          sources = document.everything.flat_map(&:formulas).filter_map(&:formula).uniq
          sources.select { |source| (total += source.size) > MOST }.to_h { |source| [source, true] }.freeze
        end
      end

      def initialize(document)
        @document = document
      end

      # Equations that stand at one place, or nil. measure: of the paragraph, in points
      def put_all(set_items, equations, letters, measure)
        equations&.each do |equation|
          put(set_items, equation, letters, measure)
          set_items.own_align = equation.align if equation.display
        end
      end

      # An Equation, or an Image that is mathematics.
      def put(set_items, object, letters, measure)
        return set_items.words(in_a_row(object), letters) unless structured?(object.formula)
        boxes(object, letters.size, measure).each do |box|
          set_items.object(TextSetting::InlineObject.new(object, box.width, box.ascent, nil, box), box.width, letters)
        end
      end

      private

      def structured?(source)
        !source.nil? && !FormulaSetting.beyond(@document).key?(source)
      end

      def in_a_row(object)
        (object.is_a?(Document::Equation) ? object.text : Mathml.read(object.formula).letters).tr("\n\t\f\v", " ")
      end

      # One with a line of its own that is wider than that is divided where one in the text would be, and what is too
      # wide still is made smaller.
      def boxes(object, size, measure)
        node = Mathml.read(object.formula)
        framed = object.is_a?(Document::Image)
        set = ->(scale, parted) { Formulas.boxes(node, size * scale, display: framed || object.display, parted:) }
        parted = !framed && !object.display
        made = set[1.0, parted]
        made = set[fitted(object, made), false] if framed
        made = set[1.0, parted = true] if !parted && made.first.width > measure
        widest = made.map(&:width).max
        (widest && widest > measure) ? set[measure / widest, parted] : made
      end

      # How much larger a formula is where its frame says how wide it is.
      def fitted(object, boxes)
        wide = boxes.sum(&:width)
        (object.width && wide.positive?) ? (object.width / wide).clamp(0.5, 2.0) : 1.0
      end
    end
  end
end
