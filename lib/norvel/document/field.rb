# frozen_string_literal: true

module Norvel
  class Document
    # Text that is computed (ISO/IEC 29500-1 17.16): where it begins. A value.
    #   id           its ordinal in its story, from 1
    #   does         what it computes, of KINDS
    #   instruction  as the file has it: " PAGE "
    #   cached       the text that was computed last; nil when the field is nowhere closed
    Field = Value.define(:id, :does, :instruction, :cached) do
      self::KINDS = {
        "PAGE" => "page", "NUMPAGES" => "pages", "SECTIONPAGES" => "pages_of_section", "SECTION" => "section",
        "TOC" => "contents",
        "REF" => "reference", "PAGEREF" => "page_reference", "NOTEREF" => "reference", "SEQ" => "sequence",
        "STYLEREF" => "style_text",
        "HYPERLINK" => "link", "TITLE" => "title", "AUTHOR" => "author"
      }.merge(%w[DATE TIME CREATEDATE SAVEDATE PRINTDATE].to_h { |word| [word, "date"] }).freeze

      # What an instruction computes.
      #   Field.does(" PAGE \\* roman ") # => "page"
      def self.does(instruction)
        self::KINDS.fetch(instruction.to_s[/\A\s*(\w+)/, 1].to_s.upcase, "other")
      end

      def kind
        :field
      end

      def key
        does
      end
    end
  end
end
