# frozen_string_literal: true

module Norvel
  module Survey
    # Look groups: the paragraphs that a reader sees as one kind of text, since they have the same effective formatting;
    # emphasis on words inside does not split a group. Most paragraphs first.
    class Looks
      # letter: "A" for the largest group, then "B" …, after Z "AA"; look, letters: Styles::Look; role: that of most,
      # with the Suggestion that most have
      Group = Struct.new(:letter, :look, :letters, :paragraphs, :role, :suggestion, keyword_init: true) do
        # How many paragraphs look so.
        def size
          paragraphs.size
        end

        # The first paragraph long enough to show the look.
        def example
          paragraphs.find { |paragraph| paragraph.word_count >= 4 } || paragraphs.first
        end

        # A name for addresses that stays while the look does.
        def key
          Digest::SHA256.hexdigest([look.values, letters.values].inspect)[0, 12]
        end
      end

      def initialize(document)
        @document = document
      end

      # Group of paragraphs that look alike, the largest first.
      def groups
        @groups ||= by_look.sort_by.with_index { |(_, list), index| [-list.size, index] }
          .map.with_index { |((look, letters), list), index| group(look, letters, list, index) }
      end

      private

      # {[look, look of letters] => [paragraphs, …]}
      def by_look
        @document.paragraphs.reject(&:blank?).group_by do |paragraph|
          [seen(paragraph), @document.letter_look(paragraph)]
        end
      end

      # The look; lists of one definition look alike, each beginning its count anew.
      def seen(paragraph)
        look = @document.look(paragraph)
        id, level = @document.cascade.list_of(paragraph)
        return look if id.nil?
        key = [look.values.except(:list, :list_id), @document.numbering.list(id)&.definition_id || id, level]
        (@listed ||= {})[key] ||= look
      end

      def group(look, letters, list, index)
        role = list.map { |paragraph| Suggestions.of(@document).role(paragraph.id) }.tally.max_by(&:last).first
        suggestion = list.map { |paragraph| Suggestions.of(@document)[paragraph.id] }.find { |s| s.role == role }
        Group.new(letter: name(index), look:, letters:, paragraphs: list, role:, suggestion:)
      end

      def name(index)
        (index < 26) ? (65 + index).chr : name((index / 26) - 1) + name(index % 26)
      end
    end
  end
end
