# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # fo:font-size, or style:font-size-rel: so much more than the parent style has.
        class Size < Measure
          RELATIVE = "style:font-size-rel"

          def initialize
            super("fo:font-size", beside: [RELATIVE])
          end

          def read(attributes, _fonts)
            return super if attributes.key?(@name)
            more = attributes[RELATIVE] && Length.from_file(attributes[RELATIVE], "pt")
            more && Length.share_of(100.0, more)
          end

          def write(value)
            more = value.is_a?(Hash) && value[:more]
            more ? {@name => nil, RELATIVE => Measure.text(more)} : super
          end
        end
      end
    end
  end
end
