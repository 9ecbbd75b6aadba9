# frozen_string_literal: true

module Norvel
  module Consistency
    # Running heads and feet that say nearly the same as the others do: a word of many, a letter or two.
    class RunningLines < Subject
      RULE = "running"
      KINDS = {"header" => "head", "footer" => "foot"}.freeze

      def odds
        KINDS.keys.flat_map do |kind|
          stories = @document.stories.select { |story| story.kind == kind && story.which == "default" }
          lines = stories.filter_map { |story| (line = Running::Line.read(story, @document)) && [story, line] }
            .reject { |_, line| line.blank? }
          (lines.size < 2) ? [] : unlike(kind, lines)
        end
      end

      private

      def unlike(kind, lines)
        usual, list = lines.group_by { |_, line| line }.max_by { |_, same| same.size }
        return [] if list.size == 1 && lines.size > 2
        lines.reject { |_, line| line == usual }.select { |_, line| close?(words(line), words(usual)) }
          .map { |story, line| deviation(kind, story, line, usual) }
      end

      def words(line)
        line.to_a.join(" ").split
      end

      # All words but one, or as many with letters that differ little.
      def close?(one, other)
        return false if one.size < 2 || (one.size - other.size).abs > 1
        shared = (one & other).size
        longest = [one.size, other.size].max
        return near?((one - other).join, (other - one).join) if shared == longest - 1 && one.size == other.size
        shared == longest - 1 || one.sort == other.sort
      end

      # Two letters apart at most.
      def near?(one, other)
        return false if one[/\d/] || other[/\d/] || one.empty? || other.empty?
        one.casecmp?(other) || ((one.size - other.size).abs <= 2 && [one, other].map { |word| word[0, 3] }.uniq.one?)
      end

      def deviation(kind, story, line, usual)
        spoken = ->(one) { "“#{one.to_a.reject(&:empty?).join(" · ")}”" }
        section = story.section || 1
        odd(section:, usual: spoken[usual], found: spoken[line],
          message: "The running #{KINDS[kind]} of section #{section} says #{spoken[line]}, another #{spoken[usual]}",
          label: "Make it the same", why: "it changes words of a running #{KINDS[kind]}",
          steps: [[:set_running, [section], {"default" => {kind => usual.to_h}}]])
      end
    end
  end
end
