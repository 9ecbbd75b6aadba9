# frozen_string_literal: true

module Norvel
  module Snapshot
    # The names by which values stand in saved documents: they outlive the names of classes.
    module Kinds
      ALL = {
        "image" => Document::Image, "shape" => Document::Shape, "anchorage" => Document::Anchorage,
        "box" => Document::TextBox, "note" => Document::NoteMark,
        "field_part" => Document::FieldPart, "field_result" => Document::FieldResult, "link" => Document::Link,
        "bookmark" => Document::Bookmark, "comment" => Document::CommentMark, "equation" => Document::Equation,
        "sign" => Document::CharacterSign, "unknown" => Document::Unknown, "table" => Document::Table,
        "row" => Document::Row,
        "cell" => Document::Cell, "section" => Document::Section, "page_style" => Document::PageStyle,
        "settings" => Document::Settings, "style" => Styles::Style, "level" => Document::ListLevel
      }.freeze
      NAMES = ALL.invert.freeze
      # {a document's field => its key}, where they differ
      DOCX = Formats::Docx::Codecs
      KEYS = {styles: :sheet}.freeze

      module_function

      # The name that a kind of object is saved by.
      def name(value)
        NAMES.fetch(value.class)
      end

      # The values of a property set; lines and tab stops stand as their attributes (ISO/IEC 29500-1 17.3.1.24, .37).
      def properties(values)
        values.to_h do |slot, value|
          case slot
          when :borders then [slot, value&.transform_values { |line| DOCX::Borders.attributes(line) }]
          when :tabs then [slot, value&.values&.to_h { |stop| [(found = DOCX::Tabs.attributes(stop))[:pos], found] }]
          else [slot, value]
          end
        end
      end

      # The properties that were saved, borders and tabs as values.
      def properties_of(data)
        data.to_h do |slot, value|
          case slot
          when :borders then [slot, value&.transform_values { |line| DOCX::Borders.line(line) }]
          when :tabs
            stops = value&.map { |place, stop| DOCX::Tabs.stop({pos: place.to_s, **stop}) }
            [slot, stops&.to_h { |stop| [stop.place, stop] }]
          else [slot, value]
          end
        end
      end

      # Lines of cells and pages.
      def line(value)
        {style: value.kind, width: value.width, color: Colour.hex(value.color), space: value.space}
      end

      LINE = %i[style width color].freeze

      # The Styles::BorderLine that was saved.
      def line_of(data)
        Styles::BorderLine.new(kind: data[:style], width: data[:width], color: data[:color] || "auto",
          space: data[:space].to_f)
      end

      # The key that a field is saved by.
      def field_key(field)
        KEYS.fetch(field, field)
      end

      # The field that a key stands for.
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
