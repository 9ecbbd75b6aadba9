# frozen_string_literal: true

module Norvel
  module Edits
    # The number of a caption where it stands in its paragraph, and another in its place.
    class CaptionNumber
      def initialize(paragraph)
        @paragraph = paragraph
        @match = Structure::Captions::NUMBER.match(paragraph.seen_text)
      end

      # The paragraph whose number, as it is, is what a field says.
      def counted(field)
        put([[@match[:number], field]], *range(@match.begin(:number), @match.end(:number)))
      end

      # The paragraph with another number, said by a field; chapter: what stands before it, or nil. Raises Refused where
      # the number is part of a larger field.
      def renumbered(chapter, field)
        from, to = with_fields(*range(@match.begin(:chapter) || @match.begin(:number), @match.end(:number)))
        put([(["#{chapter}.", nil] if chapter), [field.cached, field]].compact, from, to)
      end

      private

      # Places in the raw text.
      def range(from, to)
        places = @paragraph.seen_places
        [places[from], places[to - 1] + 1]
      end

      # With the signs of the fields that compute it.
      def with_fields(from, to)
        from -= 1 while from.positive? && signs[from - 1]
        to += 1 while signs[to]
        inside = (from...to).filter_map { |place| signs[place] }
        ends = inside.count { |one| one.is_a?(Document::FieldPart) && one.role == "end" }
        return [from, to] if inside.grep(Document::Field).size == ends
        raise Refused, "The number of “#{@paragraph.text.strip[0, 40]}” is part of a larger field."
      end

      # {place in the raw text => the part of a field that stands there}
      def signs
        @signs ||= begin
          at = 0
          @paragraph.runs.flat_map(&:pieces).each_with_object({}) do |piece, found|
            found[at] = piece if piece.is_a?(Document::Field) || piece.is_a?(Document::FieldPart)
            at += piece.is_a?(String) ? piece.size : 1
          end
        end
      end

      # pieces: [[text, field or nil], …] in the place of what stands there, set as its first letter was
      def put(pieces, from, to)
        like = run_at(@paragraph.seen_places.find { |place| place >= from })
        around = like.within.grep_v(Document::Field).grep_v(Document::FieldResult)
        source = like.source if like.within.none?(Document::Field) # what stood in a field of its own leaves it
        made = pieces.map do |text, field|
          within = (around + [field].compact).freeze
          Document::Run.new(text, like.style_id, like.direct, source, nil, (within unless within.empty?))
        end
        @paragraph.with(runs: (cut(0, from) + made + cut(to, @paragraph.raw_text.size)).freeze)
      end

      def run_at(place)
        at = 0
        @paragraph.runs.find { |run| (at += run.text.size) > place }
      end

      # The runs from one place to another.
      def cut(from, to)
        at = 0
        @paragraph.runs.filter_map do |run|
          start, at = at, at + run.text.size
          first, last = [from - start, 0].max, [to - start, run.text.size].min
          run.slice(first, last - first) if last > first
        end
      end
    end
  end
end
