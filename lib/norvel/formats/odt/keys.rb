# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The names that styles of a document have in the file: those that came keep theirs, new ones get a free one made
      # of what people call them.
      class Keys
        # taken: {family => names in the file}
        def initialize(sheet, taken)
          @sheet = sheet
          @taken = taken
          @known = {}
        end

        # Of a style by its id; an id that no style has names itself.
        def [](id)
          return if id.nil?
          @known[id] ||= ((style = @sheet[id]) && style.source.nil?) ? fresh(style) : Names.key(id)
        end

        private

        def fresh(style)
          return Names.key(style.id) if style.id.start_with?("list:")
          names = @taken[style.type] ||= []
          stem = Names.encoded(style.name)
          found = [stem, *(1..names.size + 1).map { |number| "#{stem}#{number}" }].find { |one| !names.include?(one) }
          names << found
          found
        end
      end
    end
  end
end
