# frozen_string_literal: true

module Norvel
  module Markup
    # What an image's bytes say of its kind and size in pixels: PNG (W3C PNG 11.2.2), GIF (89a), JPEG (ISO/IEC 10918-1
    # B.2.2).
    module ImageSize
      KINDS = {"\x89PNG".b => ".png", "\xFF\xD8".b => ".jpg", "GIF8".b => ".gif"}.freeze
      FRAMES = [*0xC0..0xC3, *0xC5..0xC7, *0xC9..0xCB, *0xCD..0xCF].freeze

      module_function

      # The extension that fits these bytes: ".png".
      def ending(bytes)
        KINDS.find { |mark, _| bytes.start_with?(mark) }&.last || ".bin"
      end

      # [width, height], or nil where it is not known.
      def size(bytes)
        case bytes && ending(bytes)
        when ".png" then bytes.byteslice(16, 8).unpack("NN")
        when ".gif" then bytes.byteslice(6, 4).unpack("vv")
        when ".jpg" then jpeg(bytes)
        end
      end

      USUAL = 96.0 # pixels to an inch, where an image says nothing else (CSS 2.1 4.3.2)

      # [width, height] in points, by the resolution that it says; nil where its size is not known.
      def points(bytes)
        pixels = size(bytes) or return
        pixels.zip(resolution(bytes)).map { |count, inch| count * 72.0 / inch }
      end

      # Pixels to an inch, across and down: PNG pHYs (W3C PNG 11.3.5.3), JFIF density (ISO/IEC 10918-5 10.1).
      def resolution(bytes)
        case ending(bytes)
        when ".png"
          at = bytes.byteslice(0, 4096).index("pHYs".b)
          across, down, metre = bytes.byteslice(at + 4, 9)&.unpack("NNC") if at
          said = [across, down].map { |count| count * 0.0254 } if metre == 1
        when ".jpg"
          unit, across, down = bytes.byteslice(13, 5).unpack("Cnn") if bytes.byteslice(6, 4) == "JFIF"
          said = {1 => [across, down], 2 => [across, down].map { |count| count.to_i * 2.54 }}[unit] if unit
        end
        (said&.all? { |count| count.between?(1, 10_000) }) ? said : [USUAL, USUAL]
      end

      def jpeg(bytes)
        at = 2
        while (mark, length = bytes.byteslice(at + 1, 3)&.unpack("Cn")) && length
          return bytes.byteslice(at + 5, 4).unpack("nn").reverse if FRAMES.include?(mark)
          at += length + 2
        end
      end

      private_class_method :resolution, :jpeg
    end
  end
end
