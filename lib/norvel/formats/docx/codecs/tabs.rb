# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # Tab stops (ISO/IEC 29500-1 17.3.1.37), their places in twips from the margin.
        class Tabs < Whole
          ALIGNMENTS = {"left" => "left", "start" => "left", "num" => "left", "right" => "right", "end" => "right",
                        "center" => "centred", "decimal" => "decimal", "bar" => "bar", "clear" => "clear"}.freeze
          LEADERS = {"dot" => "dots", "hyphen" => "dashes", "underscore" => "a line", "middleDot" => "middle dots",
                     "heavy" => "a heavy line"}.freeze

          # The Styles::TabStop of attributes: {val: "right", pos: "8505", leader: "dot"}
          def self.stop(attributes)
            place = Styles::Types::TabStops.place(Length.from_file(attributes[:pos].to_s, "twip") || 0.0)
            Styles::TabStop.new(place:, align: ALIGNMENTS.fetch(attributes[:val], "left"),
              leader: LEADERS[attributes[:leader]])
          end

          # {attribute => its text} of a stop.
          def self.attributes(stop)
            {val: ALIGNMENTS.key(stop.align), pos: Length.whole(stop.place, "twip").to_s,
             leader: LEADERS.key(stop.leader)}.compact
          end

          def read(element, part)
            element.element_children.select { |child| part.ours?(child) }.to_h do |child|
              stop = Tabs.stop({val: part.attr(child, "val"), pos: part.attr(child, "pos"),
                                leader: part.attr(child, "leader")})
              [stop.place, stop]
            end
          end

          def put(parent, value, part)
            part.drop(parent, element)
            node = fresh(parent, part)
            value.each_value do |stop|
              part.insert(node, part.create("tab", Tabs.attributes(stop).transform_keys(&:to_s)))
            end
          end
        end
      end
    end
  end
end
