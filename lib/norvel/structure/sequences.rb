# frozen_string_literal: true

module Norvel
  module Structure
    # What numbers of sequences say (ISO/IEC 29500-1 17.16.5.56): each counts on from the one before of its name, unless
    # its instruction says where it begins anew.
    class Sequences
      SWITCH = ->(letter) { /\\#{letter}\s*(\d+)/i }
      RESET, AFTER_HEADING = SWITCH["r"], SWITCH["s"]

      # The fields of sequences that begin in a paragraph.
      def self.in(paragraph)
        Layout::FieldValues.in(paragraph).select { |field| field.does == "sequence" }
      end

      # The name that a field counts in.
      def self.name(field)
        field.instruction.to_s[/SEQ\s+(?:"([^"]+)"|([^\\\s]+))/i] && ($1 || $2)
      end

      def initialize(document)
        @document = document
      end

      # {paragraph id => {field id => text}}
      def said
        @said ||= begin
          @counts = Hash.new(0)
          @document.paragraphs.each_with_object({}) do |paragraph, said|
            heading(@document.heading_level(paragraph))
            fields = paragraph.plain? ? [] : Sequences.in(paragraph)
            said[paragraph.id] = fields.to_h { |field| [field.id, value(field)] } if fields.any?
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
        name, instruction = Sequences.name(field).to_s.downcase, field.instruction.to_s
        (level = instruction[AFTER_HEADING, 1]) && note(name, level.to_i)
        if (number = instruction[RESET, 1]) then @counts[name] = number.to_i
        elsif !instruction.match?(/\\c\b/i) then @counts[name] += 1
        end
        Document::Numerals.write(@counts[name], Layout::FieldValues.format(instruction) || "decimal")
      end

      # A heading may have come before the first of its kind tells that it matters: it counts from nothing then anyway.
      def note(name, level)
        (@begun ||= {})[name] = level
      end
    end
  end
end
