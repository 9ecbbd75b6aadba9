# frozen_string_literal: true

module Norvel
  class Guide
    # An example of each rule as a guide has it, worked out from all that can be asked, so that none goes stale.
    module Examples
      HEAD = "norvel_guide: 1\nname: Example\n"
      # Of what an entry expects, a value; the first that fits.
      VALUES = {"{allow" => {"allow" => ["italic"]}, "a list of names of fonts" => ["Times New Roman", "Arial"],
                "length" => "12pt", "single" => "double", "name of a style" => "Body Text", "a name" => "Arial",
                "colour" => "black", "ratio" => 4.5, "level" => 1, "number" => 3}.freeze
      # Where the shape of a value is its own.
      SHAPES = {
        %w[page size] => "A4",
        %w[parts] => {"part" => "abstract", "required" => true, "max_words" => 350, "language" => "en"},
        %w[pagination matters] => {"matter" => "front", "label" => "lower_roman", "restart" => 1, "shown_from" => 2,
                                   "place" => "bottom_center"},
        %w[exceptions] => {"rule" => "clean.direct", "because" => "by letter"},
        %w[running head] => {"left" => "{title}", "right" => "{page}"}, %w[running foot] => {"center" => "{page}"},
        %w[headings case] => {"heading_1" => "upper"}, %w[lists markers] => {"bullet" => ["•", "–"]},
        %w[pagination pages] => {"max" => 300}, %w[count pages] => {"max" => 300}, %w[count words] => {"max" => 80_000}
      }.freeze
      CONSISTENT = "consistent"
      CONTENTS = "parts:\n  - {part: contents, required: true, levels: 3}\n"
      MARGIN = "25mm"

      module_function

      # The YAML of an example of a rule, without the head of a guide; nil for none.
      #   Guide::Examples.of("clean.double_space") # => "clean:\n  double_spaces: forbid\n"
      def of(rule)
        return "#{CONSISTENT}:\n  #{rule.split(".").last}: must\n" if rule.start_with?("#{CONSISTENT}.")
        return CONTENTS if rule.start_with?("contents.")
        entry = entry(rule) and written(entry)
      end

      # The first rule that a place of a guide states; nil for none.
      #   Guide::Examples.rule_at(%w[clean double_spaces]) # => "clean.double_space"
      def rule_at(place)
        by_rule.find { |_, entry| entry.place.grep(String) == place.grep(String) }&.first
      end

      # A value that may stand at a Catalogue::Entry.
      def value(entry)
        return SHAPES[entry.place.grep(String)] if SHAPES.key?(entry.place.grep(String))
        return MARGIN if entry.place[1] == "margins"
        return entry.choices.find { |one| one != "allow" } if entry.choices.any?
        VALUES.find { |words, _| entry.expects.include?(words) }&.last || 3
      end

      # The guide's text that states an entry alone.
      def written(entry)
        place = Catalogue::LISTS.include?(entry.place) ? [*entry.place, 0] : entry.place
        Rewritten.new(HEAD).put(place, value(entry)).delete_prefix(HEAD)
      end

      # The entry that states a rule; of kinds of paragraphs that of running text, else the first.
      def entry(rule)
        by_rule.select { |stated, _| [stated, rule].permutation.any? { |pattern, name| File.fnmatch(pattern, name) } }
          .min_by { |stated, entry| [(stated == rule) ? 0 : 1, (entry.place[1] == "body") ? 0 : 1] }&.last
      end

      # [[rule, entry], …] of all that can be asked.
      def by_rule
        @by_rule ||= Catalogue.all.flat_map do |entry|
          guide = Guide.new(HEAD + written(entry), checked: true)
          Sentences.new(guide).all.flat_map(&:rules).map { |rule| [rule, entry] }
        end.freeze
      end

      private_class_method :written, :entry, :by_rule
    end
  end
end
