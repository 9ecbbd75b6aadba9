# frozen_string_literal: true

module Norvel
  module Formats
    # WordprocessingML packages, ISO/IEC 29500.
    module Docx
      module_function

      # The bytes of a .docx that is the package the document came from with what was changed changed.
      def write(document)
        Writer.new(document).bytes
      end
    end
  end
end
