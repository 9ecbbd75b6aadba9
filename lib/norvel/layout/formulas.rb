# frozen_string_literal: true

module Norvel
  module Layout
    # Formulas set from their structure in the maths font that ships.
    module Formulas
      module_function

      # A formula as one Box, or, parted, as a Box for each part after which a line may end. size: of its letters, in
      # points; display: has it the room of a line of its own?
      def boxes(node, size, display: false, parted: !display)
        setting = Setting.new(size, display:)
        parted ? setting.parts(node) : [setting.whole(node)]
      end
    end
  end
end
