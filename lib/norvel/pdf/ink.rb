# frozen_string_literal: true

module Norvel
  module Pdf
    # Draws on a page of Prawn what a sheet has: letters where they stand, filled boxes, rules, images. Places are
    # points from the sheet's top left, as sheets have them.
    class Ink
      BLACK = "#000000"
      UNDERLINE = 0.11 # of the size, below the baseline
      STRIKE = 0.28 # above it
      WEIGHT = 0.055
      PNG = "\x89PNG\r\n\x1A\n".b
      MOST_PIXELS = 60_000_000
      LOWER = /\p{Lower}+|\P{Lower}+/
      LINES = {underline: -UNDERLINE, strike: STRIKE}.freeze

      # pdf: Prawn::Document; height: of the page
      def initialize(pdf, height)
        @pdf = pdf
        @height = height
      end

      # A span of letters of one kind: Layout::SetLine::Span. last: does a space follow, so that words stay apart?
      def span(span, baseline, last: false)
        letters = span.letters
        back(letters.look[:highlight], span, baseline)
        text = last ? "#{span.text} " : span.text
        x = span.x
        pieces(text, letters).each do |words, face, size|
          run(words, face, size, x, baseline - letters.rise, letters, span.stretch.to_f)
          x += advance(words, face, size, letters, span.stretch.to_f)
        end
        lines(span, baseline)
      end

      def fill(box)
        operate(colour(box.colour, "rg"), place(box.x, box.y + box.height), fine(box.width), fine(box.height), "re f")
      end

      def rule(line)
        operate(colour(line.colour || BLACK, "RG"), "#{fine(line.weight)} w", "#{place(line.x, line.y)} m",
          "#{place(line.x + line.across, line.y + line.down)} l S")
      end

      # The bytes of an image in a box, cut and turned as it says (Document::Image); a frame where they are of a kind
      # that a PDF does not hold. Returns whether they were drawn.
      def image(bytes, image, x, y, width, height)
        raise Prawn::Errors::UnsupportedImageType unless bytes && held?(bytes, width, height)
        read = @pdf.build_image_object(StringIO.new(bytes)) # what is damaged raises before anything is drawn
        inside(image, x, y, width, height) do
          left, top, wide, tall = image.whole_in(x, y, width, height)
          @pdf.embed_image(*read, at: [left, @height - top], width: wide, height: tall)
        end
        true
      rescue Prawn::Errors::UnsupportedImageType, StandardError
        operate(colour("#8d99a4", "RG"), "0.5 w", "#{place(x, y + height)} #{fine(width)} #{fine(height)} re S")
        false
      end

      # Content that belongs to an element of the structure, by its number on the page.
      def marked(type, number)
        @pdf.add_content("/#{type} <</MCID #{number}>> BDC")
        yield
        @pdf.add_content("EMC")
      end

      # Content that is none of the document's: heads and feet, rules, grounds.
      def artifact(kind = nil)
        @pdf.add_content(kind ? "/Artifact <</Type /#{kind}>> BDC" : "/Artifact BMC")
        yield
        @pdf.add_content("EMC")
      end

      private

      # Within a box that may be turned about its middle, and shows a part only.
      def inside(image, x, y, width, height)
        return yield if image.whole?
        middle = [x + (width / 2), @height - y - (height / 2)]
        @pdf.save_graphics_state do
          @pdf.rotate(-image.turn, origin: middle) do
            @pdf.add_content("#{place(x, y + height)} #{fine(width)} #{fine(height)} re W n") if image.crop
            yield
          end
        end
      end

      # A .png is unpacked to part it from what shines through: none that unpacks to more than pages need.
      def held?(bytes, width, height)
        return false unless width.positive? && height.positive?
        !bytes.start_with?(PNG) || (bytes.byteslice(16, 8)&.unpack("NN") || []).inject(1, :*) <= MOST_PIXELS
      end

      def operate(*steps)
        @pdf.add_content("q #{steps.join(" ")} Q")
      end

      def place(x, y)
        "#{fine(x)} #{fine(@height - y)}"
      end

      def fine(number)
        rounded = number.to_f.round(3)
        (rounded == rounded.to_i) ? rounded.to_i : rounded
      end

      def colour(hex, operator)
        "#{Colour.channels(Colour.hex(hex) || BLACK).map { |part| (part / 255.0).round(4) }.join(" ")} #{operator}"
      end

      # [[words, Face, size], …] of a text: small capitals as capitals of four fifths, what a face lacks in the next.
      def pieces(text, letters)
        parts = letters.small_caps? ? text.scan(LOWER).map { |part| small(part, letters) } :
          [[letters.shown(text), letters.size]]
        parts.flat_map do |words, size|
          words.each_char.chunk_while { |one, other| face(one, letters).equal?(face(other, letters)) }
            .map { |chars| [chars.join, face(chars.first, letters), size] }
        end
      end

      def small(part, letters)
        part.match?(/\A\p{Lower}/) ? [part.upcase, letters.size * Layout::Letters::SMALL] : [part, letters.size]
      end

      def face(character, letters)
        return letters.face if character == " " || letters.face.has?(character)
        Layout::Fonts.face_with(character, letters.face) || letters.face
      end

      def advance(words, face, size, letters, stretch)
        (face.width(words) * size * wide(letters)) + (words.size * letters.spacing) + (words.count(" ") * stretch)
      end

      # What letters are stretched by across.
      def wide(letters)
        letters.points(1.0, 0) / letters.size
      end

      def run(words, face, size, x, baseline, letters, stretch)
        font = font(face)
        steps = font.encode_text(words, kerning: false).map do |subset, encoded|
          font.add_to_current_page(subset)
          "/#{font.identifier_for(subset)} #{fine(size)} Tf #{PDF::Core.pdf_object(encoded, true)} Tj"
        end
        wide = wide(letters)
        set = ["#{fine(letters.spacing / wide)} Tc", "#{fine(stretch / wide)} Tw", "#{fine(wide * 100)} Tz"]
        operate(colour(letters.look[:color], "rg"), "BT", *set, "1 0 0 1", place(x, baseline), "Tm", *steps, "ET")
      end

      def font(face)
        @pdf.font_families[face.name] ||= {normal: File.join(Layout::Fonts::FOLDER, face.name)}
        @pdf.find_font(face.name)
      end

      def back(highlight, span, baseline)
        colour = Colour.hex(highlight.to_s) or return
        size = span.letters.size
        operate(colour(colour, "rg"),
          "#{place(span.x, baseline + (size * 0.22))} #{fine(span.width)} #{fine(size * 1.1)} re f")
      end

      def lines(span, baseline)
        look, size = span.letters.look, span.letters.size
        LINES.each do |name, up|
          next unless Styles::Properties[name].type.json(look[name])
          y = baseline - span.letters.rise - (size * up)
          operate(colour(look[:color], "RG"), "#{fine(size * WEIGHT)} w", "#{place(span.x, y)} m",
            "#{place(span.x + span.width, y)} l S")
        end
      end
    end
  end
end
