# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The element of a contents list or a list of captions, made: its levels and what it lists,
      # with an empty body for the entries as they are (ISO/IEC 26300-1 8).
      module IndexElements
        LEVELS = 3 # of a list that says none
        ENTRY = %w[text:index-entry-link-start text:index-entry-chapter text:index-entry-text].freeze

        module_function

        # contents: a Document::Computed::Contents
        def make(contents, part, number)
          return of_captions(contents.captions, part, number) if contents.captions
          of_headings(contents.levels&.end || LEVELS, part, number)
        end

        def of_headings(levels, part, number)
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

        private_class_method :of_headings, :of_captions, :template
      end
    end
  end
end
