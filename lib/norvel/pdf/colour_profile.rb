# frozen_string_literal: true

module Norvel
  module Pdf
    # The colours that numbers in a file mean: sRGB (IEC 61966-2-1) as a profile of three primaries and one curve
    # (ICC.1:2001-04, version 2.4), which is all that an output intent of PDF/A needs.
    module ColourProfile
      # Places of white and the primaries, adapted to D50 (IEC 61966-2-1 with the Bradford transform).
      POINTS = {"wtpt" => [0.9642, 1.0, 0.8249], "rXYZ" => [0.4360747, 0.2225045, 0.0139322],
                "gXYZ" => [0.3850649, 0.7168786, 0.0971045], "bXYZ" => [0.1430804, 0.0606169, 0.7141733]}.freeze
      NAME = "sRGB"
      STEPS = 1024 # of the curve

      module_function

      # The bytes.
      def bytes
        @bytes ||= begin
          curves = %w[rTRC gTRC bTRC].to_h { |name| [name, curve] }
          head_and_table({"desc" => description, "cprt" => "text\0\0\0\0No copyright, use freely\0".b,
                          **POINTS.transform_values { |point| point(point) }, **curves})
        end
      end

      def head_and_table(tags)
        at = 128 + 4 + (12 * tags.size)
        table = [tags.size].pack("N")
        body = +"".b
        tags.each do |name, data|
          table << name << [at + body.bytesize, data.bytesize].pack("NN")
          body << data << ("\0" * (-data.bytesize % 4))
        end
        whole = table + body
        head(128 + whole.bytesize) + whole
      end

      # 7.2 of the ICC's text: size, version, class, spaces, a fixed date so that bytes stay the same, D50.
      def head(size)
        [size].pack("N") + "\0\0\0\0".b + [0x02400000].pack("N") + "mntrRGB XYZ " +
          [2026, 1, 1, 0, 0, 0].pack("n6") + "acsp" + ("\0" * 28).b + numbers(POINTS["wtpt"]) + ("\0" * 48).b
      end

      # s15Fixed16Number
      def numbers(values)
        values.map { |value| (value * 65_536).round }.pack("N*")
      end

      def point(values)
        "XYZ \0\0\0\0".b + numbers(values)
      end

      # The curve of sRGB from 0 to 1, in steps of 65,535ths.
      def curve
        values = (0...STEPS).map do |step|
          value = step.fdiv(STEPS - 1)
          linear = (value <= 0.04045) ? value / 12.92 : ((value + 0.055) / 1.055)**2.4
          (linear * 65_535).round
        end
        "curv\0\0\0\0".b + [STEPS].pack("N") + values.pack("n*")
      end

      def description
        text = "#{NAME}\0"
        "desc\0\0\0\0".b + [text.bytesize].pack("N") + text.b + ("\0" * (4 + 4 + 2 + 1 + 67)).b
      end
      private_class_method :head_and_table, :head, :numbers, :point, :curve, :description
    end
  end
end
