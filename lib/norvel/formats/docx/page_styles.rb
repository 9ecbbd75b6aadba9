# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Named page set-ups, kept as document variables since WordprocessingML has no name for a section's set-up
      # (ISO/IEC 29500-1 17.15.1.32): pageStyle1 = "Front matter; width=595.3; …", in points.
      module PageStyles
        FOLLOWING = %w[rsids attachedSchema themeFontLang clrSchemeMapping doNotIncludeSubdocsInStats
          doNotAutoCompressPictures forceUpgrade captions readModeInkLockDown
          smartTagType schemaLibrary shapeDefaults doNotEmbedSmartTags decimalSymbol listSeparator].freeze
        PREFIX = "pageStyle"

        module_function

        # The page styles that Norvel keeps in variables of the document (17.15.1.30).
        def read(part)
          variables(part).filter_map { |node| style(part.attr(node, "val").to_s) }
        end

        # Keeps these, and no others.
        def write(part, styles)
          variables(part).each(&:remove)
          holder = part.child(part.root, "docVars") || insert(part, part.create("docVars"))
          styles.each.with_index(1) do |style, number|
            holder.add_child(part.create("docVar", "name" => "#{PREFIX}#{number}", "val" => text(style)))
          end
          holder.remove if holder.element_children.empty?
        end

        # Into the sequence of CT_Settings: before what stands after document variables there.
        def insert(part, holder)
          following = part.root.element_children.find do |element|
            !part.ours?(element) || FOLLOWING.include?(element.name)
          end
          following ? following.add_previous_sibling(holder) : part.root.add_child(holder)
        end

        def variables(part)
          holder = part&.child(part.root, "docVars") or return []
          part.children(holder, "docVar").select { |node| part.attr(node, "name").to_s.match?(/\A#{PREFIX}\d+\z/o) }
        end

        def text(style)
          [style.name, *style.set_up.map { |name, value| "#{name}=#{Length.plain(value)}" }].join("; ")
        end

        # Nil for what does not say a whole set-up.
        def style(text)
          name, *pairs = text.split("; ")
          values = pairs.to_h { |pair| pair.split("=", 2) }.transform_keys(&:to_sym)
          return unless values.keys.sort == Document::SetUp::FIELDS.sort && values.each_value.all? { |value|
            value.to_s.match?(/\A-?\d{1,5}(\.\d+)?\z/)
          }
          numbers = values.to_h { |key, value| [key, (key == :columns) ? value.to_i : value.to_f] }
          Document::PageStyle.new(name:, **numbers)
        end

        private_class_method :variables, :text
      end
    end
  end
end
