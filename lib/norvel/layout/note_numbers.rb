# frozen_string_literal: true

module Norvel
  module Layout
    # What the marks of notes say: counted in the order of the text, each kind for itself, by the section or the page
    # they are in (ISO/IEC 29500-1 17.11.11, 17.11.19).
    class NoteNumbers
      FORMATS = {"footnote" => "decimal", "endnote" => "lower_roman"}.freeze

      # Are notes counted anew on each page?
      def self.by_page?(document)
        document.sections.flat_map { |one| one.notes.values }.any? { |told| told[:restart].to_s.match?(/page/i) }
      end

      # {note id => index of the sheet that its mark stands on} of a Result.
      def self.sheets(result)
        result.sheets.each_with_index.with_object({}) do |(sheet, index), found|
          sheet.each_line { |line| line.block.notes(line.line, line.line + 1).each { |id| found[id] ||= index } }
        end
      end

      # sheets: what these say of a round before
      def initialize(document, sheets = {})
        @sheets = sheets
        @sections = document.sections
        @owners = document.stories.select(&:note?)
          .flat_map { |story| story.paragraphs.map { |paragraph| [paragraph.id, story.id] } }.to_h
        @numbers = {}
        @counts = Hash.new(0)
        @section = nil
        document.paragraphs.each { |paragraph| count(paragraph) unless paragraph.plain? }
      end

      # What a mark in a paragraph says; that at a note's own beginning says the number of the note.
      def of(mark, paragraph)
        @numbers[[mark.of, mark.note || @owners[paragraph.id]]] || ""
      end

      # Ids of the endnotes called, in order.
      def endnotes
        @numbers.keys.filter_map { |of, id| id if of == "endnote" }
      end

      # What a note in a story says of itself.
      def of_story(story)
        @numbers[[story.kind, story.id]] || ""
      end

      private

      def count(paragraph)
        restart(paragraph.section) if paragraph.section != @section
        paragraph.runs.each do |run|
          run.objects.each { |object| number(object) if object.is_a?(Document::NoteMark) && object.note }
        end
      end

      def number(mark)
        told = numbering_of(mark.of)
        turn(mark) if told[:restart].to_s.match?(/page/i)
        shown = (told[:start] || 1) + @counts[mark.of]
        @counts[mark.of] += 1
        @numbers[[mark.of, mark.note]] ||= Document::Numerals.write(shown, told[:format] || FORMATS[mark.of])
      end

      # On another page than the mark before, counting begins anew.
      def turn(mark)
        sheet = @sheets[mark.note]
        @counts[mark.of] = 0 if @sheet && sheet && sheet != @sheet
        @sheet = sheet || @sheet
      end

      def restart(section)
        @section = section
        FORMATS.each_key { |of| @counts[of] = 0 if numbering_of(of)[:restart].to_s.match?(/section/i) }
      end

      def numbering_of(of)
        @sections[(@section || 1) - 1]&.notes&.[](of.to_sym) || {}
      end
    end
  end
end
