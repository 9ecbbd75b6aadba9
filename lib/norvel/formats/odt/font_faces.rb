# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The fonts that a package declares (ODF 1.3 part 3, 16.23, 19.527 ff.).
      module FontFaces
        module_function

        # {name of a face => the font's name} of a part.
        def names(part)
          faces(part).to_h do |face|
            name = part.attr(face, "style:name")
            [name, part.attr(face, "svg:font-family") || name]
          end
        end

        # The names of the fonts that the file holds. parts: those that declare fonts
        def embedded(parts)
          parts.flat_map do |part|
            faces(part).select { |face| part.child(face, "svg:font-face-src") }
              .filter_map { |face| part.attr(face, "svg:font-family") || part.attr(face, "style:name") }
          end.map { |name| name.delete(%('")) }.uniq.freeze
        end

        def faces(part)
          part.children(part.child(part.root, "office:font-face-decls"), "style:font-face")
        end

        private_class_method :faces
      end
    end
  end
end
