# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The element of a contents list or a list of captions, from the instruction of its field: its levels and what it
      # lists, with an empty body for the entries as they are (ISO/IEC 26300-1 8).
      module IndexElements
        ENTRY = %w[text:index-entry-link-start text:index-entry-chapter text:index-entry-text].freeze
        LEVELS = 3

        module_function

        def make(field, part, number)
          captions = field.instruction[/\\c\s+"?([^"\\]+?)"?(?:\s|\z)/, 1]
          captions ? of_captions(captions, part, number) : of_headings(field, part, number)
        end

        def of_headings(field, part, number)
          levels = (field.instruction[/\\o\s+"?1-(\d)"?/, 1] || LEVELS).to_i
          list = part.create("text:table-of-content", "text:name" => "Contents#{number}")
          source = list.add_child(part.create("text:table-of-content-source", "text:outline-level" => levels))
          (1..levels).each do |level|
            source.add_child(template("text:table-of-content-entry-template", part,
              "text:outline-level" => level, "text:style-name" => Names.encoded("Contents #{level}")))
          end
          list.add_child(part.create("text:index-body"))
          list
        end

        def of_captions(name, part, number)
          list = part.create("text:illustration-index", "text:name" => "Captions#{number}")
          source = list.add_child(part.create("text:illustration-index-source", "text:caption-sequence-name" => name,
            "text:caption-sequence-format" => "text"))
          source.add_child(template("text:illustration-index-entry-template", part,
            "text:style-name" => "Illustration_20_Index_20_1"))
          list.add_child(part.create("text:index-body"))
          list
        end

        def template(name, part, attributes)
          node = part.create(name, attributes)
          entry = name.include?("illustration") ? ENTRY - ["text:index-entry-chapter"] : ENTRY
          entry.each { |child| node.add_child(part.create(child)) }
          node.add_child(part.create("text:index-entry-tab-stop", "style:type" => "right", "style:leader-char" => "."))
          node.add_child(part.create("text:index-entry-page-number"))
          node.add_child(part.create("text:index-entry-link-end"))
          node
        end
      end
    end
  end
end
