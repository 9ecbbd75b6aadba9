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
      MARK = /\p{Mn}/
      TURNED = Regexp.union(Layout::Mirrors::IMAGES.keys)
      LOWER = /\p{Lower}+|\P{Lower}+/
      LINES = {underline: -UNDERLINE, strike: STRIKE}.freeze

      # pdf: Prawn::Document; height: of the page
      def initialize(pdf, height)
        @pdf = pdf
        @height = height
      end

      # A span of letters of one kind: Layout::SetLine::Span. last: does a space follow, so that words stay apart?
      def span(span, baseline, last: false)
        back(span.letters.look[:highlight], span, baseline)
        text = last ? "#{span.text} " : span.text
        span.right_to_left ? from_right(span, text, baseline) : letters(span, text, span.x, baseline)
        lines(span, baseline)
      end

      # What runs from right to left is drawn as it is read, each letter left of the one before, brackets turned
      # (UAX #9, L4).
      def from_right(span, text, baseline)
        x = span.x + span.width
        turned = Layout::Arabic.shaped(text).gsub(TURNED, Layout::Mirrors::IMAGES)
        pieces(turned, span.letters).each do |words, face, size|
          x = leftwards(words, face, size, x, baseline - span.letters.rise, span.letters, span.stretch.to_f)
        end
      end

      # Words of one face to the left of a place; returns where they end. A mark stays at its letter.
      def leftwards(words, face, size, x, y, letters, stretch)
        wide = wide(letters)
        pen = x
        moves = words.each_char.map do |character|
          ems = face.advance(character) * size * wide
          next [pen, 0.0] if ems.zero? && MARK.match?(character)
          before = pen
          x -= ems + letters.spacing + ((character == " ") ? stretch : 0.0)
          pen = x + ems
          [x, before - x]
        end
        steps = leftward_steps(words, face, size, moves, y, wide)
        operate(colour(letters.look[:color], "rg"), "BT", "0 Tc", "0 Tw", "#{fine(wide * 100)} Tz", *steps, "ET")
        x
      end

      # moves: of each character its place, and how far it is left of where the one before ends
      def leftward_steps(words, face, size, moves, y, wide)
        font = font(face)
        index = 0
        font.encode_text(words, kerning: false).flat_map do |subset, encoded|
          font.add_to_current_page(subset)
          codes = encoded.b.scan(font.is_a?(Prawn::Fonts::OTF) ? /../mn : /./mn)
          own = moves[index, codes.size]
          index += codes.size
          shown = codes.zip(own).each_with_index.map { |(code, (_, back)), at|
            move = at.zero? ? "" : fine(back * 1000 / (size * wide))
            "#{move}<#{code.unpack1("H*")}>"
          }
          ["/#{font.identifier_for(subset)} #{fine(size)} Tf", "1 0 0 1", place(own.first.first, y), "Tm",
            "[#{shown.join}] TJ"]
        end
      end

      # Letters from a place to the right.
      def letters(span, text, x, baseline)
        letters = span.letters
        pieces(text, letters).each do |words, face, size|
          run(words, face, size, x, baseline - letters.rise, letters, span.stretch.to_f)
          x += advance(words, face, size, letters, span.stretch.to_f)
        end
      end

      # Draws an area.
      def fill(box)
        operate(colour(box.colour, "rg"), place(box.x, box.y + box.height), fine(box.width), fine(box.height), "re f")
      end

      # Draws a line.
      def rule(line)
        operate(colour(line.colour || BLACK, "RG"), "#{fine(line.weight)} w", "#{place(line.x, line.y)} m",
          "#{place(line.x + line.across, line.y + line.down)} l S")
      end

      ROUND = 0.5523 # of a quarter circle's radius, to the points that a curve bends to

      # A Document::Shape in a box.
      def shape(shape, x, y, width, height)
        return shape.parts_in(x, y, width, height).each { |part| shape(*part) } if shape.group?
        set = [(colour(shape.fill, "rg") if shape.fill), (colour(shape.line, "RG") if shape.line)].compact
        painted = {[true, true] => "B", [true, false] => "f"}.fetch([!shape.fill.nil?, !shape.line.nil?], "S")
        return if set.empty?
        operate(*set, "#{fine(shape.weight)} w", *outline_of(shape, x, y, width, height), painted)
        heads(shape, x, y, width, height) if shape.kind == "line"
      end

      # What the block draws in a box, turned about its middle as an image says.
      def turned(image, x, y, width, height)
        return yield if image.turn.zero?
        @pdf.save_graphics_state do
          @pdf.rotate(-image.turn, origin: [x + (width / 2), @height - y - (height / 2)]) { yield }
        end
      end

      # The bytes of an image in a box, cut and turned as it says (Document::Image); a frame where they are of a kind
      # that a PDF does not hold. Returns whether they were drawn.
      def image(bytes, image, x, y, width, height)
        bytes = (bytes && Raster.png(bytes)) || bytes
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

      # A part of a formula from its left on the baseline: Layout::Formulas::Box.
      def formula(box, x, baseline, ink)
        box.marks.each do |mark|
          left, down = x + mark.x, baseline + mark.down
          case mark
          when Layout::Formulas::Letters then formula_letters(mark, left, down, ink)
          when Layout::Formulas::Shape then outline(mark, left, down, ink)
          else operate(colour(ink, "rg"), place(left, down + mark.height), fine(mark.width), fine(mark.height), "re f")
          end
        end
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

      def heads(shape, x, y, width, height)
        shape.head_corners(width, height).each do |corners|
          operate(colour(shape.line, "rg"), *polygon(corners, x, y), "f")
        end
      end

      def polygon(corners, x, y)
        first, *others = corners.map { |across, down| place(x + across, y + down) }
        ["#{first} m", *others.map { |one| "#{one} l" }, "h"]
      end

      def outline_of(shape, x, y, width, height)
        corners = shape.corners(width, height)
        return polygon(corners, x, y) if corners
        case shape.kind
        when "ellipse" then rounded(x, y, width, height, width / 2, height / 2)
        when "rounded" then rounded(x, y, width, height, *[shape.corner(width, height)] * 2)
        when "line"
          from, to = shape.ends(width, height)
          ["#{place(x + from[0], y + from[1])} m", "#{place(x + to[0], y + to[1])} l"]
        else ["#{place(x, y + height)} #{fine(width)} #{fine(height)} re"]
        end
      end

      # A box whose corners are quarters of an ellipse of these radii.
      def rounded(x, y, width, height, across, down)
        corners = [[x + width, y, -1, 0, 0, 1], [x + width, y + height, 0, -1, -1, 0], [x, y + height, 1, 0, 0, -1],
          [x, y, 0, 1, 1, 0]]
        ["#{place(x + across, y)} m", *corners.flat_map { |corner| turn(*corner, across, down) }, "h"]
      end

      # The line to a corner, and the curve around it. from_x …: where it comes from and goes to, seen from the corner
      def turn(x, y, from_x, from_y, to_x, to_y, across, down)
        near = 1 - ROUND
        at = ->(part, right, below) { place(x + (right * across * part), y + (below * down * part)) }
        ["#{at[1, from_x, from_y]} l", "#{at[near, from_x, from_y]} #{at[near, to_x, to_y]} #{at[1, to_x, to_y]} c"]
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

      # [[words, Face, size], …] of a text: small capitals as capitals of four fifths, what a face lacks in the next;
      # without the characters that are not seen.
      def pieces(text, letters)
        text = text.gsub(Layout::Face::UNSEEN, "") unless text.ascii_only?
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
        steps = shown(words, face, size)
        wide = wide(letters)
        set = ["#{fine(letters.spacing / wide)} Tc", "#{fine(stretch / wide)} Tw", "#{fine(wide * 100)} Tz"]
        operate(colour(letters.look[:color], "rg"), "BT", *set, "1 0 0 1", place(x, baseline), "Tm", *steps, "ET")
      end

      # The operators that show words in a face.
      def shown(words, face, size)
        font = font(face)
        font.encode_text(words, kerning: false).map do |subset, encoded|
          font.add_to_current_page(subset)
          "/#{font.identifier_for(subset)} #{fine(size)} Tf #{PDF::Core.pdf_object(encoded, true)} Tj"
        end
      end

      # Characters that the maths font lacks come from the next that has them.
      def formula_letters(mark, x, down, ink)
        maths = Layout::Fonts.maths
        own = ->(character) { maths.has?(character) ? maths : Layout::Fonts.face_with(character, maths) || maths }
        steps = mark.text.each_char.chunk_while { |one, other| own[one].equal?(own[other]) }
          .flat_map { |characters| shown(characters.join, own[characters.first], mark.size) }
        operate(colour(ink, "rg"), "BT", "1 0 0 1", place(x, down), "Tm", *steps, "ET")
      end

      PATHS = {move: "m", line: "l", curve: "c", close: "h"}.freeze

      # A glyph as the path that it is.
      def outline(shape, x, down, ink)
        face = Layout::Formulas::MathsFace.shipped
        scale = (shape.size / face.units).round(5)
        path = face.outline(shape.glyph).commands.map { |name, *numbers| [*numbers, PATHS[name]].join(" ") }
        operate(colour(ink, "rg"), "#{scale} 0 0 #{scale}", place(x, down), "cm", *path, "f")
      end

      def font(face)
        file = File.join(Layout::Fonts::FOLDER, face.name)
        @pdf.font_families[face.name] ||= {normal: {file:, subset: !face.name.end_with?(".otf")}}
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
