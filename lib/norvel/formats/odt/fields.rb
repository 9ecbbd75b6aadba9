# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Fields by their elements (ISO/IEC 26300-1 7), and the instruction that says the same in other formats (ISO/IEC
      # 29500-1 17.16), "" where none does.
      module Fields
        PLAIN = {
          "page-number" => "PAGE", "page-count" => "NUMPAGES", "title" => "TITLE", "subject" => "SUBJECT",
          "author-name" => "AUTHOR", "initial-creator" => "AUTHOR", "creator" => "LASTSAVEDBY", "date" => "DATE",
          "time" => "TIME", "creation-date" => "CREATEDATE", "modification-date" => "SAVEDATE",
          "print-date" => "PRINTDATE", "file-name" => "FILENAME", "keywords" => "KEYWORDS",
          "description" => "COMMENTS", "word-count" => "NUMWORDS", "character-count" => "NUMCHARS"
        }.freeze
        FORMATS = {"i" => "roman", "I" => "ROMAN", "a" => "alphabetic", "A" => "ALPHABETIC", "1" => "Arabic"}.freeze

        # Fields that refer to a place with a name.
        REFERRING = %w[bookmark-ref reference-ref sequence-ref note-ref].freeze
        # All that is computed, by local names in the text vocabulary.
        OTHER = %w[page-continuation sender-firstname sender-lastname sender-initials sender-title sender-position
          sender-email sender-phone-private sender-fax sender-company sender-phone-work sender-street sender-city
          sender-postal-code sender-country sender-state-or-province author-initials variable-set variable-get
          variable-input user-field-get user-field-input expression text-input drop-down placeholder conditional-text
          hidden-text hidden-paragraph user-defined print-time creation-time modification-time editing-cycles
          editing-duration printed-by table-count image-count object-count paragraph-count template-name sheet-name
          dde-connection measure table-formula meta-field execute-macro script bibliography-mark
          database-display database-name database-next database-row-select database-row-number].freeze
        NAMES = (PLAIN.keys + REFERRING + OTHER + %w[sequence chapter]).to_h { |name| [name, true] }.freeze

        module_function

        def field?(name)
          NAMES.key?(name)
        end

        # The instruction of an element of the part.
        #   instruction(<text:page-number/>, part) # => "PAGE"
        def instruction(node, part)
          case node.name
          when "sequence" then sequence(node, part)
          when "chapter" then "STYLEREF #{(part.attr(node, "text:outline-level") || 1).to_i}"
          when *REFERRING then reference(node, part)
          else [PLAIN[node.name], format(node, part)&.then { |word| "\\* #{word}" }].compact.join(" ")
          end
        end

        # A formula that is a number lets the sequence begin anew with it.
        def sequence(node, part)
          anew = part.attr(node, "text:formula").to_s[/\A(?:\w+:)?\s*(\d+)\s*\z/, 1]
          ["SEQ #{quoted(part.attr(node, "text:name"))} \\* #{format(node, part) || "ARABIC"}",
            ("\\r #{anew}" if anew)].compact.join(" ")
        end

        # The instruction of a contents list or list of captions.
        def index(node, part)
          source = node.element_children.find { |child| child.name.end_with?("-source") }
          return "TOC \\h \\z \\c #{quoted(caption(source, part))}" unless node.name == "table-of-content"
          levels = source ? (part.attr(source, "text:outline-level") || 3).to_i.clamp(1, 9) : 3
          "TOC \\o \"1-#{levels}\" \\h \\z \\u"
        end

        def caption(source, part)
          (source && part.attr(source, "text:caption-sequence-name")) || "Figure"
        end

        def format(node, part)
          found = part.attr(node, "style:num-format")
          FORMATS[found] if found && PLAIN.fetch(node.name, "SEQ").match?(/PAGE|SEQ/)
        end

        def reference(node, part)
          name = quoted(part.attr(node, "text:ref-name"))
          return "NOTEREF #{name} \\h" if node.name == "note-ref"
          ((part.attr(node, "text:reference-format") == "page") ? "PAGEREF #{name} \\h" : "REF #{name} \\h")
        end

        def quoted(name)
          name.to_s.match?(/\s/) ? "\"#{name}\"" : name.to_s
        end
      end
    end
  end
end
