# frozen_string_literal: true

module Norvel
  module Snapshot
    # The names by which values stand in saved documents: they outlive the names of classes.
    module Kinds
      ALL = {
        "image" => Document::Image, "box" => Document::TextBox, "note" => Document::NoteMark,
        "field_part" => Document::FieldPart, "field_result" => Document::FieldResult, "link" => Document::Link,
        "bookmark" => Document::Bookmark, "comment" => Document::CommentMark, "equation" => Document::Equation,
        "sign" => Document::CharacterSign, "unknown" => Document::Unknown, "table" => Document::Table,
        "row" => Document::Row,
        "cell" => Document::Cell, "section" => Document::Section, "page_style" => Document::PageStyle,
        "settings" => Document::Settings, "style" => Styles::Style, "level" => Document::ListLevel
      }.freeze
      NAMES = ALL.invert.freeze
      # {a document's field => its key}, where they differ
      KEYS = {styles: :sheet}.freeze

      module_function

      def name(value)
        NAMES.fetch(value.class)
      end

      def field_key(field)
        KEYS.fetch(field, field)
      end

      def field_of(key)
        KEYS.key(key) || key
      end

      # Fields stand as their instruction (ISO/IEC 29500-1 17.16).
      def field(value)
        instruction = Formats::Docx::FieldInstructions.of(value)
        {"~": "field", id: value.id, instruction:, cached: value.cached}.compact
      end

      # A value of that name with these members. Raises Error for a name of another edition.
      def make(name, members)
        if name == "field"
          return Formats::Docx::FieldInstructions.field(*members.values_at(:id, :instruction, :cached))
        end
        ALL.fetch(name) { raise Error, "This document was saved by another edition of Norvel." }.new(**members)
      end
    end
  end
end
