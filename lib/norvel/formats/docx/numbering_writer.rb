# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Adds lists to the numbering part: a definition each, and the list that counts with it (ISO/IEC 29500-1 17.9; definitions
      # stand before lists).
      class NumberingWriter
        EMPTY = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n<w:numbering xmlns:w="#{Names::TRANSITIONAL}"/>).freeze

        def initialize(part)
          @part = part
        end

        # lists: {id => Document::Numbering::List}
        def add(lists)
          lists.each do |id, list|
            number = next_definition
            first_list = @part.child(@part.root, "num")
            definition = definition(number, list)
            first_list ? first_list.add_previous_sibling(definition) : @part.root.add_child(definition)
            num = @part.create("num", "numId" => id)
            num.add_child(@part.create("abstractNumId", "val" => number))
            (@part.children(@part.root, "num").last || definition).add_next_sibling(num)
          end
        end

        private

        def next_definition
          (@part.children(@part.root, "abstractNum").map { |node| @part.attr(node, "abstractNumId").to_i }.max || -1) + 1
        end

        def definition(number, list)
          node = @part.create("abstractNum", "abstractNumId" => number)
          node.add_child(@part.create("multiLevelType", "val" => "multilevel"))
          list.levels.each { |index, level| node.add_child(level(index, level)) }
          node
        end

        def level(index, level)
          node = @part.create("lvl", "ilvl" => index)
          {"start" => level.start, "numFmt" => Sections::FORMATS.key(level.format), "pStyle" => level.style_id, "isLgl" => (level.legal ? "1" : nil), "suff" => level.suffix, "lvlText" => level.text, "lvlJc" => "left"}
            .each { |name, value| node.add_child(@part.create(name, "val" => value)) unless value.nil? }
          Formatting.write(node, "pPr", :paragraph, Styles::PropertySet::EMPTY, level.paragraph, @part) unless level.paragraph.empty?
          node
        end
      end
    end
  end
end
