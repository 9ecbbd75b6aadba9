# frozen_string_literal: true

module Norvel
  module Survey
    # How words inside paragraphs are set apart by hand: the looks that a Search finds them by, and how often.
    module LooksApart
      # [slots of a run property, the property, how a value of it is named where any may be], …
      BY_HAND = [*Search::LOOKS.values.map { |name, _| [name, nil] }, [:size, "size"], [:font, "font"]]
        .map { |name, words| [Styles::Properties.slots_of(name), name, words].freeze }.freeze

      module_function

      # {name of a look => how many stretches}, most first.
      def of(document)
        document.reading[:looks_apart] ||= begin
          searches = Hash.new { |made, name| made[name] = Search.new("", look: name, apart: true) }
          found = document.working.flat_map do |paragraph|
            names(paragraph, document).flat_map { |name| [name] * searches[name].hits_in(paragraph, document).size }
          end
          found.tally.sort_by { |_, count| -count }.to_h
        end
      end

      # Names of looks that runs of a paragraph set themselves.
      def names(paragraph, document)
        paragraph.runs.reject { |run| run.direct.empty? }.flat_map do |run|
          look = document.run_look(run, paragraph)
          set = BY_HAND.select { |slots, _| slots.any? { |slot| run.direct.key?(slot) } }
          set.filter_map do |_, name, words|
            words ? "#{words} #{spoken(look[name])}" : Search::LOOKS.key([name, look[name]])
          end
        end.uniq
      end

      def spoken(value)
        value.is_a?(Numeric) ? Length.plain(value) : value
      end
      private_class_method :names, :spoken
    end
  end
end
