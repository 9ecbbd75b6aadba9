# frozen_string_literal: true

require "yaml"

module Norvel
  # Colours are "#rrggbb" in lower case, or "auto". Tint and shade: ISO/IEC 29500-1 17.18.40, 17.3.2.6;
  # contrast: WCAG 2.2, relative luminance.
  module Colour
    HEX = /\A#?(\h{6})\z/

    # ISO/IEC 29500-1 17.18.40 ST_HighlightColor; the dark values as commonly shown.
    HIGHLIGHTS = {
      "black" => "#000000", "blue" => "#0000ff", "cyan" => "#00ffff", "green" => "#00ff00", "magenta" => "#ff00ff",
      "red" => "#ff0000",
      "yellow" => "#ffff00", "white" => "#ffffff", "darkBlue" => "#000080", "darkCyan" => "#008080",
      "darkGreen" => "#008000",
      "darkMagenta" => "#800080", "darkRed" => "#800000", "darkYellow" => "#808000", "darkGray" => "#808080",
      "lightGray" => "#c0c0c0"
    }.freeze

    NAMED = YAML.safe_load_file(File.join(__dir__, "colours.yml")).freeze

    module_function

    # The colour that CSS calls so, in words as a person types them: "light blue", "DarkGrey"; nil for others.
    def named(words)
      NAMED[words.to_s.downcase.delete(" -").sub("grey", "gray")]
    end

    # As "#rrggbb", nil for anything else.
    #   Colour.hex("1F3864") # => "#1f3864"
    def hex(text)
      match = HEX.match(text.to_s) and "##{match[1].downcase}"
    end

    # The theme's colour made lighter by a tint or darker by a shade, each a byte 0–255 (255 changes nothing).
    def tinted(colour, tint: nil, shade: nil)
      hue, saturation, light = hsl(colour)
      light = (light * tint / 255.0) + (1 - (tint / 255.0)) if tint
      light = light * shade / 255.0 if shade
      from_hsl(hue, saturation, light)
    end

    # Pattern shading mixes the foreground into the ground by a share of 0–1.
    def mixed(fore, ground, share)
      "##{channels(fore).zip(channels(ground)).map { |f, g| format("%02x", (f * share + g * (1 - share)).round) }.join}"
    end

    # The contrast ratio of two colours, from 1 to 21 (WCAG 2.2).
    #   Colour.contrast("#000000", "#ffffff") # => 21.0
    def contrast(one, other)
      light, dark = [luminance(one), luminance(other)].sort.reverse
      (light + 0.05) / (dark + 0.05)
    end

    # Relative luminance, from 0 to 1 (WCAG 2.2).
    #   Colour.luminance("#ffffff").round(2) # => 1.0
    def luminance(colour)
      red, green, blue = channels(colour).map { |c|
        (c / 255.0 <= 0.04045) ? c / 255.0 / 12.92 : (((c / 255.0) + 0.055) / 1.055)**2.4
      }
      (0.2126 * red) + (0.7152 * green) + (0.0722 * blue)
    end

    # Red, green and blue, each 0–255.
    #   Colour.channels("#1f3864") # => [31, 56, 100]
    def channels(colour)
      colour.delete("#").scan(/../).map(&:hex)
    end

    # Hue, saturation and lightness, each 0–1.
    #   Colour.hsl("#ff0000") # => [0.0, 1.0, 0.5]
    def hsl(colour)
      red, green, blue = channels(colour).map { |c| c / 255.0 }
      low, high = [red, green, blue].minmax
      light = (low + high) / 2
      return [0.0, 0.0, light] if low == high
      spread = high - low
      hue = case high
      when red then ((green - blue) / spread) % 6
      when green then ((blue - red) / spread) + 2
      else ((red - green) / spread) + 4
      end
      [hue * 60, spread / (1 - ((2 * light) - 1).abs), light]
    end

    # The colour of a hue, saturation and lightness.
    #   Colour.from_hsl(0.0, 1.0, 0.5) # => "#ff0000"
    def from_hsl(hue, saturation, light)
      chroma = (1 - ((2 * light) - 1).abs) * saturation
      between = chroma * (1 - (((hue / 60) % 2) - 1).abs)
      rgb = [[chroma, between, 0], [between, chroma, 0], [0, chroma, between], [0, between, chroma],
        [between, 0, chroma], [chroma, 0, between]][(hue / 60).to_i % 6]
      "##{rgb.map { |c| format("%02x", ((c + light - (chroma / 2)) * 255).clamp(0, 255).to_i) }.join}"
    end
  end
end
