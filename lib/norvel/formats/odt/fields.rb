# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # What fields compute, read from their elements (ISO/IEC 26300-1 7).
      module Fields
        C = Document::Computed
        # By local names in the text vocabulary. What has no kind of its own is named as in ISO/IEC 29500-1 17.16.5,
        # which both formats understand.
        PLAIN = {
          "page-number" => ->(numerals) { C::PageNumber.new(numerals:) },
          "page-count" => ->(numerals) { C::PageCount.new(numerals:) },
          "title" => ->(_) { C::Title.new }, "author-name" => ->(_) { C::Author.new },
          "initial-creator" => ->(_) { C::Author.new },
          **{"date" => :today, "time" => :now, "creation-date" => :created, "modification-date" => :saved,
             "print-date" => :printed}.transform_values { |of| ->(_) { C::Date.new(of:) } },
          **{"subject" => "SUBJECT", "creator" => "LASTSAVEDBY", "file-name" => "FILENAME", "keywords" => "KEYWORDS",
             "description" => "COMMENTS", "word-count" => "NUMWORDS", "character-count" => "NUMCHARS"}
            .transform_values { |instruction| ->(_) { C::Other.new(instruction:) } }
        }.freeze
        # {style:num-format => Document::Numerals} (16.27.1, 19.502)
        NUMERALS = {"i" => "lower_roman", "I" => "upper_roman", "a" => "lower_letter", "A" => "upper_letter",
                    "1" => "decimal"}.freeze

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

        # Is an element of this name a field?
        def field?(name)
          NAMES.key?(name)
        end

        # What an element of the part computes.
        #   read(<text:page-number/>, part) # => #<Computed::PageNumber>
        def read(node, part)
          case node.name
          when "sequence" then sequence(node, part)
          when "chapter" then C::StyleText.new(level: (part.attr(node, "text:outline-level") || 1).to_i)
          when *REFERRING then reference(node, part)
          else PLAIN[node.name]&.call(numerals(node, part)) || C::Other.new
          end
        end

        # A formula that is a number lets the sequence begin anew with it.
        def sequence(node, part)
          anew = part.attr(node, "text:formula").to_s[/\A(?:\w+:)?\s*(\d+)\s*\z/, 1]
          C::Sequence.new(name: part.attr(node, "text:name").to_s, numerals: numerals(node, part),
            restart: anew&.to_i)
        end

        # A contents list or list of captions.
        def index(node, part)
          source = node.element_children.find { |child| child.name.end_with?("-source") }
          return C::Contents.new(captions: caption(source, part)) unless node.name == "table-of-content"
          levels = source ? (part.attr(source, "text:outline-level") || 3).to_i.clamp(1, 9) : 3
          C::Contents.new(levels: 1..levels)
        end

        def caption(source, part)
          (source && part.attr(source, "text:caption-sequence-name")) || "Figure"
        end

        def numerals(node, part)
          NUMERALS[part.attr(node, "style:num-format")]
        end

        def reference(node, part)
          bookmark = part.attr(node, "text:ref-name").to_s
          return C::Reference.new(bookmark:, as: :note) if node.name == "note-ref"
          return C::PageReference.new(bookmark:) if part.attr(node, "text:reference-format") == "page"
          C::Reference.new(bookmark:)
        end

        private_class_method :sequence, :caption, :numerals, :reference
      end
    end
  end
end
