# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The element that computes what a field of the document does (ISO/IEC 26300-1 7), from its instruction (ISO/IEC
      # 29500-1 17.16).
      module FieldElements
        PLAIN = {"page" => "page-number", "pages" => "page-count", "title" => "title", "author" => "initial-creator"}
          .freeze
        DATES = {"DATE" => "date", "TIME" => "time", "CREATEDATE" => "creation-date", "SAVEDATE" => "modification-date",
                 "PRINTDATE" => "print-date"}.freeze
        SWITCHES = {"roman" => "i", "ROMAN" => "I", "alphabetic" => "a", "ALPHABETIC" => "A", "arabic" => "1"}.freeze

        module_function

        # A new element without its text; nil for what OpenDocument does not compute.
        def make(field, part)
          word, name = words(field)
          case field.does
          when "page", "pages", "title", "author" then plain(field, part)
          when "date" then part.create("text:#{DATES.fetch(word)}", "text:fixed" => "true")
          when "sequence" then sequence(field, name, part)
          when "reference", "page_reference" then reference(word, name, field, part)
          when "style_text" then chapter(name, part)
          end
        end

        # [the first word of an instruction, its first argument]
        def words(field)
          found = field.instruction.to_s.scan(/"([^"]*)"|(\S+)/).map { |quoted, bare| quoted || bare }
          [found[0].to_s.upcase, found[1].to_s]
        end

        def plain(field, part)
          name = PLAIN.fetch(field.does)
          page = {"text:select-page" => "current"} if field.does == "page"
          part.create("text:#{name}", {"style:num-format" => format(field), **(page || {})})
        end

        def format(field)
          switch = field.instruction.to_s[/\\\*\s*(\w+)/, 1].to_s
          SWITCHES[switch] || SWITCHES[switch.downcase]
        end

        def sequence(field, name, part)
          anew = field.instruction[/\\r\s*(\d+)/i, 1]
          part.create("text:sequence", "text:name" => name, "text:formula" => anew || "#{name}+1",
            "style:num-format" => format(field) || "1")
        end

        def reference(word, name, field, part)
          if word == "NOTEREF"
            return part.create("text:note-ref", "text:note-class" => "footnote", "text:ref-name" => name,
              "text:reference-format" => "text")
          end
          part.create("text:bookmark-ref", "text:ref-name" => name,
            "text:reference-format" => ((field.does == "page_reference") ? "page" : "text"))
        end

        # The text of the nearest heading; for other styles there is nothing like it.
        def chapter(name, part)
          level = name[/\A(?:heading )?(\d)\z/i, 1] or return
          part.create("text:chapter", "text:display" => "name", "text:outline-level" => level)
        end
      end
    end
  end
end
