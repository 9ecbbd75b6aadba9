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
        refuse(document)
        document.replace(document.paragraphs.select { |one| one.images.any? }.map { |paragraph| described(paragraph) })
      end

      def title(_document)
        return "Describe image #{@descriptions.keys.first}" if @descriptions.size == 1
        "Describe #{count(@descriptions.size, "image")}"
      end

      private

      def refuse(document)
        missing = @descriptions.keys - document.pictures.map(&:id)
        raise Refused, "Image #{missing.first} is not in this document any more." if missing.any?
        return if @descriptions.values.none? { |text| text.size > LONGEST }
        raise Refused, "A description of more than #{LONGEST} letters is text: put it in the document."
      end

      def described(paragraph)
        runs = paragraph.runs.map do |run|
          objects = run.objects.map { |object| described_image(object) }
          (objects == run.objects) ? run : run.with(carried: objects.freeze)
        end
        (runs == paragraph.runs) ? paragraph : paragraph.with(runs: runs.freeze)
      end

      def described_image(object)
        return object unless object.is_a?(Document::Image) && @descriptions.key?(object.id)
        text = @descriptions[object.id]
        object.with(description: (text unless text.empty?))
      end
    end
  end
end
