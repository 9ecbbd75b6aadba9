# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # How letters of a story are set: in a style of words and with what is set on them, as spans nest (ISO/IEC 26300-1
      # 6.1.7). Equal states are one object.
      class LetterStates
        NOTHING = Styles::PropertySet::EMPTY

        # automatic: AutomaticStyles of the part; shared: Reader, which knows what styles of words set
        def initialize(automatic, shared)
          @automatic = automatic
          @shared = shared
          @states = {}
          @inner = {}.compare_by_identity
          @grounds = {}.compare_by_identity
        end

        # The State of letters set so; equal ones are one object.
        def state(style_id, direct)
          @states[[style_id, direct]] ||= LineReader::State.new(style_id, direct)
        end

        # The same for the letters of a paragraph that are in no span.
        def ground(letters)
          @grounds[letters] ||= state(nil, letters)
        end

        # The State of letters in a span of this style, in letters of a state. What the inner style of words sets beats
        # what stands around it.
        def inner(outer, name)
          known = @inner[outer] ||= {}
          known[name] ||= begin
            style_id, set = name ? @automatic.text(name) : [nil, NOTHING]
            style_id ? with_style(outer, style_id, set) : state(outer.style_id, over(outer.direct, set))
          end
        end

        private

        def with_style(outer, style_id, set)
          chain = @shared.words_of(style_id)
          around = over(@shared.words_of(outer.style_id), outer.direct).without(*chain.keys)
          state(style_id, over(around, set))
        end

        # One set over another; a share of a size that is known is a size.
        def over(below, set)
          return below if set.empty?
          return set if below.empty?
          values = below.values.merge(set.values) do |_, under, value|
            next value unless Length.share?(value)
            under.is_a?(Numeric) ? Length.of_share(value, under) : value
          end
          @shared.formatting.share(values)
        end
      end
    end
  end
end
