# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # fo:language and fo:country, or style:rfc-language-tag for what they can't say.
        class Language < Attribute
          NONE = "none"

          def initialize
            super("fo:language", beside: %w[fo:country fo:script style:rfc-language-tag])
          end

          def read(attributes, _fonts)
            language, country, script, tag = attributes.values_at(*names)
            return tag if tag && !tag.empty?
            return if language.nil? || language.empty? || [NONE, "zxx"].include?(language)
            [language, script, (country unless [nil, "", NONE].include?(country))].compact.join("-")
          end

          def write(value)
            gone = names.to_h { |name| [name, nil] }
            return gone if value.nil?
            language, *rest = value.split("-")
            country = rest.find { |part| part.match?(/\A(?:[A-Za-z]{2}|\d{3})\z/) }
            script = rest.find { |part| part.match?(/\A[A-Za-z]{4}\z/) }
            gone.merge("fo:language" => language, "fo:country" => country || NONE, "fo:script" => script)
          end
        end
      end
    end
  end
end
