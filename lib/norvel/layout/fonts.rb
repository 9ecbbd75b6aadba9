# frozen_string_literal: true

module Norvel
  module Layout
    # The faces that ship, by the font that a document names and how its letters are set. Widths and line heights come
    # from here.
    module Fonts
      FOLDER = File.join(ROOT, "public/fonts")
      FACES = ShippedFonts.families.values.flat_map { |family| family["files"].values }.uniq
        .to_h { |name| [name, Face.new(File.join(FOLDER, name))] }.freeze

      MATHS = "texgyretermes-math.otf"
      LAST = FACES.values_at(MATHS, "DejaVuSans.ttf").freeze # signs, and scripts that no other has
      FALLBACKS = [*FACES.values.partition { |face| !face.name.match?(/Italic|Bold/) }.flatten - LAST, *LAST].freeze

      STANDING_IN = {} # {face => {character => the face that has it}}: two threads that look come to the same
      MOST_KNOWN = 20_000 # characters

      module_function

      # The Face for a look of letters, or for anything that answers :font, :bold and :italic.
      #   Fonts.face(font: "Arial", bold: true).line_height # => 1.149…
      def face(look)
        style = [("bold" if look[:bold]), ("italic" if look[:italic])].compact.join("_")
        files = ShippedFonts.families[ShippedFonts.stand_in(look[:font]).family]["files"]
        FACES.fetch(files[style.empty? ? "regular" : style] || files["regular"])
      end

      # Another face that has a character, nil for none. Italics come last, being the least like the rest, and
      # after them those that ship for their signs.
      def face_with(character, but)
        known = STANDING_IN[but] ||= {}
        return known[character] if known.key?(character)
        known.clear if known.size > MOST_KNOWN
        known[character] = FALLBACKS.find { |face| face != but && face.has?(character) }
      end

      # The face of formulas.
      def maths
        FACES.fetch(MATHS)
      end

      # A line of these letters set single, in points.
      def line_height(look)
        face(look).line_height * look[:size]
      end

      # About how many characters of these letters stand in so many points.
      def characters(measure, look)
        (measure / (face(look).average * look[:size])).round
      end

      # About how many lines so many characters take in a measure, at least one.
      def lines(count, measure, look)
        [(count * face(look).average * look[:size] / measure).ceil, 1].max
      end
    end
  end
end
