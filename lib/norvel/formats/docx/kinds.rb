# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A package as a document or as a template: the content type of its main part says which (ISO/IEC 29500-1
      # 11.3.10). What holds macros stays what it is.
      module Kinds
        LIST = "[Content_Types].xml"
        MAIN = /(wordprocessingml\.)(?:document|template)(\.main\+xml)/

        module_function

        # The bytes as a document or a template, as the extension says.
        def made(bytes, extension)
          word = (extension == ".dotx") ? "template" : "document"
          container = Container.new(bytes)
          list = container.read(LIST).dup.force_encoding("UTF-8")
          changed = list.sub(MAIN) { "#{$1}#{word}#{$2}" }
          (changed == list) ? bytes : Archive.write(container, {LIST => changed})
        end
      end
    end
  end
end
