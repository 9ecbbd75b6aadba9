# frozen_string_literal: true

module Norvel
  # What text looks like: properties, styles, and the cascade from what is set to what is seen.
  module Styles
    # {id => true} of the styles of both states whose own look differs between them.
    def self.reached(before, after)
      return {} if before.styles.equal?(after.styles) && before.numbering.equal?(after.numbering)
      after.styles.by_id.each_value.filter_map { |style|
        was = before.styles[style.id] or next
        changed = %i[paragraph run].any? do |place|
          before.cascade.of_style(was, place) != after.cascade.of_style(style, place)
        end
        [style.id, true] if changed
      }.to_h
    end
  end
end
