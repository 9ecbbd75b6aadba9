# frozen_string_literal: true

module Norvel
  # Images of kinds that a browser does not draw or a PDF does not hold, as PNG: by libvips, where it is installed. Of
  # what it reads, only kinds that are tried against broken files (block_untrusted), and SVG, which is drawn without
  # anything beside it.
  module Raster
    MARKS = {"II*\0".b => :tiff, "MM\0*".b => :tiff, "GIF87a".b => :gif, "GIF89a".b => :gif}.freeze
    SVG = /\A(?:\xEF\xBB\xBF)?\s*(?:<\?xml[^>]*>\s*)?(?:<!--.{0,2000}?-->\s*)*(?:<!DOCTYPE[^>]*>\s*)?
      <(?:svg:)?svg[\s>]/mnx
    MOST = 40_000_000 # dots: a sheet at 600 to the inch
    PLAIN = %i[srgb b-w].freeze # colours as a PNG of 8 bits has them
    DRAWN = 2_000 # dots along the longer side of what is drawn from a description

    module_function

    # :tiff, :webp, :gif or :svg by the first bytes; nil for all else.
    def kind(bytes)
      head = bytes.byteslice(0, 4_096).b
      return :webp if head.start_with?("RIFF") && head.byteslice(8, 4) == "WEBP"
      MARKS.find { |mark, _| head.start_with?(mark) }&.last || (:svg if SVG.match?(head))
    end

    # The image as PNG; nil for what is of no such kind, broken or too large, and where libvips is not there.
    def png(bytes)
      kind = kind(bytes) or return
      image = opened(bytes, kind)
      return if image.width * image.height > MOST
      image = image.colourspace(:srgb) unless PLAIN.include?(image.interpretation)
      image.write_to_buffer(".png", strip: true)
    rescue LoadError, StandardError
      nil
    end

    def opened(bytes, kind)
      settle
      image = Vips::Image.new_from_buffer(bytes, "")
      return image unless kind == :svg
      scale = (DRAWN.to_f / [image.width, image.height].max).clamp(0.01, 20.0)
      Vips::Image.new_from_buffer(bytes, "", scale:)
    end

    def settle
      return if @settled
      ENV["VIPS_WARNING"] ||= "off" # what is wrong with an image is no news of this process
      Vips.block_untrusted(true)
      Vips.block("VipsForeignLoadSvg", false)
      Vips.concurrency_set(1)
      Vips.cache_set_max(0)
      @settled = true
    end
    private_class_method :opened, :settle
  end
end
