# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # Style, type, width and mode of the line under words, to the kinds that the property knows (ISO/IEC 29500-1
        # 17.18.99) and back; what has no twin is the nearest.
        class Underline < Attribute
          STYLES = {"solid" => "single", "dotted" => "dotted", "dash" => "dash", "long-dash" => "dashLong",
                    "dot-dash" => "dotDash", "dot-dot-dash" => "dotDotDash", "wave" => "wave"}.freeze
          HEAVY = {"single" => "thick", "dotted" => "dottedHeavy", "dash" => "dashedHeavy",
                   "dashLong" => "dashLongHeavy", "dotDash" => "dashDotHeavy", "dotDotDash" => "dashDotDotHeavy",
                   "wave" => "wavyHeavy"}.freeze
          DOUBLE = {"single" => "double", "wave" => "wavyDouble"}.freeze

          def initialize
            super("style:text-underline-style", beside: %w[style:text-underline-type style:text-underline-width
              style:text-underline-mode style:text-underline-color])
          end

          def read(attributes, _fonts)
            style, type, width, mode = attributes.values_at(*names)
            return if style.nil? && type.nil?
            return "none" if style == "none" || type == "none"
            kind = STYLES.fetch(style, "single")
            return "words" if mode == "skip-white-space" && kind == "single"
            return DOUBLE.fetch(kind, kind) if type == "double"
            %w[bold thick].include?(width) ? HEAVY.fetch(kind, kind) : kind
          end

          def write(value)
            gone = names.to_h { |name| [name, nil] }
            return gone if value.nil?
            return gone.merge("style:text-underline-style" => "none") if value == "none"
            {**gone, **lines(value), "style:text-underline-color" => "font-color"}
          end

          private

          def lines(value)
            base = HEAVY.key(value) || DOUBLE.key(value) || ((value == "words") ? "single" : value)
            {
              "style:text-underline-style" => STYLES.key(base) || "solid",
              "style:text-underline-type" => (DOUBLE.value?(value) ? "double" : nil),
              "style:text-underline-width" => (HEAVY.value?(value) ? "bold" : "auto"),
              "style:text-underline-mode" => ((value == "words") ? "skip-white-space" : nil)
            }
          end
        end
      end
    end
  end
end
