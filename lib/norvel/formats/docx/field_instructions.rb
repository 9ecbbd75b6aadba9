# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The grammar of field instructions (ISO/IEC 29500-1 17.16): a word, its arguments, switches after backslashes.
      module FieldInstructions
        C = Document::Computed

        # A switch with its argument.
        SWITCH = ->(letter, argument) { /\\#{letter}\s*#{argument}/i }
        NUMERALS = {"roman" => "lower_roman", "ROMAN" => "upper_roman", "Roman" => "upper_roman",
                    "alphabetic" => "lower_letter", "ALPHABETIC" => "upper_letter", "Arabic" => "decimal",
                    "ARABIC" => "decimal"}.freeze
        SIMPLE = {"PAGE" => C::PageNumber, "NUMPAGES" => C::PageCount, "SECTIONPAGES" => C::SectionPageCount,
                  "SECTION" => C::SectionNumber, "TITLE" => C::Title, "AUTHOR" => C::Author}.freeze
        DATES = {"DATE" => :today, "TIME" => :now, "CREATEDATE" => :created, "SAVEDATE" => :saved,
                 "PRINTDATE" => :printed}.freeze
        OTHERWISE = /\\[rnwpfd]\b/i # a reference that asks for a number or a direction instead of the words

        class << self
          # The Document::Field that an instruction says.
          #   field(1, " PAGE \\* roman ", "iv").computes # => #<Computed::PageNumber numerals="lower_roman">
          def field(id, text, cached)
            computes = read(text)
            Document::Field.new(id:, computes:, cached:, source: (text unless write(computes) == text))
          end

          # The instruction of a field as its file has it, or as it is usual.
          def of(field)
            field.source || write(field.computes)
          end

          # What an instruction computes, of Document::Computed.
          def read(text)
            word, name = words(text)
            return SIMPLE.fetch(word).new(numerals: numerals(text)) if SIMPLE.key?(word)
            return C::Date.new(of: DATES.fetch(word)) if DATES.key?(word)
            case word
            when "TOC" then contents(text)
            when "REF" then C::Reference.new(bookmark: name, as: text.match?(OTHERWISE) ? :other : :words)
            when "NOTEREF" then C::Reference.new(bookmark: name, as: :note)
            when "PAGEREF" then C::PageReference.new(bookmark: name)
            when "SEQ" then sequence(text, name)
            when "STYLEREF" then style_text(name)
            when "HYPERLINK" then link(text, name)
            else C::Other.new(instruction: text)
            end
          end

          # The usual instruction for what a field computes; "" where none does.
          def write(computes)
            case computes
            when C::Contents then written_contents(computes)
            when C::Reference then "#{(computes.as == :note) ? "NOTEREF" : "REF"} #{quoted(computes.bookmark)} \\h"
            when C::PageReference then "PAGEREF #{quoted(computes.bookmark)} \\h"
            when C::Sequence then written_sequence(computes)
            when C::StyleText then "STYLEREF #{computes.level || %("#{computes.style}")}"
            when C::Link then written_link(computes)
            when C::Date then DATES.key(computes.of)
            when C::Other then computes.instruction
            else with_numerals(SIMPLE.key(computes.class), computes.numerals)
            end
          end

          private

          # [the first word, the first argument after it]
          def words(text)
            found = text.scan(/"([^"]*)"|(\S+)/).map { |quoted, bare| quoted || bare }
            [found[0].to_s.upcase, found[1].to_s]
          end

          def numerals(text)
            NUMERALS[text[/\\\*\s*(\w+)/, 1]]
          end

          def contents(text)
            captions = text[/\\[ac]\s+"?([^"\\]+?)"?\s*(?:\\|\z)/i, 1]
            return C::Contents.new(captions:, labels: !text.match?(/\\a\s/i)) if captions
            from, to = text.match(/\\o\s+"?(\d)\s*-\s*(\d)/)&.captures
            C::Contents.new(levels: (from.to_i..to.to_i if from))
          end

          def sequence(text, name)
            C::Sequence.new(name:, numerals: numerals(text), restart: text[SWITCH["r", '(\d+)'], 1]&.to_i,
              after_heading: text[SWITCH["s", '(\d+)'], 1]&.to_i, repeats: text.match?(/\\c\b/i))
          end

          # A bare number is a heading's level.
          def style_text(name)
            return C::StyleText.new(level: name.to_i) if name.match?(/\A[1-9]\z/)
            C::StyleText.new(style: name)
          end

          def link(text, name)
            bookmark = text[/\\l\s+"?([^"\s]+)"?/, 1]
            C::Link.new(address: (name unless bookmark), bookmark:)
          end

          def written_contents(contents)
            return %(TOC \\h \\z #{contents.labels ? "\\c" : "\\a"} "#{contents.captions}") if contents.captions
            levels = %(\\o "#{contents.levels.begin}-#{contents.levels.end}") if contents.levels
            ["TOC", levels, "\\h \\z \\u"].compact.join(" ")
          end

          def written_sequence(sequence)
            ["SEQ #{quoted(sequence.name)} \\* #{NUMERALS.key(sequence.numerals) || "ARABIC"}",
              ("\\r #{sequence.restart}" if sequence.restart),
              ("\\s #{sequence.after_heading}" if sequence.after_heading),
              ("\\c" if sequence.repeats)].compact.join(" ")
          end

          def written_link(link)
            link.bookmark ? %(HYPERLINK \\l "#{link.bookmark}") : %(HYPERLINK "#{link.address}")
          end

          def with_numerals(word, numerals)
            [word, numerals && "\\* #{NUMERALS.key(numerals)}"].compact.join(" ")
          end

          def quoted(name)
            name.to_s.match?(/\s/) ? "\"#{name}\"" : name.to_s
          end
        end
      end
    end
  end
end
