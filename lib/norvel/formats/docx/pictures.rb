# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Drawings with what they say of themselves: w:drawing with wp:docPr (ISO/IEC 29500-1 20.4.2.5), and the older
      # w:pict and w:object.
      module Pictures
        # Where the description stands: of a drawing, of an older shape.
        OLDER = %w[shape rect oval roundrect line].freeze
        HOLDERS = {"docPr" => "descr", **OLDER.to_h { |name| [name, "alt"] }}.freeze
        SHAPES = OLDER.map { |name| "local-name()='#{name}'" }.join(" or ")
        DECORATION = '<a:extLst xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main">' \
          '<a:ext uri="{C183D7F6-B498-43B3-948B-1728B52AA6E4}">' \
          '<d:decorative xmlns:d="http://schemas.microsoft.com/office/drawing/2017/decorative" val="1"/>' \
          "</a:ext></a:extLst>"
        EMU = 12_700.0 # to a point (20.1.2.1)

        module_function

        # The element that may say a description, or nil; a box of text needs none, its text is read.
        def holder(node)
          return if node.at_xpath(".//*[local-name()='txbxContent']") && !node.at_xpath(".//*[local-name()='blip']")
          node.at_xpath(".//*[local-name()='docPr']") || node.at_xpath(".//*[#{SHAPES}]")
        end

        # A Document::Image. +package+ resolves where its bytes are, from the part at +source+.
        def read(id, holder, package, source, size)
          said = holder[HOLDERS.fetch(holder.name)].to_s.strip
          Document::Image.new(id:, description: (said unless said.empty?), decorative: decorative?(holder),
            path: path(holder, package, source), crop: crop(holder.parent), turn: turn(holder.parent), **size)
        end

        # What a:srcRect cuts off (20.1.8.55), in thousandths of a percent; what it adds around is not drawn.
        def crop(node)
          cut = node.at_xpath(".//*[local-name()='srcRect']") or return
          parts = %w[l t r b].map { |side| (cut[side].to_f / 100_000).clamp(0.0, 1.0) }
          parts.freeze if parts.any?(&:positive?) && parts[0] + parts[2] < 0.99 && parts[1] + parts[3] < 0.99
        end

        # Degrees clockwise (20.1.7.6 rot, in 60,000ths).
        def turn(node)
          turned = node.at_xpath(".//*[local-name()='spPr']/*[local-name()='xfrm']")&.[]("rot").to_f / 60_000
          turned.finite? ? turned % 360 : 0.0
        end

        # {width:, height:, floating:} as far as the file says: wp:extent in EMU, or the style of an older shape.
        def size(node)
          extent = node.at_xpath(".//*[local-name()='extent']")
          return {width: extent["cx"].to_f / EMU, height: extent["cy"].to_f / EMU, floating: anchored?(node)} if extent
          style = node.at_xpath(".//*[#{SHAPES}]")&.[]("style").to_s
          width, height = %w[width height].map { |name| style[/(?:\A|;)\s*#{name}:\s*([\d.]+)pt/, 1]&.to_f }
          {width:, height:, floating: style.include?("position:absolute")}
        end

        def anchored?(node)
          !node.at_xpath(".//*[local-name()='anchor']").nil?
        end

        # image: a Document::Image, or a Document::Picture
        def write(holder, image)
          name = HOLDERS.fetch(holder.name)
          image.description ? holder[name] = image.description : holder.remove_attribute(name)
          decorate(holder, image.decorative) unless decorative?(holder) == image.decorative
        end

        # The mark is an extension in the last child of wp:docPr; older shapes have no place for it.
        def decorate(holder, on)
          found = holder.at_xpath(".//*[local-name()='decorative']")
          return found["val"] = on ? "1" : "0" if found
          holder.add_child(DECORATION) if on && holder.name == "docPr"
        end

        def decorative?(holder)
          !holder.at_xpath(".//*[local-name()='decorative'][@val='1' or @val='true']").nil?
        end

        def path(holder, package, source)
          data = holder.parent.at_xpath(".//*[local-name()='blip' or local-name()='imagedata']") or return
          id = data.attribute_nodes.find { |attribute|
            %w[embed id].include?(attribute.node_name) &&
              attribute.namespace
          }&.value
          found = id && package.relationship(source, id)
          found.target if found && !found.external && package.container.include?(found.target)
        end

        private_class_method :crop, :turn, :anchored?, :decorate, :decorative?, :path
      end
    end
  end
end
