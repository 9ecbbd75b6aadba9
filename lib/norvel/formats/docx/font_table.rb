# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Tells the font table of fonts that a document uses now (ISO/IEC 29500-1 17.8): their class, so that a reader
      # without them can choose a substitute.
      module FontTable
        FAMILIES = {"serif" => "roman", "sans" => "swiss", "mono" => "modern"}.freeze # 17.18.30
        FACES = %w[embedRegular embedBold embedItalic embedBoldItalic].freeze

        module_function

        # The names of the fonts that styles and text set.
        def fonts(document)
          sets = document.styles.by_id.values.map(&:run) +
            document.paragraphs.flat_map { |paragraph| paragraph.runs.map(&:direct) }.uniq
          sets.filter_map { |set| set[:font] }.uniq
        end

        # The names of the fonts that the file holds (17.8.3.3 ff.); part: the font table, or nil
        def embedded(part)
          return [].freeze unless part
          part.children(part.root, "font").select { |node| FACES.any? { |face| part.child(node, face) } }
            .filter_map { |node| part.attr(node, "name") }.freeze
        end

        # Adds those that the part lacks; returns whether there were any.
        def write(part, fonts)
          known = part.children(part.root, "font").map { |node| part.attr(node, "name").to_s.downcase }
          fonts.reject { |name| known.include?(name.downcase) }.each do |name|
            kind = ShippedFonts.stand_in(name).kind
            node = part.root.add_child(part.create("font", "name" => name))
            {"charset" => "00", "family" => FAMILIES.fetch(kind), "pitch" => (kind == "mono") ? "fixed" : "variable"}
              .each { |element, value|
              node.add_child(part.create(element, "val" => value))
            }
          end.any?
        end
      end
    end
  end
end
