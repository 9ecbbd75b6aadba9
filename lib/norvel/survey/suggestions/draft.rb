# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # What is found so far, with what all finders look at: the paragraphs that hold something, their neighbours, their
      # looks, what most of the text wears.
      class Draft
        # found: {id => Suggestion}; title_page: {id => true}; after_gap, fresh: {id => true} of paragraphs that follow
        # a blank one, that begin a page
        attr_reader :document, :worded, :found, :title_page, :after_gap, :fresh

        def initialize(document)
          @document = document
          @worded = document.paragraphs.reject(&:blank?)
          @found = {}
          @left = {nil => [@worded, 0]}
          @title_page = {}
          @places = @worded.each_with_index.to_h { |paragraph, place| [paragraph.id, place] }
          neighbours
        end

        # What running text looks like: Body.
        def body
          @body ||= Body.new(document, @worded)
        end

        # Is it told of every paragraph what it is?
        def complete?
          @document.paragraphs.all? { |paragraph| @found.key?(paragraph.id) }
        end

        # Suggests a role, with confidence and reasons.
        def put(paragraph, role, confidence, *because)
          @found[paragraph.id] = Suggestion.new(role, confidence, because)
        end

        # Is a role suggested for it already?
        def known?(paragraph)
          @found.key?(paragraph.id)
        end

        # Those that nothing was found of yet; most: of so many words at most. What was found once stays found.
        def left(most = nil)
          among, known = @left.fetch(most) { [@worded.select { |paragraph| paragraph.word_count <= most }, nil] }
          return among if known == @found.size
          @left[most] = [among.reject { |paragraph| @found.key?(paragraph.id) }, @found.size]
          @left[most].first
        end

        def inspect
          "#<Draft of #{@document.inspect}>"
        end

        # The role suggested for it, nil for none.
        def role(paragraph)
          @found[paragraph.id]&.role
        end

        # Which of the paragraphs with words it is, from 0.
        def place(paragraph)
          @places.fetch(paragraph.id)
        end

        # The next paragraph with words, the one before; nil at an end.
        def following(paragraph)
          @worded[@places.fetch(paragraph.id) + 1]
        end

        # The paragraph with words before it, nil for none.
        def preceding(paragraph)
          place = @places.fetch(paragraph.id)
          @worded[place - 1] if place.positive?
        end

        # Those with words before and after it.
        def beside(paragraph)
          [preceding(paragraph), following(paragraph)].compact
        end

        # Its Look.
        def look(paragraph)
          @document.look(paragraph)
        end

        # The Look of most of its letters.
        def letters(paragraph)
          @document.letter_look(paragraph)
        end

        # Of most of its letters, in points.
        def size(paragraph)
          letters(paragraph)[:size]
        end

        # What of its look tells kinds of lines apart.
        def appearance(paragraph)
          l = letters(paragraph)
          centred = look(paragraph)[:align] == "center"
          ((@appearances ||= {}.compare_by_identity)[l] ||= {})[centred] ||= [l[:size], l[:bold], l[:italic], l[:caps],
            l[:small_caps], l[:underline], l[:color], centred].freeze
        end

        # Does it look as the running text does?
        def plain?(paragraph)
          l = letters(paragraph)
          l[:size] == body.size && l[:bold] == body.bold? && l[:italic] == body.italic? && !l[:caps] &&
            !l[:small_caps] && l[:underline] == "none" && look(paragraph)[:align] != "center"
        end

        # Is it larger or heavier than running text, or in capitals?
        def stands_out?(paragraph)
          size(paragraph) >= body.size + 0.5 || (letters(paragraph)[:bold] && !body.bold?) ||
            Traits.of(paragraph).capitals?
        end

        # Does a page begin with it?
        def begins_page?(paragraph)
          @fresh[paragraph.id] || look(paragraph)[:page_break_before]
        end

        # Is it all that a table of one cell holds?
        def boxed?(paragraph)
          @boxed ||= @document.tables.select { |table| table.cells.size == 1 }
            .to_h { |table| [table.cells.first.id, true] }
          return false unless paragraph.container && @boxed[paragraph.container]
          beside(paragraph).none? { |other| other.container == paragraph.container }
        end

        # Does formatting show what is what, in the headings at least? Else words are all there is to go by.
        def shown?
          return @shown unless @shown.nil?
          @shown = @worded.any? { |one| role(one).to_s.match?(/\A(?:heading|title)/) && !plain?(one) }
        end

        # Of the text itself, as opposed to tables.
        def text?(paragraph)
          paragraph.part == :body || boxed?(paragraph)
        end

        private

        def neighbours
          @after_gap, @fresh = {}, {}
          paragraphs = @document.paragraphs
          @fresh[paragraphs.first.id] = true if paragraphs.any?
          paragraphs.each_cons(2) do |one, other|
            @after_gap[other.id] = true if one.blank?
            @fresh[other.id] = true if one.ends_page? || (one.blank? && @fresh[one.id])
          end
        end
      end
    end
  end
end
