# frozen_string_literal: true

module Norvel
  module Structure
    # What numbers of sequences say (ISO/IEC 29500-1 17.16.5.56): each counts on from the one before of its name, unless
    # it says where it begins anew.
    class Sequences
      # The fields of sequences that begin in a paragraph.
      def self.in(paragraph)
        Document::Field.in(paragraph).select { |field| field.does == "sequence" }
      end

      def initialize(document)
        @document = document
      end

      # {paragraph id => {field id => text}}
      def numbers
        @numbers ||= begin
          @counts = Hash.new(0)
          @document.paragraphs.each_with_object({}) do |paragraph, found|
            heading(@document.heading_level(paragraph))
            fields = paragraph.plain? ? [] : Sequences.in(paragraph)
            found[paragraph.id] = fields.to_h { |field| [field.id, value(field)] } if fields.any?
          end
        end
      end

      private

      # Sequences that begin anew after headings of a level.
      def heading(level)
        return unless level&.positive?
        (@begun ||= {}).each { |name, from| @counts[name] = 0 if level <= from }
      end

      def value(field)
        sequence = field.computes
        name = sequence.name.downcase
        note(name, sequence.after_heading) if sequence.after_heading
        if sequence.restart then @counts[name] = sequence.restart
        elsif !sequence.repeats then @counts[name] += 1
        end
        Document::Numerals.write(@counts[name], sequence.numerals || "decimal")
      end

      # A heading may have come before the first of its kind tells that it matters: it counts from nothing then anyway.
      def note(name, level)
        (@begun ||= {})[name] = level
      end
    end
  end
end
