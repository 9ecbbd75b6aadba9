# frozen_string_literal: true

module Norvel
  module Report
    # The JSON of `inspect`, a public interface: docs/command-line.md says what each field means. Looks are shared by
    # thousands of paragraphs and runs, so each is turned into JSON once.
    class Inspection
      # only: the number of one paragraph, or nil for all
      def initialize(document, file:, only: nil)
        @document = document
        @file = file
        @only = only
        @looks = {}.compare_by_identity
        @keys = {}.compare_by_identity
      end

      # The whole as text.
      def to_json(*)
        head = {file: File.basename(@file), format: @document.format, sections:, styles:}.to_json.delete_suffix("}")
        %(#{head},"paragraphs":[#{paragraphs.join(",")}],"other_parts":#{other_parts.to_json}})
      end

      private

      def sections
        @document.sections.each_with_index.map do |section, index|
          {section: index + 1, starts: section.starts, width_pt: section.width.round(2),
           height_pt: section.height.round(2), margin_top_pt: section.margin_top.round(2),
           margin_bottom_pt: section.margin_bottom.round(2),
           margin_left_pt: section.margin_left.round(2), margin_right_pt: section.margin_right.round(2),
           number_format: section.number_format, number_start: section.number_start, columns: section.columns}
        end
      end

      def styles
        sheet = @document.styles
        characters = Hash.new(0)
        @document.paragraphs.each { |p| p.runs.each { |r| characters[r.style_id] += 1 if r.style_id } }
        sheet.by_id.values.map do |style|
          {name: style.name, type: style.type, based_on: sheet[style.based_on]&.name,
           next: (sheet[style.next_id] || (style if style.paragraph?))&.name,
           used: style.character? ? characters[style.id] : @document.uses[style.id]}
        end
      end

      def paragraphs
        numbered = @document.paragraphs.each.with_index(1)
        numbered = numbered.select { |_, index| index == @only } if @only
        numbered.map { |paragraph, index| paragraph(paragraph, index) }
      end

      def paragraph(paragraph, index)
        runs = paragraph.runs.map { |run| run(run, paragraph) }.join(",")
        style = @document.style_name(paragraph).to_json
        %({"index":#{index},"part":"#{paragraph.part}","section":#{paragraph.section},"style":#{style},) +
          %("text":#{paragraph.text.to_json},"blank":#{paragraph.blank?},"effective":#{paragraph_look(paragraph)},) +
          %("direct":#{direct(paragraph.direct)},"runs":[#{runs}]})
      end

      def run(run, paragraph)
        style = run.style_id && @document.styles.resolve(run.style_id, "character")
        name = (style.name unless style.nil? || style.default)
        look = @document.run_look(run, paragraph)
        effective = @looks[look] ||= look.to_json_hash(:run).to_json
        %({"text":#{run.words.to_json},"character_style":#{name.to_json},"effective":#{effective},) +
          %("direct":#{direct(run.direct)}})
      end

      # The look with its list: a list's marker is the paragraph's own.
      def paragraph_look(paragraph)
        look = @document.look(paragraph)
        shared = @looks[look] ||= look.to_json_hash(:paragraph).to_json.delete_suffix("}")
        %(#{shared},"list":#{list(paragraph)}})
      end

      def list(paragraph)
        return "null" unless @document.markers.key?(paragraph.id)
        {level: @document.cascade.list_of(paragraph).last + 1, marker: @document.markers[paragraph.id]}.to_json
      end

      # The keys of the effective formatting that are set directly.
      def direct(set)
        @keys[set] ||= set.keys.filter_map { |slot|
          ((key = Styles::Properties[slot]
                .key) == :list) ? :list : Styles::Properties[key].json
        }.uniq.to_json
      end

      def other_parts
        @document.stories.map do |story|
          {part: story.kind, section: story.section, text: story.paragraphs.map(&:text).join("\n")}
        end
      end
    end
  end
end
