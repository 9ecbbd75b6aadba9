# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The theme part: the fonts and colours that styles name by role (ISO/IEC 29500-1 20.1.4.1, 20.1.6.2).
      class Theme
        COLOURS = {
          "dark1" => "dk1", "light1" => "lt1", "dark2" => "dk2", "light2" => "lt2", "hyperlink" => "hlink",
          "followedHyperlink" => "folHlink",
          "text1" => "dk1", "background1" => "lt1", "text2" => "dk2", "background2" => "lt2"
        }.merge((1..6).to_h { |n| ["accent#{n}"] * 2 }).freeze
        MAPPED = {"text1" => "t1", "background1" => "bg1", "text2" => "t2", "background2" => "bg2"}.freeze
        SLOTS = {"Ascii" => "latin", "HAnsi" => "latin", "EastAsia" => "ea", "Bidi" => "cs"}.freeze

        def initialize(root = nil, mapping: {})
          @fonts = root ? fonts_of(root) : {}
          @colours = root ? colours_of(root) : {}
          @mapping = mapping
        end

        NONE = new

        # The typeface for a name such as "minorHAnsi", or nil.
        def font(name)
          group, slot = name.match(/\A(major|minor)(\w+)\z/)&.captures
          found = @fonts.dig(group, SLOTS[slot])
          found unless found.nil? || found.empty?
        end

        # The colour of w:val with its theme attributes: "#rrggbb", "auto" or nil. The cached value is used when it is
        # there.
        def colour(value, name, tint = nil, shade = nil)
          cached = Colour.hex(value)
          return cached if cached
          base = name && @colours[COLOURS[@mapping[name] || name]]
          return ((value == "auto") ? "auto" : nil) unless base
          return Colour.tinted(base, tint: tint.hex) if tint&.match?(/\A\h{2}\z/)
          return Colour.tinted(base, shade: shade.hex) if shade&.match?(/\A\h{2}\z/)
          base
        end

        private

        def fonts_of(root)
          %w[major minor].to_h do |group|
            faces = root.at_xpath("//*[local-name()='#{group}Font']")&.element_children || []
            [group, faces.reject { |f| f.name == "font" }.to_h { |f| [f.name, f["typeface"]] }]
          end
        end

        def colours_of(root)
          scheme = root.at_xpath("//*[local-name()='clrScheme']") or return {}
          scheme.element_children.to_h do |entry|
            colour = entry.first_element_child
            [entry.name, colour && Colour.hex((colour.name == "sysClr") ? colour["lastClr"] : colour["val"])]
          end
        end
      end
    end
  end
end
