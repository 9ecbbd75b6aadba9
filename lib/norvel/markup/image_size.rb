# frozen_string_literal: true

module Norvel
  module Markup
    # What an image's bytes say of its kind and size in pixels: PNG (W3C PNG 11.2.2), GIF (89a), JPEG (ISO/IEC 10918-1
    # B.2.2).
    module ImageSize
      KINDS = {"\x89PNG".b => ".png", "\xFF\xD8".b => ".jpg", "GIF8".b => ".gif"}.freeze
      FRAMES = [*0xC0..0xC3, *0xC5..0xC7, *0xC9..0xCB, *0xCD..0xCF].freeze

      module_function

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

      def jpeg(bytes)
        at = 2
        while (mark, length = bytes.byteslice(at + 1, 3)&.unpack("Cn")) && length
          return bytes.byteslice(at + 5, 4).unpack("nn").reverse if FRAMES.include?(mark)
          at += length + 2
        end
      end
    end
  end
end
