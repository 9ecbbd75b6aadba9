# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The elements of what fields compute, made (ISO/IEC 26300-1 7).
      module FieldElements
        C = Document::Computed
        PLAIN = {C::PageNumber => "page-number", C::PageCount => "page-count", C::Title => "title",
                 C::Author => "initial-creator"}.freeze
        DATES = {today: "date", now: "time", created: "creation-date", saved: "modification-date",
                 printed: "print-date"}.freeze

        module_function

        # A new element without its text; nil for what OpenDocument does not compute.
        def make(computes, part)
          case computes
          when *PLAIN.keys then plain(computes, part)
          when C::Date then part.create("text:#{DATES.fetch(computes.of)}", "text:fixed" => "true")
          when C::Sequence then sequence(computes, part)
          when C::Reference then reference(computes, part)
          when C::PageReference then bookmark(computes, "page", part)
          when C::StyleText then chapter(computes, part)
          end
        end

        def plain(computes, part)
          page = {"text:select-page" => "current"} if computes.is_a?(C::PageNumber)
          part.create("text:#{PLAIN.fetch(computes.class)}",
            {"style:num-format" => Fields::NUMERALS.key(computes.numerals), **(page || {})})
        end

        def sequence(sequence, part)
          part.create("text:sequence", "text:name" => sequence.name,
            "text:formula" => sequence.restart || "#{sequence.name}+1",
            "style:num-format" => Fields::NUMERALS.key(sequence.numerals || "decimal"))
        end

        def reference(reference, part)
          return bookmark(reference, "text", part) unless reference.as == :note
          part.create("text:note-ref", "text:note-class" => "footnote", "text:ref-name" => reference.bookmark,
            "text:reference-format" => "text")
        end

        def bookmark(reference, format, part)
          part.create("text:bookmark-ref", "text:ref-name" => reference.bookmark, "text:reference-format" => format)
        end

        # The text of the nearest heading; for other styles there is nothing like it.
        def chapter(text, part)
          level = text.level || text.style[/\Aheading (\d)\z/i, 1] or return
          part.create("text:chapter", "text:display" => "name", "text:outline-level" => level)
        end

        private_class_method :plain, :sequence, :reference, :bookmark, :chapter
      end
    end
  end
end
