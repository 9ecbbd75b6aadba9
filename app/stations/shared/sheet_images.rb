# frozen_string_literal: true

# Images on a sheet, as the file holds them, cut and turned as it says. Units: points of the sheet.
module SheetImages
  # First bytes of the kinds that a browser draws and nothing can hide in.
  KINDS = {"\x89PNG\r\n\x1A\n".b => "image/png", "\xFF\xD8\xFF".b => "image/jpeg", "GIF8".b => "image/gif",
           "BM".b => "image/bmp"}.freeze

  def self.kind(bytes)
    KINDS.find { |mark, _| bytes.start_with?(mark) }&.last ||
      ("image/webp" if bytes.start_with?("RIFF") && bytes.byteslice(8, 4) == "WEBP")
  end

  # What stands in a line or at an anchor: an image; a box with words that says what it is where it can't be drawn.
  def object_drawn(object, x, y)
    box = [x, y, object.width, object.height]
    image = object.object
    return turned_shape(image, box) if image.shape && (object.inside || image.path.nil?)
    return framed(box, nil) unless image.is_a?(Norvel::Document::Image)
    drawable?(image) ? image_drawn(image, box) : framed(box, "a drawing that is not shown here")
  end

  # Images that hang at paragraphs and not in their lines, in heads and feet too.
  def hanging_images(sheet, whose = pages)
    found = []
    heads = whose.heads(sheet).map { |_, left, top, column| [left, top, column] }
    [*sheet.bands, *heads].each do |left, top, column|
      Norvel::Layout::Placing.hanging(column, left, top) do |object, x, y|
        found << object_drawn(object, x, y) unless object.inside && object.object.shape.nil?
      end
    end
    found.join
  end

  private

  def turned_shape(image, box)
    drawn = shape_drawn(image.shape, box)
    upright = !image.is_a?(Norvel::Document::Image) || image.turn.zero?
    upright ? drawn : %(<g transform="#{turned(image, box)}">#{drawn}</g>)
  end

  # A form with its fill and its line, as the file has them.
  def shape_drawn(shape, box)
    return shape.parts_in(*box).map { |part, *place| shape_drawn(part, place) }.join if shape.group?
    x, y, width, height = box
    look = %(fill="#{shape.fill || "none"}" stroke="#{shape.line || "none"}" stroke-width="#{fine(shape.weight)}")
    if (corners = shape.corners(width, height))
      return polygon(corners, x, y, look)
    end
    case shape.kind
    when "ellipse"
      %(<ellipse cx="#{fine(x + (width / 2))}" cy="#{fine(y + (height / 2))}" rx="#{fine(width / 2)}" ) +
        %(ry="#{fine(height / 2)}" #{look}/>)
    when "line"
      from, to = shape.ends(width, height)
      heads = shape.head_corners(width, height).map { |one| polygon(one, x, y, %(fill="#{shape.line || "none"}")) }
      %(<path d="M#{fine(x + from[0])} #{fine(y + from[1])}L#{fine(x + to[0])} #{fine(y + to[1])}" #{look}/>) +
        heads.join
    else
      %(<rect x="#{fine(x)}" y="#{fine(y)}" width="#{fine(width)}" height="#{fine(height)}" ) +
        %(rx="#{fine(shape.corner(width, height))}" #{look}/>)
    end
  end

  def polygon(corners, x, y, look)
    %(<polygon points="#{corners.map { |across, down| "#{fine(x + across)},#{fine(y + down)}" }.join(" ")}" #{look}/>)
  end

  # Is it of a kind that a browser draws, or can be made into one? Known once for a file's images.
  def drawable?(image)
    @drawable ||= {}
    @drawable.fetch(image.path) do |path|
      bytes = path && document.source.read(path).to_s.b
      @drawable[path] = !bytes.nil? && (!SheetImages.kind(bytes).nil? || Pictures.drawn?(bytes))
    end
  rescue Norvel::UnreadableFile
    @drawable[image.path] = false
  end

  def image_drawn(image, box)
    x, y, width, height = image.whole_in(*box).map { |one| fine(one) }
    drawn = %(<image href="#{h path_to("image", path: image.path)}" x="#{x}" y="#{y}" width="#{width}" ) +
      %(height="#{height}" preserveAspectRatio="none"#{cropped(image)}><title>#{h image_words(image)}</title></image>)
    image.turn.zero? ? drawn : %(<g transform="#{turned(image, box)}">#{drawn}</g>)
  end

  # A part of it, by how far its edges stand inside.
  def cropped(image)
    return "" unless image.crop
    left, top, right, bottom = image.crop.map { |part| "#{(part * 100).round(2)}%" }
    %( clip-path="inset(#{top} #{right} #{bottom} #{left})")
  end

  def turned(image, box)
    x, y, width, height = box
    "rotate(#{image.turn.round(2)} #{fine(x + (width / 2))} #{fine(y + (height / 2))})"
  end

  def image_words(image)
    return "decoration" if image.decorative
    image.description || "an image without a description"
  end

  def framed(box, words)
    x, y, width, height = box.map { |one| fine(one) }
    said = %(<text class="thingwords" x="#{x}" y="#{y}" dx="4" dy="12">#{h words}</text>) if words && box[2] > 120
    %(<rect class="thing" x="#{x}" y="#{y}" width="#{width}" height="#{height}"/>#{said})
  end
end
