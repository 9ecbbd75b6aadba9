# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Brings the numbering part to what the model says (ISO/IEC 29500-1 17.9): levels that were changed are patched,
      # new definitions and lists added. What nothing uses is not added.
      class NumberingWriter
        NONE = Document::ListLevel.new(start: nil, format: nil, suffix: nil, align: nil)
        EMPTY = Names.empty("numbering").freeze

        # What has to be written of a numbering: [{id => definition}, {id => list}].
        def self.changes(document, was)
          now = document.numbering
          sets = document.styles.by_id.values.map(&:paragraph) + document.paragraphs.map(&:direct)
          used = sets.to_h { |set| [set[:list_id], true] }
          lists = now.lists.select { |id, _| !was.known?(id) && used[id] }
          reached = lists.values.map(&:definition_id)
          definitions = now.definitions.select do |id, definition|
            was.definitions.key?(id) ? was.definitions[id] != definition : reached.include?(id)
          end
          [definitions, lists]
        end

        def initialize(part)
          @part = part
        end

        # Writes definitions and lists; was: the numbering that the part holds.
        def write(definitions, lists, was)
          definitions.each { |id, definition| definition(id, was.definitions[id], definition) }
          lists.each { |id, list| list(id, list) }
        end

        private

        def definition(id, was, now)
          node = @part.children(@part.root, "abstractNum").find { |other| @part.attr(other, "abstractNumId") == id } ||
            added(id)
          value(node, "styleLink", was&.style_id, now.style_id)
          now.levels.each { |number, level| level(node, number, was&.levels&.[](number), level) }
        end

        def added(id)
          node = @part.insert(@part.root, @part.create("abstractNum", "abstractNumId" => id))
          @part.set(@part.place(node, "multiLevelType"), "val", "multilevel")
          node
        end

        def level(definition, number, was, now)
          return if was == now
          node = @part.children(definition, "lvl").find { |other| @part.attr(other, "ilvl").to_i == number } ||
            @part.insert(definition, @part.create("lvl", "ilvl" => number))
          patch(node, was || NONE, now)
        end

        def patch(node, was, now)
          value(node, "start", was.start, now.start)
          value(node, "numFmt", Sections::FORMATS.key(was.format), Sections::FORMATS.key(now.format))
          value(node, "lvlRestart", was.restart_after, now.restart_after)
          value(node, "pStyle", was.style_id, now.style_id)
          value(node, "isLgl", was.legal ? "1" : nil, now.legal ? "1" : nil)
          value(node, "suff", was.suffix, now.suffix)
          value(node, "lvlText", was.text, now.text)
          value(node, "lvlJc", side(was.align), side(now.align))
          Formatting.write(node, "pPr", :paragraph, was.paragraph, now.paragraph, @part)
          Formatting.write(node, "rPr", :run, was.run, now.run, @part)
        end

        # The strict class knows the ends of a line, not its sides.
        def side(align)
          @part.strict? ? {"left" => "start", "right" => "end"}.fetch(align, align) : align
        end

        def value(node, name, was, now)
          return if was == now
          now.nil? ? @part.drop(node, name) : @part.set(@part.place(node, name), "val", now)
        end

        # A level that one list has otherwise than its definition.
        def replaced(node, number, level)
          override = @part.children(node, "lvlOverride").find { |one| @part.attr(one, "ilvl").to_i == number } ||
            @part.insert(node, @part.create("lvlOverride", "ilvl" => number))
          made = override.add_child(@part.create("lvl", "ilvl" => number))
          patch(made, NONE, level)
        end

        def list(id, list)
          node = @part.insert(@part.root, @part.create("num", "numId" => id))
          @part.set(@part.place(node, "abstractNumId"), "val", list.definition_id)
          list.starts.each do |level, start|
            override = @part.insert(node, @part.create("lvlOverride", "ilvl" => level))
            override.add_child(@part.create("startOverride", "val" => start))
          end
          list.overrides.each { |number, level| replaced(node, number, level) }
        end
      end
    end
  end
end
