# frozen_string_literal: true

module Norvel
  module Edits
    # Says in words what images show, for those who can't see them, or that they are decoration, of which nothing is
    # announced (WCAG 2.2, 1.1.1).
    class DescribePictures < Edit
      LONGEST = 2000 # letters; more is text that belongs in the document

      # descriptions: {picture's id => words, empty for none}; decorative: {picture's id => is it decoration?}
      def initialize(descriptions, decorative: {})
        @decorative = decorative
        @descriptions = descriptions.transform_values { |text| text.to_s.gsub(/\s+/, " ").strip }
      end

      def change(document)
        refuse(document)
        document.replace(document.paragraphs.select { |one| one.images.any? }.map { |paragraph| described(paragraph) })
      end

      def title(_document)
        [said(@descriptions.keys, "Describe %s"), said(@decorative.select { |_, on| on }.keys, "Mark %s as decoration"),
          said(@decorative.reject { |_, on| on }.keys, "Mark %s as no decoration")].compact.join("; ")
      end

      private

      def said(ids, words)
        format(words, (ids.size == 1) ? "image #{ids.first}" : count(ids.size, "image")) if ids.any?
      end

      def refuse(document)
        raise Refused, "A file of this format can't mark an image as decoration." if @decorative.value?(true) &&
          !document.conventions.decorations
        missing = (@descriptions.keys | @decorative.keys) - document.pictures.map(&:id)
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
        return object unless object.is_a?(Document::Image)
        text = @descriptions.fetch(object.id) { object.description.to_s }
        decorative = @decorative.fetch(object.id, object.decorative)
        described = (text unless text.empty?)
        return object if [described, decorative] == [object.description, object.decorative]
        object.with(description: described, decorative:)
      end
    end
  end
end
