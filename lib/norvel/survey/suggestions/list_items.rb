# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Items of lists, counted by the file or marked in the text.
      class ListItems < Finder
        WORDS = 60 # of an item with a label
        COUNTED_WORDS = 20

        def find
          left.each do |paragraph|
            seen = traits(paragraph)
            if look(paragraph)[:list] then put(paragraph, "list_item", 0.93, "in a list")
            elsif seen.bullet? then put(paragraph, "list_item", 0.9, "begins with a bullet")
            elsif typed?(paragraph, seen)
              put(paragraph, "list_item", 0.85, "numbered, among others that are")
            end
          end
          rings
          counted
          amounts
          hanging
        end

        private

        def typed?(paragraph, seen)
          return false unless %i[decimal letter roman].include?(seen.kind)
          return false if seen.kind == :decimal && seen.depth > 1 && !seen.sentence?
          alike = ->(other) { traits(other).kind == seen.kind && traits(other).depth == seen.depth }
          [other_sign(paragraph, :preceding), other_sign(paragraph, :following)].compact.any?(&alike)
        end

        SIGNS = %i[decimal letter roman].freeze
        INSIDE = 30 # items of other levels between two of one

        # The nearest one in a direction that counts as it does, past items that count in another way; else what stands
        # there.
        def other_sign(paragraph, way)
          kind, other = traits(paragraph).kind, public_send(way, paragraph)
          INSIDE.times do
            item = other && traits(other)
            break if item.nil? || item.kind == kind || !(item.bullet? || SIGNS.include?(item.kind))
            other = public_send(way, other)
          end
          other
        end

        # "TOP 1 …", "Item 2 …" one under the other, as in an agenda.
        def counted
          short = left(COUNTED_WORDS).select { |one| one.part == :body && traits(one).form && !traits(one).sentence? }
          short.chunk_while { |one, other| following(one).equal?(other) && traits(one).form == traits(other).form }
            .select { |row| row.size > 1 }.flatten
            .each { |paragraph| put(paragraph, "list_item", 0.82, "counts", "among others that do") }
        end

        # "500 g cod", "2 onions" one under the other.
        def amounts
          rows(worded, 3) { |one| one.part == :body && traits(one).amount? }.flatten.reject { |one| @draft.known?(one) }
            .each { |paragraph| put(paragraph, "list_item", 0.8, "an amount", "among others") }
        end

        def rings
          rows(left(WORDS), 2) { |paragraph| traits(paragraph).ring? }.flatten
            .each { |paragraph| put(paragraph, "list_item", 0.8, "begins with a ring", "among others that do") }
        end

        # "RQ1: …", "Harbour office: …" one under the other.
        def hanging
          rows(left(WORDS), 2) do |paragraph|
            paragraph.part == :body && traits(paragraph).labelled? && !traits(paragraph).object?
          end.flatten.each do |paragraph|
            put(paragraph, "list_item", 0.76, "begins with a label", "among others that do")
          end
        end
      end
    end
  end
end
