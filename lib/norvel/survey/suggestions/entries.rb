# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Contents entries, captions, code, text in tables.
      class Entries < Finder
        WORDS = 60 # of a caption, a contents entry, a line of code

        def find
          code_lines
          captions
          left.each do |paragraph|
            if typewritten?(paragraph) then put(paragraph, "code", 0.85, "in a typewriter face")
            elsif paragraph.part == :table && !heading_box?(paragraph)
              put(paragraph, "table_text", 0.95, "in a table")
            end
          end
        end

        private

        def captions
          left(WORDS).each do |paragraph|
            seen = traits(paragraph)
            if seen.paged? && beside(paragraph).any? { |other| traits(other).paged? }
              put(paragraph, "contents_entry", 0.95, "ends in a page number", "among others that do")
            elsif seen.caption && caption?(paragraph, seen)
              put(paragraph, "caption", 0.95, "begins like a caption", "short")
            end
          end
        end

        # "Figure 3 shows …" is a sentence of the text: a caption is short, or unlike the text, or at an object.
        def caption?(paragraph, seen)
          return true if beside(paragraph).any? { |other| traits(other).object? && traits(other).words.zero? } ||
            beside(paragraph).any? { |other| other.part == :table && paragraph.part != :table && seen.words <= 40 }
          separator = seen.text.match?(/\A\S+[\s\u00A0]+[^\s:.–—]+(?:\.\d+)*\s*[.:–—]/)
          unlike = size(paragraph) < body.size || (letters(paragraph)[:italic] && !body.italic?) ||
            (letters(paragraph)[:bold] && !body.bold?) || look(paragraph)[:align] == "center"
          seen.words <= 40 && (unlike || (separator && seen.words <= 25))
        end

        # Rows of lines written as programs are, in whatever face.
        def code_lines
          rows(left(WORDS), 2) { |paragraph| paragraph.part == :body && code?(paragraph) }.each do |row|
            next unless row.count { |paragraph| traits(paragraph).surely_code? } * 2 >= row.size
            row.each { |paragraph| put(paragraph, "code", 0.85, "written as a program is", "among others that are") }
          end
          worded.each { |paragraph| put(paragraph, "code", 0.85, "lines of a program") if open_block?(paragraph) }
        end

        # One paragraph of several lines.
        def open_block?(paragraph)
          return false if known?(paragraph) || paragraph.part != :body || !paragraph.text.include?("\n")
          lines = paragraph.text.split("\n").reject { |line| line.strip.empty? }
          !lines[1].nil? && lines.count { |line| Traits::SURE_CODE.match?(line) } * 2 >= lines.size
        end

        def code?(paragraph)
          traits(paragraph).code? && !worded_item?(paragraph)
        end

        # "a float of copper;", "(b) two days of a carpenter;": an item of a list.
        def worded_item?(paragraph)
          seen = traits(paragraph)
          return true if seen.bullet? || look(paragraph)[:list] || %i[letter decimal roman].include?(seen.kind)
          seen.words >= 3 && seen.worded_item?
        end

        def typewritten?(paragraph)
          paragraph.part == :body && typewriter?(letters(paragraph)) && !typed_all?
        end

        # Is all of the text in such a face?
        def typed_all?
          return @typed_all unless @typed_all.nil?
          @typed_all = ShippedFonts.stand_in(body.font).kind == "mono"
        end

        def typewriter?(letters)
          @typewriter ||= Hash.new { |known, look| known[look] = ShippedFonts.stand_in(look[:font]).kind == "mono" }
            .compare_by_identity
          @typewriter[letters]
        end

        # A lone line in a table of one cell may be a heading in a frame.
        def heading_box?(paragraph)
          @draft.boxed?(paragraph) && traits(paragraph).short? && !traits(paragraph).sentence?
        end
      end
    end
  end
end
