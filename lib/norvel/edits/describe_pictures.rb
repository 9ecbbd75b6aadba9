# frozen_string_literal: true

module Norvel
  module Edits
    # Says in words what images show, for those who can't see them (WCAG 2.2, 1.1.1).
    class DescribePictures < Edit
      LONGEST = 2000 # letters; more is text that belongs in the document

      # descriptions: {picture's id => words, empty for none}
      def initialize(descriptions)
        @descriptions = descriptions.transform_values { |text| text.to_s.gsub(/\s+/, " ").strip }
      end

      def change(document)
        missing = @descriptions.keys - document.pictures.map(&:id)
        raise Refused, "Image #{missing.first} is not in this document any more." if missing.any?
        raise Refused, "A description of more than #{LONGEST} letters is text: put it in the document." if @descriptions.values.any? { |text| text.size > LONGEST }
        document.with(pictures: document.pictures.map { |picture| @descriptions.key?(picture.id) ? picture.with(description: @descriptions[picture.id].then { |text| text unless text.empty? }) : picture }.freeze)
      end

      def title(_document)
        (@descriptions.size == 1) ? "Describe image #{@descriptions.keys.first}" : "Describe #{count(@descriptions.size, "image")}"
      end
    end
  end
end
