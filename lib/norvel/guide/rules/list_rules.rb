# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # lists.indent, .hanging, .marker: how far the text of each level begins from the margin (so much for each level),
      # how far its sign hangs before it, and which sign it has.
      class ListRules < Family
        RULES = %w[indent hanging marker].map { |name|
          Rule.new(name: "lists.#{name}", goes_by: :document, stage: :values)
        }.freeze
        KEYS = {"lists.indent" => "indent", "lists.hanging" => "hanging", "lists.marker" => "markers"}.freeze
        OTHERS = "other items of the level would change with it"
        NUMBER = /\A(?<before>\D*?)(?<number>[0-9]+|[ivxlc]+|[IVXLC]+|[a-z]|[A-Z])(?<after>\D*)\z/

        def self.asked(guide, _roles)
          KEYS.select { |_, key| guide.data.dig("lists", key) }.keys
        end

        def findings
          return [] if self.class.asked(@guide, nil).empty?
          @document.paragraphs.flat_map do |paragraph|
            id, level = @document.cascade.list_of(paragraph)
            next [] if id.nil? || @check.role(paragraph) != "list_item"
            [*lengths(paragraph, id, level), marker(paragraph, id, level)].compact
          end
        end

        private

        def lists
          @guide.data["lists"]
        end

        def lengths(paragraph, id, level)
          look = @document.look(paragraph)
          [length("indent", look[:indent_left], level + 1, paragraph, id, level),
            length("hanging", -look[:first_line], 1, paragraph, id, level)]
        end

        def length(name, found, times, paragraph, id, level)
          asked = lists[name] or return
          least, most = bounds(asked).map { |bound| bound && (bound * times) }
          return if (least.nil? || found >= least - Length::SAME) && (most.nil? || found <= most + Length::SAME)
          target = (least && found < least) ? least : most
          unit = unit_of(asked)
          seen = Length.spoken(found, unit)
          finding("lists.#{name}", paragraph:, asked: spoken_range(least, most, unit), found: seen, cause: [id, level],
            message: "An item of level #{level + 1} #{(name == "indent") ? "begins" : "hangs"} #{seen}",
            mend: level_mend(id, level, (name == "indent") ? {indent_left: target} : {first_line: -target}),
            cite: lists["cite"])
        end

        def level_mend(id, level, values)
          list = @document.numbering.list(id) or return
          return if list.overrides.key?(level)
          Mend.new(name: "change_list_level", label: "Change the level of the list", safe: false, why: OTHERS,
            steps: [[:change_level, list.definition_id, level, values]])
        end

        def marker(paragraph, id, level)
          form = @document.numbering.level(id, level) or return
          signs = lists.dig("markers", form.bullet? ? "bullet" : "number") or return
          asked, found = signs[level] || signs.last, @document.markers[paragraph.id].to_s.strip
          return if form.bullet? ? found == asked : shape(found) == shape(asked)
          finding("lists.marker", paragraph:, asked: "“#{asked}”", found: "“#{found}”", cause: [id, level],
            message: "An item of level #{level + 1} has the sign “#{found}”", cite: lists["cite"])
        end

        # "1." and "12." are of one shape, "a)" is of another.
        def shape(sign)
          match = NUMBER.match(sign.split(".").last.to_s + (sign.end_with?(".") ? "." : "")) or return sign
          [match[:before], kind(match[:number]), match[:after]]
        end

        def kind(number)
          case number
          when /\A\d/ then :decimal
          when /\A[ivxlc]+\z/ then :lower
          when /\A[IVXLC]+\z/ then :upper
          else number.match?(/[a-z]/) ? :lower : :upper
          end
        end
      end
    end
  end
end
