# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The parts of a package with nothing in it, to be filled (ISO/IEC 29500-2; the notes that part notes from the
      # text: 29500-1 17.11.23).
      module Blank
        MATH = "http://schemas.openxmlformats.org/officeDocument/2006/math"
        RELATIONS = Names::OFFICE_RELS
        DRAWING = "http://schemas.openxmlformats.org/drawingml/2006"
        SHAPE = "http://schemas.microsoft.com/office/word/2010/wordprocessingShape"
        MAIN = %(#{Names::HEAD}<w:document xmlns:w="#{Names::TRANSITIONAL}" xmlns:r="#{RELATIONS}" ) +
          %(xmlns:wp="#{DRAWING}/wordprocessingDrawing" xmlns:a="#{DRAWING}/main" xmlns:pic="#{DRAWING}/picture" ) +
          %(xmlns:wps="#{SHAPE}" xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006">)

        module_function

        # The source of a text part without content.
        def main
          "#{MAIN}<w:body/></w:document>"
        end

        # A part of another kind, with the namespaces that its contents may need.
        def part(root)
          MAIN.sub("<w:document", "<w:#{root}").sub(/>\z/, "/>")
        end

        # Notes begin with the two lines between text and notes.
        def notes(root, note)
          lines = {"separator" => -1, "continuationSeparator" => 0}.map do |type, id|
            %(<w:#{note} w:type="#{type}" w:id="#{id}"><w:p><w:r><w:#{type}/></w:r></w:p></w:#{note}>)
          end
          MAIN.sub("<w:document", "<w:#{root}") + "#{lines.join}</w:#{root}>"
        end
      end
    end
  end
end
